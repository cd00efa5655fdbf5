import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type CopyState, holdersOf, stateNow } from '@lorvet/core';
import { Clock } from '../platform/clock';
import { WorkspaceStore } from '../store/workspace';
import { whenIn } from '../ui/when';

/** All that was given out, and how far it is. */
@Component({
  selector: 'lv-marking-list',
  imports: [RouterLink],
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
      } @else {
        <div class="empty">
          <h2>No work yet</h2>
          <p>
            Once something is given out, its work stands here: all learners on the same questions, whichever version
            they had.
          </p>
          <a class="btn main" routerLink="/hand-outs">To the hand-outs</a>
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
  protected readonly rows = computed(() => {
    const now = this.clock.local();
    const { states } = this.work.index();
    return this.work
      .handOutHeads()
      .filter((h) => h.state === 'given')
      .reverse()
      .sort((a, b) => (b.givenAt ?? '').localeCompare(a.givenAt ?? ''))
      .map((h) => {
        const counts = new Map<CopyState, number>();
        const here = states[h.id]?.states ?? {};
        const learners = holdersOf(h);
        for (const id of learners) {
          const state = stateNow(h, here[id], now);
          counts.set(state, (counts.get(state) ?? 0) + 1);
        }
        return { h, n: learners.length, states: [...counts].map(([state, count]) => ({ state, count })) };
      });
  });
}
