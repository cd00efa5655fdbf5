import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Words } from '../../words';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-family-note-editor',
  imports: [Words],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-words
    [text]="block().text"
    [most]="most('text')"
    label="Note for families"
    placeholder="Note for families"
    (written)="set({ text: $event })"
  />`,
  styleUrl: '../editor.css',
})
export class FamilyNoteEditor extends EditorPart<BlockOf<'family-note'>> {}
