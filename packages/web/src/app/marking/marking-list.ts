import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { countHolders, countStates, stateNow } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { TableModule } from 'primeng/table';
import { Clock } from '../platform/clock';
import { WorkspaceStore } from '../store/workspace';
import { whenIn } from '../ui/when';

/** From here on only the rows that are seen are drawn. */
const MANY = 200;

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
  imports: [ButtonDirective, RouterLink, TableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>Marking</h1>
      @if (rows().length) {
        <p-table
          [value]="rows()"
          dataKey="id"
          stateKey="lorvet-marking"
          stateStorage="local"
          [reorderableColumns]="true"
          [scrollable]="true"
          [scrollHeight]="rows().length > MANY ? '78vh' : ''"
          [virtualScroll]="rows().length > MANY"
          [virtualScrollItemSize]="51"
        >
          <ng-template #header>
            <tr>
              @for (c of columns; track c.field) {
                <th scope="col" [pSortableColumn]="c.field" pReorderableColumn>
                  {{ c.name }}<p-sortIcon [field]="c.field" />
                </th>
              }
              <th scope="col"><span class="sr">Actions</span></th>
            </tr>
          </ng-template>
          <ng-template #body let-r>
            <tr>
              <th scope="row">
                <a [routerLink]="['/marking', r.id]">{{ r.title }}</a>
              </th>
              <td>{{ r.due }}</td>
              <td>{{ r.learners }} learners</td>
              <td>
                @if (r.submitted) {
                  <span class="tag ochre">{{ r.submitted }} submitted</span>
                }
              </td>
              <td>
                {{ r.atWork || '' }}<small>{{ r.rest }}</small>
              </td>
              <td>
                @if (r.complete) {
                  <span class="tag moss">{{ r.complete }} complete</span>
                }
              </td>
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
    .act {
      text-align: end;
    }
  `,
})
export class MarkingList {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  /** The newest first. */
  protected readonly heads = computed(() =>
    this.work
      .handOutHeads()
      .filter((h) => h.state === 'given')
      .reverse()
      .sort((a, b) => (b.givenAt ?? '').localeCompare(a.givenAt ?? '')),
  );
  protected readonly MANY = MANY;
  protected readonly columns = COLUMNS;
  /** What waits to be looked at first, then the newest. */
  protected readonly rows = computed(() => {
    const now = this.clock.local();
    const states = this.work.states();
    return this.heads()
      .map((h) => {
        const learners = countHolders(h);
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
          submitted,
          complete,
          atWork,
          rest: isOpen ? (toStart ? `${toStart} to start` : '') : 'not open yet',
        };
      })
      .sort((a, b) => Number(b.submitted > 0) - Number(a.submitted > 0));
  });
}
