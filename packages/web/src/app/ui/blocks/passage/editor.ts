import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RichWords } from '../../rich-words';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-passage-editor',
  imports: [RichWords],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="input"
      #t
      [maxLength]="most('title')"
      aria-label="Title of the passage"
      placeholder="Title of the passage"
      [value]="block().title"
      (change)="set({ title: t.value })"
    />
    <lv-rich-words
      [text]="block().text"
      [most]="most('text')"
      label="Passage"
      placeholder="Write or paste the passage"
      (written)="set({ text: $event })"
    />
    <label class="check"
      ><input type="checkbox" #n [checked]="block().numbered" (change)="set({ numbered: n.checked })" />Number the
      lines</label
    >
  `,
  styleUrl: '../editor.css',
})
export class PassageEditor extends EditorPart<BlockOf<'passage'>> {}
