import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { PaperPage } from '@lorvet/core';
import { PaperSheet } from './paper-sheet';

/** What a learner did on paper: each photograph or scan, to be looked at larger. */
@Component({
  selector: 'lv-paper-pages',
  imports: [PaperSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (p of pages(); track $index) {
      <lv-paper-sheet
        [assetId]="p.assetId"
        [alt]="'What ' + name() + ' did on paper, ' + ($index + 1) + ' of ' + pages().length"
      />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    :host:not(:has(*)) {
      display: none;
    }
  `,
})
export class PaperPages {
  readonly pages = input.required<readonly PaperPage[]>();
  readonly name = input.required<string>();
}
