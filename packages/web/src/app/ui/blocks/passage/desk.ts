import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { plainRich } from '@lorvet/core/rich';
import { DeskPart, type LearnerBlockOf } from '../part';
import { Rich } from '../rich';

/** Letters in a numbered line: short enough for large print, so that line 12 is line 12 on screen and on paper. */
const LINE = 56;

@Component({
  selector: 'lv-passage-desk',
  imports: [Rich],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (block().title) {
      <h3>{{ block().title }}</h3>
    }
    @if (block().numbered) {
      <ol>
        @for (line of lines(); track $index; let i = $index) {
          <li>
            <span class="n" aria-hidden="true">{{ (i + 1) % 5 === 0 || i === 0 ? i + 1 : '' }}</span>{{ line }}
          </li>
        }
      </ol>
    } @else {
      <lv-rich [text]="block().text" />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    h3 {
      font: 400 1.15em var(--serif);
      color: inherit;
    }
    li {
      display: grid;
      grid-template-columns: 2.4em minmax(0, 1fr);
      min-height: 1.4em;
    }
    .n {
      color: var(--ink-2);
      font-size: 0.8em;
    }
  `,
})
export class PassageDesk extends DeskPart<LearnerBlockOf<'passage'>> {
  protected readonly lines = computed(() =>
    plainRich(this.block().text)
      .split('\n')
      .flatMap((para) => {
        const lines: string[] = [''];
        for (const word of para.split(/\s+/)) {
          const last = lines[lines.length - 1] ?? '';
          if (last && last.length + 1 + word.length > LINE) lines.push(word);
          else lines[lines.length - 1] = last ? `${last} ${word}` : word;
        }
        return lines;
      }),
  );
}
