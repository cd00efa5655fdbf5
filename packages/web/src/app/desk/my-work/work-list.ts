import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { CopyState } from '@lorvet/core/desk';
import { Clock } from '../../platform/clock';
import { type Plain, Say, saying } from '../../ui/say/say';
import { SwatchMark } from '../../ui/swatch';
import { Companions } from '../companions/companions';
import type { DeskWork } from '../desk-work';

const SAYS: Record<CopyState, { readonly state: Plain; readonly press: Plain }> = {
  // Nothing is said of it: it is not on the desk.
  'not open yet': { state: 'New', press: 'Look' },
  'to start': { state: 'New', press: 'Start' },
  working: { state: 'Begun', press: 'Go on' },
  submitted: { state: 'Submitted', press: 'Look' },
  'another go': { state: 'Have another go', press: 'Another go' },
  complete: { state: 'Finished', press: 'Look' },
};

/** What can still be written in. */
export const OPEN: ReadonlySet<CopyState> = new Set<CopyState>(['to start', 'working', 'another go']);

/** Whether nothing can be begun or submitted any more, at a local minute. */
export const isOver = ({ work }: DeskWork, now: string): boolean => work.closesAt !== null && work.closesAt <= now;

/** What the press on a piece of work is called. */
export function pressOf(w: DeskWork, now: string): Plain {
  if (w.work.way === 'to-read') return 'Read';
  return OPEN.has(w.state) && isOver(w, now) ? 'Look' : SAYS[w.state].press;
}

/** Pieces of work under one heading. */
@Component({
  selector: 'lv-work-list',
  imports: [Companions, RouterLink, SwatchMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      <h2>{{ t(name()) }}</h2>
      <ul>
        @for (w of works(); track w.id) {
          <li class="card">
            <lv-swatch [swatch]="w.work.swatch" [size]="44" />
            <div class="grow">
              <h3>{{ w.work.title }}</h3>
              <p>
                {{ t(w.work.way === 'to-read' ? 'To read' : says[w.state].state) }}
                @if (name() === 'Then' && w.work.dueAt; as due) {
                  · {{ t('due {when}', { when: soon(due) }) }}
                }
              </p>
              <lv-companions [of]="w.id" [list]="w.work.companions" />
              @if (w.state === 'complete' && w.work.said.comment; as word) {
                <p class="word">{{ t('Your teacher says:') }} {{ word }}</p>
              }
            </div>
            <a class="btn" [routerLink]="['/desk/work', w.id]"
              >{{ t(press(w)) }}<span class="sr">: {{ w.work.title }}</span></a
            >
          </li>
        }
      </ul>
    </section>
  `,
  styles: `
    :host {
      display: block;
    }
    h2 {
      font-size: 1.1em;
    }
    section {
      display: grid;
      gap: 12px;
    }
    ul {
      display: grid;
      gap: 12px;
    }
    h3 {
      font-size: 1.05em;
      font-weight: 650;
      color: var(--ink);
    }
    li.card {
      display: flex;
      align-items: center;
      flex-wrap: wrap;
      gap: 12px 18px;
      padding: 16px 20px;
    }
    .word {
      padding: 8px 12px;
      border-inline-start: 4px solid var(--moss);
      background: var(--sunken);
    }
    .btn {
      min-height: 50px;
      padding: 4px 22px;
      font-size: 0.95em;
    }
  `,
})
export class WorkList {
  readonly name = input.required<Plain>();
  readonly works = input.required<readonly DeskWork[]>();
  private readonly clock = inject(Clock);
  protected readonly says = SAYS;
  private readonly speaks = inject(Say);
  protected readonly t = saying();

  protected press(w: DeskWork): Plain {
    return pressOf(w, this.clock.minute());
  }

  protected soon(at: string): string {
    return this.speaks.soon(at, this.clock.local());
  }
}
