import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Words } from '../../words';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-daily-note-editor',
  imports: [Words],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="row tag-small"
      >For the day
      <input class="input" style="width: auto" type="date" #d [value]="block().day" (change)="set({ day: d.value })"
    /></label>
    <lv-words
      [text]="block().text"
      [most]="most('text')"
      label="Daily note"
      placeholder="A note for the day"
      (written)="set({ text: $event })"
    />
  `,
  styleUrl: '../editor.css',
})
export class DailyNoteEditor extends EditorPart<BlockOf<'daily-note'>> {}
