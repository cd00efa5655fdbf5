import { ChangeDetectionStrategy, Component } from '@angular/core';
import { type BlockOf, EditorPart, numberIn } from './editor-part';

/** How many tries a learner may keep. */
@Component({
  selector: 'lv-taken-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="row tag-small"
      >Tries side by side, at most
      <input
        class="input num"
        #m
        type="number"
        min="1"
        max="6"
        [attr.aria-label]="'How many ' + (block().kind === 'photo' ? 'photographs' : 'recordings') + ' may be kept'"
        [value]="block().most"
        (change)="set({ most: n(m.value, 3, 1, 6) })"
    /></label>
  `,
  styleUrl: './editor.css',
})
export class TakenEditor extends EditorPart<BlockOf<'photo' | 'voice'>> {
  protected readonly n = numberIn;
}
