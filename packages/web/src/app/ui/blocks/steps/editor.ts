import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-steps-editor',
  imports: [Rows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-rows
      label="Step"
      [most]="most('steps', '*', 'text')"
      [rows]="block().steps"
      (changed)="list('steps', $event)"
    />
    <label class="check"
      ><input type="checkbox" #weekly [checked]="block().weekly ?? false" (change)="set({ weekly: weekly.checked })" />
      They begin anew each week</label
    >
  `,
  styleUrl: '../editor.css',
})
export class StepsEditor extends EditorPart<BlockOf<'steps'>> {}
