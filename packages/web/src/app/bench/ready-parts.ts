import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Textarea } from 'primeng/textarea';
import { CheckBox } from '../ui/controls/check';
import { NumberField } from '../ui/controls/number';
import { SELECT } from '../ui/controls/select';
import { KindMenu } from './kind-menu';

/**
 * One of each part that the panels need, out of sight: the first of a kind writes its styles, and the browser then looks
 * at the whole page anew. That is done here before somebody presses a block, not at the press.
 */
@Component({
  selector: 'lv-ready-parts',
  imports: [CheckBox, KindMenu, NumberField, Textarea, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { hidden: '', 'aria-hidden': 'true' },
  template: `
    <lv-select label="" value="" />
    <lv-number label="" [value]="0" />
    <lv-kind-menu [groups]="[]" />
    <lv-check [on]="false" />
    <textarea pTextarea maxlength="1" aria-label="none"></textarea>
  `,
})
export class ReadyParts {}
