import { ChangeDetectionStrategy, Component } from '@angular/core';
import { type BlockOf, EditorPart, numberIn } from '../editor-part';

@Component({
  selector: 'lv-voice-editor',
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
        aria-label="How many recordings may be kept"
        [value]="block().most"
        (change)="set({ most: n(m.value, 3, 1, 6) })"
    /></label>
  `,
  styleUrl: '../editor.css',
})
export class VoiceEditor extends EditorPart<BlockOf<'voice'>> {
  protected readonly n = numberIn;
}
