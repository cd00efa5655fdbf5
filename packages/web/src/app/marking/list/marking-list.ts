import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { countStates, countWorks, stateNow } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../../platform/clock';
import { WorkspaceStore } from '../../store/workspace';
import { TABLE } from '../../ui/table/table';
import { whenIn } from '../../ui/when';
import { Empty } from '../../ui/empty';
import { many } from '../../platform/many';
import { Queue } from './queue';

const COLUMNS = [
  { field: 'title', name: 'Work' },
  { field: 'dueAt', name: 'Due' },
  { field: 'learners', name: 'For' },
  { field: 'submitted', name: 'To look at' },
  { field: 'atWork', name: 'At work' },
  { field: 'complete', name: 'Done' },
] as const;

/** All that was given out, and how far it is. */
@Component({
  selector: 'lv-marking-list',
  imports: [Empty, ButtonDirective, RouterLink, ...TABLE],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>Marking</h1>
      @if (rows().length) {
        <p-table
          lvTable="marking"
          says="Work to mark"
          [rowHeight]="51"
          seen="78vh"
          [columns]="columns"
          [value]="rows()"
        >
          <ng-template #header let-shown><tr lvColumns [columns]="shown" [acts]="true"></tr></ng-template>
          <ng-template #body let-r let-shown="columns">
            <tr>
              @for (c of shown; track c.field) {
                @switch (c.field) {
                  @case ('title') {
                    <th scope="row">
                      <a [routerLink]="['/marking', r.id]">{{ r.title }}</a>
                    </th>
                  }
                  @case ('dueAt') {
                    <td>{{ r.due }}</td>
                  }
                  @case ('learners') {
                    <td>
                      {{ many(r.learners, r.isShared ? 'group' : 'learner') }}
                      <span class="bar" aria-hidden="true">
                        <i class="done" [style.flex-grow]="r.complete"></i
                        ><i class="in" [style.flex-grow]="r.submitted"></i
                        ><i class="at" [style.flex-grow]="r.atWork"></i><i [style.flex-grow]="r.toStart"></i>
                      </span>
                    </td>
                  }
                  @case ('submitted') {
                    <td>
                      @if (r.submitted) {
                        <span class="tag ochre">{{ r.submitted }} submitted</span>
                      }
                    </td>
                  }
                  @case ('atWork') {
                    <td>
                      {{ r.atWork || '' }}<small>{{ r.rest }}</small>
                    </td>
                  }
                  @case ('complete') {
                    <td>
                      @if (r.complete) {
                        <span class="tag moss">{{ r.complete }} complete</span>
                      }
                    </td>
                  }
                }
              }
              <td class="act">
                @if (r.submitted) {
                  <a
                    pButton
                    [routerLink]="['/marking', r.id]"
                    [attr.aria-label]="'Look at ' + r.submitted + ': ' + r.title"
                    >Look at {{ r.submitted }}</a
                  >
                } @else {
                  <a
                    pButton
                    severity="secondary"
                    [routerLink]="['/marking', r.id]"
                    [attr.aria-label]="'Open: ' + r.title"
                    >Open</a
                  >
                }
              </td>
            </tr>
          </ng-template>
        </p-table>
        @if (queue.shown().length) {
          <section class="card" aria-label="Waiting">
            <h2>Waiting to be looked at, the longest first</h2>
            <ol class="queue">
              @for (w of queue.shown(); track w.id) {
                <li>
                  <a
                    pButton
                    severity="secondary"
                    [routerLink]="['/marking', w.handOutId]"
                    [queryParams]="{ learner: w.key }"
                    [attr.aria-label]="w.name + ', ' + w.title + (w.since ? ', since ' + whenIn(w.since) : '')"
                    ><b>{{ w.name }}</b
                    ><span class="small">{{ w.title }}{{ w.since ? ' · ' + whenIn(w.since) : '' }}</span></a
                  >
                </li>
              }
              @if (queue.more(); as more) {
                <li class="small">and {{ more }} more</li>
              }
            </ol>
          </section>
        }
      } @else {
        <lv-empty heading="No work yet"
          >Once something is given out, its work stands here: all learners on the same questions, whichever version they
          had. <a pButton routerLink="/hand-outs">To the hand-outs</a></lv-empty
        >
      }
    </div>
  `,
  styles: `
    .page {
      max-width: 1240px;
      margin: 0 auto;
      padding: 16px 20px;
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 14px;
    }
    th[scope='row'] {
      min-width: 180px;
      font-weight: 650;
    }
    small {
      display: block;
    }
    section {
      display: grid;
      gap: 10px;
    }
    .act {
      text-align: end;
    }
    .bar {
      display: flex;
      width: 120px;
      height: 8px;
      margin-top: 3px;
      border: 1px solid var(--line-strong);
      border-radius: 4px;
      overflow: hidden;
    }
    .bar i {
      flex: 0 0 0;
    }
    .done {
      background: var(--moss);
    }
    .in {
      background: repeating-linear-gradient(135deg, var(--ochre) 0 3px, var(--ochre-soft) 3px 6px);
    }
    .at {
      background: var(--line-strong);
    }
    .queue {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
      gap: 8px;
    }
    .queue a {
      display: grid;
      justify-items: start;
      width: 100%;
      text-align: start;
    }
  `,
})
export class MarkingList {
  protected readonly many = many;
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  /** The newest first. */
  protected readonly heads = computed(() =>
    this.work
      .handOutHeads()
      .filter((h) => h.state === 'given' && h.kind === 'work')
      .reverse()
      .sort((a, b) => (b.givenAt ?? '').localeCompare(a.givenAt ?? '')),
  );
  /** A list of its own: the table moves them in it. */
  protected readonly columns = [...COLUMNS];
  /** What waits to be looked at first, then the newest. */
  protected readonly rows = computed(() => {
    const now = this.clock.local();
    const states = this.work.states();
    return this.heads()
      .map((h) => {
        const learners = countWorks(h);
        const isOpen = stateNow(h, undefined, now) === 'to start';
        const count = countStates(states[h.id]);
        const { submitted, complete } = count;
        const atWork = isOpen ? count.working + count['another go'] : 0;
        const toStart = learners - submitted - complete - atWork;
        return {
          id: h.id,
          title: h.title,
          dueAt: h.dueAt ?? '',
          due: h.dueAt ? `due ${whenIn(h.dueAt)}` : 'due any time',
          learners,
          isShared: h.shared.length > 0,
          teams: h.teams,
          submitted,
          complete,
          atWork,
          toStart,
          rest: isOpen ? (toStart ? `${toStart} to start` : '') : 'not open yet',
        };
      })
      .sort((a, b) => Number(b.submitted > 0) - Number(a.submitted > 0));
  });
  protected readonly queue = new Queue(this.rows);
  protected readonly whenIn = whenIn;
}
