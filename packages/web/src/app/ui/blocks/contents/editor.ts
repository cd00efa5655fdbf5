import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Words } from '../../words';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-contents-editor',
  imports: [Words],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-words
    [text]="block().title"
    [most]="most('title')"
    label="Title of the list"
    placeholder="Title of the list"
    (written)="set({ title: $event })"
  />`,
  styleUrl: '../editor.css',
})
export class ContentsEditor extends EditorPart<BlockOf<'contents'>> {}
