import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { textChanges } from '@lorvet/core';

/** From this share of the old words on, a text counts as written anew, and striking it through word by word says nothing. */
const WRITTEN_ANEW = 0.6;

/** What changed between two texts: gone words struck through, new ones marked. */
@Component({
  selector: 'lv-changes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (lines(); as all) {
      <ul>
        @for (l of all; track $index) {
          <li [class]="l.kind">
            @if (l.kind !== 'same') {
              <span class="tag">{{ l.kind }}</span>
            }
            {{ l.text }}
          </li>
        }
      </ul>
    } @else {
      @for (p of shown(); track $index) {
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
      }
    }`,
  styles: `
    :host > :not(ul) {
      white-space: pre-wrap;
    }
    ul {
      display: grid;
      gap: 2px;
    }
    .gone {
      color: var(--ink-3);
    }
    .new {
      font-weight: 650;
    }
  `,
})
export class Changes {
  readonly was = input.required<string>();
  readonly now = input.required<string>();
  /** Lists are compared line by line: what is gone and what is new is said, and nothing is struck through. */
  protected readonly lines = computed(() => {
    const [was, now] = [this.was().split('\n'), this.now().split('\n')];
    if (was.length < 2 && now.length < 2) return null;
    const gone = was.filter((l) => l && !now.includes(l)).map((text) => ({ kind: 'gone' as const, text }));
    const here = now
      .filter(Boolean)
      .map((text) => ({ kind: was.includes(text) ? ('same' as const) : ('new' as const), text }));
    return [...here, ...gone];
  });
  protected readonly shown = computed(() => {
    const parts = textChanges(this.was(), this.now());
    const gone = parts.filter((p) => p.kind === 'gone').reduce((n, p) => n + p.text.length, 0);
    return gone > this.was().length * WRITTEN_ANEW ? parts.filter((p) => p.kind !== 'gone') : parts;
  });
}
