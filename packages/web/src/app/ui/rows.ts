import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  contentChild,
  inject,
  input,
  output,
  type TemplateRef,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { Piece } from '@lorvet/core';
import { Clock } from '../platform/clock';
import { IconButton } from './icon-button';
import { Picture } from './picture';
import { PictureField } from './picture-field';

/** A short list that a teacher writes: one line a row, added, moved and taken away; with a picture where that helps. */
@Component({
  selector: 'lv-rows',
  imports: [IconButton, LucideDynamicIcon, NgTemplateOutlet, Picture, PictureField],
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
            [maxLength]="most()"
            [attr.aria-label]="label() + ' ' + (i + 1)"
            [placeholder]="label()"
            (change)="set(r.id, f.value)"
            (keydown.enter)="set(r.id, f.value); last && add()"
          />
          @if (extra(); as more) {
            <ng-container *ngTemplateOutlet="more; context: { $implicit: r }" />
          }
          @if (pictures()) {
            <lv-picture-field
              [quiet]="true"
              [assetId]="r.assetId ?? ''"
              [label]="'Picture for ' + (r.text || label() + ' ' + (i + 1))"
              (chosen)="picture(r.id, $event)"
            />
          }
          <button
            type="button"
            lvIcon="arrow-up"
            [disabled]="first"
            [says]="'Move up: ' + r.text"
            (click)="move(r.id)"
          ></button>
          <button
            type="button"
            lvIcon="x"
            [says]="'Take away ' + label().toLowerCase() + ' ' + (i + 1)"
            (click)="drop(r.id)"
          ></button>
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
  readonly rows = input.required<readonly P[]>();
  readonly label = input.required<string>();
  /** Letters that fit in a row. */
  readonly most = input.required<number>();
  readonly pictures = input(false);
  readonly canAdd = input(true);
  /** Makes a new row of what every row has. */
  readonly fresh = input<(row: Piece) => P>((row) => row as P);
  /** What is to become of the rows, whatever they are by then. */
  readonly changed = output<(rows: readonly P[]) => readonly P[]>();
  protected readonly extra = contentChild<TemplateRef<{ $implicit: P }>>('extra');
  private readonly clock = inject(Clock);

  protected set(id: string, text: string): void {
    this.change(id, (r) => (r.text === text ? r : { ...r, text }));
  }

  protected picture(id: string, assetId: string): void {
    this.change(id, ({ assetId: _, ...rest }) => (assetId ? { ...rest, assetId } : rest) as P);
  }

  protected add(): void {
    const row = this.fresh()({ id: this.clock.newId(), text: '' });
    this.changed.emit((rows) => [...rows, row]);
  }

  protected drop(id: string): void {
    this.changed.emit((rows) => rows.filter((r) => r.id !== id));
  }

  /** One up. */
  protected move(id: string): void {
    this.changed.emit((rows) => {
      const at = rows.findIndex((r) => r.id === id);
      return rows.map((r, i) => (i === at - 1 ? rows[at] : i === at ? rows[at - 1] : r) ?? r);
    });
  }

  private change(id: string, to: (row: P) => P): void {
    this.changed.emit((rows) => {
      const next = rows.map((r) => (r.id === id ? to(r) : r));
      return next.every((r, i) => r === rows[i]) ? rows : next;
    });
  }
}
