import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { textChanges } from '@lorvet/core';

/** From this share of the old words on, a text counts as written anew, and striking it through word by word says nothing. */
const WRITTEN_ANEW = 0.6;

/** What changed between two texts: gone words struck through, new ones marked. */
@Component({
  selector: 'lv-changes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (p of shown(); track $index) {
    @switch (p.kind) {
      @case ('gone') {
        <del>{{ p.text }}</del>
      }
      @case ('new') {
        <ins>{{ p.text }}</ins>
      }
      @default {
        <span>{{ p.text }}</span>
      }
    }
  }`,
  styles: `
    :host > * {
      white-space: pre-wrap;
    }
  `,
})
export class Changes {
  readonly was = input.required<string>();
  readonly now = input.required<string>();
  protected readonly shown = computed(() => {
    const parts = textChanges(this.was(), this.now());
    const gone = parts.filter((p) => p.kind === 'gone').reduce((n, p) => n + p.text.length, 0);
    return gone > this.was().length * WRITTEN_ANEW ? parts.filter((p) => p.kind !== 'gone') : parts;
  });
}
