import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type CopyState, countHolders, countStates, stateNow } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../platform/clock';
import { WorkspaceStore } from '../store/workspace';
import { growing } from '../ui/growing';
import { Near } from '../ui/near';
import { whenIn } from '../ui/when';

/** So many come at once. */
const ROWS = 30;

/** All that was given out, and how far it is. */
@Component({
  selector: 'lv-marking-list',
  imports: [ButtonDirective, Near, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>Marking</h1>
      @if (rows().length) {
        <ul>
          @for (r of rows(); track r.h.id) {
            <li class="card">
              <div class="grow">
                <h2>
                  <a [routerLink]="['/marking', r.h.id]">{{ r.h.title }}</a>
                </h2>
                <p class="small">{{ r.h.dueAt ? 'due ' + whenIn(r.h.dueAt) : 'due any time' }} · {{ r.n }} learners</p>
              </div>
              @for (s of r.states; track s.state) {
                <span class="tag" [class.ochre]="s.state === 'submitted'" [class.moss]="s.state === 'complete'"
                  >{{ s.count }} {{ s.state }}</span
                >
              }
            </li>
          }
        </ul>
        @if (rows().length < heads().length) {
          <p class="small" (lvNear)="drawn.grow()">{{ heads().length - rows().length }} more …</p>
        }
      } @else {
        <div class="empty">
          <h2>No work yet</h2>
          <p>
            Once something is given out, its work stands here: all learners on the same questions, whichever version
            they had.
          </p>
          <a pButton routerLink="/hand-outs">To the hand-outs</a>
        </div>
      }
    </div>
  `,
  styles: `
    .page {
      max-width: 980px;
      margin: 0 auto;
      padding: 16px 20px;
      display: grid;
      gap: 14px;
    }
    ul {
      display: grid;
      gap: 10px;
    }
    li {
      display: flex;
      align-items: center;
      flex-wrap: wrap;
      gap: 8px;
    }
  `,
})
export class MarkingList {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  protected readonly whenIn = whenIn;
  /** The newest first. */
  protected readonly heads = computed(() =>
    this.work
      .handOutHeads()
      .filter((h) => h.state === 'given')
      .reverse()
      .sort((a, b) => (b.givenAt ?? '').localeCompare(a.givenAt ?? '')),
  );
  protected readonly drawn = growing(() => undefined, ROWS, ROWS);
  protected readonly rows = computed(() => {
    const now = this.clock.local();
    const states = this.work.states();
    return this.heads()
      .slice(0, this.drawn.budget())
      .map((h) => {
        const n = countHolders(h);
        const isOpen = stateNow(h, undefined, now) === 'to start';
        const counts = new Map<CopyState, number>();
        let rest = n;
        for (const [state, count] of Object.entries(countStates(states[h.id])) as [CopyState, number][]) {
          if (isOpen && count > 0) counts.set(state, count);
          rest -= count;
        }
        if (!isOpen) counts.set('not open yet', n);
        else if (rest > 0) counts.set('to start', rest);
        return { h, n, states: [...counts].map(([state, count]) => ({ state, count })) };
      });
  });
}
