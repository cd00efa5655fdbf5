import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  contentChild,
  inject,
  input,
  linkedSignal,
  output,
  type TemplateRef,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { Piece } from '@lorvet/core';
import { Clock } from '../platform/clock';
import { Picture } from './picture';
import { PictureField } from './picture-field';

/** A short list that a teacher writes: one line a row, added, moved and taken away; with a picture where that helps. */
@Component({
  selector: 'lv-rows',
  imports: [LucideDynamicIcon, NgTemplateOutlet, Picture, PictureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol>
      @for (r of rows(); track r.id; let i = $index; let first = $first; let last = $last) {
        <li>
          @if (r.assetId; as id) {
            <lv-picture [assetId]="id" alt="" />
          }
          <input
            class="input"
            #f
            [value]="r.text"
            maxlength="500"
            [attr.aria-label]="label() + ' ' + (i + 1)"
            [placeholder]="label()"
            (change)="set(r, f.value)"
            (keydown.enter)="set(r, f.value); last && add()"
          />
          @if (extra(); as more) {
            <ng-container *ngTemplateOutlet="more; context: { $implicit: r }" />
          }
          @if (pictures()) {
            <lv-picture-field
              [quiet]="true"
              [assetId]="r.assetId ?? ''"
              [label]="'Picture for ' + (r.text || label() + ' ' + (i + 1))"
              (chosen)="picture(r, $event)"
            />
          }
          <button
            class="btn quiet icon"
            type="button"
            [disabled]="first"
            [attr.aria-label]="'Move up: ' + r.text"
            (click)="move(i, -1)"
          >
            <svg lucideIcon="arrow-up"></svg>
          </button>
          <button
            class="btn quiet icon"
            type="button"
            [attr.aria-label]="'Take away ' + label().toLowerCase() + ' ' + (i + 1)"
            (click)="drop(r)"
          >
            <svg lucideIcon="x"></svg>
          </button>
        </li>
      }
    </ol>
    @if (canAdd()) {
      <button class="btn quiet" type="button" (click)="add()"><svg lucideIcon="plus"></svg>{{ label() }}</button>
    }
  `,
  styles: `
    ol {
      display: grid;
      gap: 4px;
    }
    li {
      display: flex;
      align-items: center;
      gap: 4px;
      min-width: 0;
    }
    li > .input {
      flex: 1 1 8em;
      min-width: 0;
    }
    lv-picture {
      flex: none;
      width: 40px;
    }
    .btn.icon {
      min-height: 28px;
      padding: 3px 5px;
    }
  `,
})
export class Rows<P extends Piece> {
  readonly given = input.required<readonly P[]>({ alias: 'rows' });
  /** With what was changed here a moment ago: two changes may come before the page is drawn anew. */
  protected readonly rows = linkedSignal(() => this.given());
  readonly label = input.required<string>();
  readonly pictures = input(false);
  readonly canAdd = input(true);
  /** Makes a new row of what every row has. */
  readonly fresh = input<(row: Piece) => P>((row) => row as P);
  readonly changed = output<P[]>();
  protected readonly extra = contentChild<TemplateRef<{ $implicit: P }>>('extra');
  private readonly clock = inject(Clock);

  protected set(row: P, text: string): void {
    if (text !== row.text) this.say(row, { ...row, text });
  }

  protected picture(row: P, assetId: string): void {
    const { assetId: _, ...rest } = row;
    this.say(row, (assetId ? { ...rest, assetId } : rest) as P);
  }

  protected add(): void {
    this.tell([...this.rows(), this.fresh()({ id: this.clock.newId(), text: '' })]);
  }

  protected drop(row: P): void {
    this.tell(this.rows().filter((r) => r !== row));
  }

  protected move(at: number, by: -1 | 1): void {
    const rows = [...this.rows()];
    const [row] = rows.splice(at, 1);
    if (row) rows.splice(at + by, 0, row);
    this.tell(rows);
  }

  private tell(rows: P[]): void {
    this.rows.set(rows);
    this.changed.emit(rows);
  }

  private say(was: P, now: P): void {
    this.tell(this.rows().map((r) => (r === was ? now : r)));
  }
}
