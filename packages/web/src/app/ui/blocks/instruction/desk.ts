import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Media } from '../media';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-instruction-desk',
  imports: [Media],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>{{ block().text }}</p>
    @if (block().recording; as r) {
      <lv-media [assetId]="r.assetId" [what]="r.what" [label]="t('The instruction, to listen to')" />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      padding-inline-start: 14px;
      border-inline-start: 4px solid var(--accent);
    }
    p {
      white-space: pre-wrap;
      font-weight: 600;
      max-width: 62ch;
    }
  `,
})
export class InstructionDesk extends DeskPart<LearnerBlockOf<'instruction'>> {}
