import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import type { PaperPage } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { DrawingPad } from '../../ui/blocks/drawing-pad';
import { MarkingHere } from '../here';
import type { Row } from '../row';
import { PaperSheet } from './paper-sheet';

/** What a learner did on paper: each photograph or scan, to be looked at larger, and to be written on where `row` is given. */
@Component({
  selector: 'lv-paper-pages',
  imports: [ButtonDirective, DrawingPad, PaperSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (p of pages(); track p.assetId + p.pageId; let i = $index) {
      @let says = 'What ' + name() + ' did on paper, ' + (i + 1) + ' of ' + pages().length;
      @if (p.writing || writingOn() === p.assetId) {
        <lv-drawing-pad
          [assetId]="p.assetId"
          [answer]="p.writing"
          [alt]="says"
          [label]="says"
          [locked]="writingOn() !== p.assetId"
          (drawn)="write(p, $event)"
        />
      } @else {
        <lv-paper-sheet [assetId]="p.assetId" [alt]="says" />
      }
      @if (row()) {
        <button
          pButton
          severity="secondary"
          text
          type="button"
          [attr.aria-pressed]="writingOn() === p.assetId"
          (click)="writingOn.set(writingOn() === p.assetId ? '' : p.assetId)"
        >
          Write on it
        </button>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    :host > * {
      max-width: 100%;
    }
    lv-drawing-pad {
      --picture-height: var(--sheet-height, 66vh);
    }
    lv-paper-sheet,
    lv-drawing-pad {
      width: 100%;
    }
    :host:not(:has(*)) {
      display: none;
    }
  `,
})
export class PaperPages {
  readonly pages = input.required<readonly PaperPage[]>();
  readonly name = input.required<string>();
  /** Whose work it is, where something can be written on it now. */
  readonly row = input<Row>();
  private readonly answering = inject(MarkingHere).answering;
  /** The sheet that is written on; empty for none. */
  protected readonly writingOn = signal('');

  protected write(page: PaperPage, drawn: Parameters<typeof this.answering.writeOnPaper>[2]): void {
    const row = this.row();
    if (row) this.answering.writeOnPaper(row, page, drawn);
  }
}
