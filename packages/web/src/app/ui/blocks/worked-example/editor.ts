import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-worked-example-editor',
  imports: [Rows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="input"
      #t
      [maxLength]="most('title')"
      aria-label="Title"
      [value]="block().title"
      (change)="set({ title: t.value })"
    />
    <lv-rows
      label="Step"
      [most]="most('steps', '*', 'text')"
      [rows]="block().steps"
      (changed)="list('steps', $event)"
    />
  `,
  styleUrl: '../editor.css',
})
export class WorkedExampleEditor extends EditorPart<BlockOf<'worked-example'>> {}
