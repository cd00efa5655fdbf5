import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-ordering-editor',
  imports: [Rows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="tag-key">In the right order</p>
    <lv-rows
      label="Entry"
      [pictures]="true"
      [most]="most('entries', '*', 'text')"
      [rows]="block().entries"
      (changed)="list('entries', $event)"
    />
  `,
  styleUrl: '../editor.css',
})
export class OrderingEditor extends EditorPart<BlockOf<'ordering'>> {}
