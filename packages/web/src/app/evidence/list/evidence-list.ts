import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { holdersOf, supportsOn } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { many } from '../../platform/many';
import { WorkspaceStore } from '../../store/workspace';
import { SELECT } from '../../ui/controls/select';
import { Empty } from '../../ui/empty';
import { TABLE } from '../../ui/table/table';
import { dayIn } from '../../ui/when';
import { EvidenceChoices } from '../choices';
import { EvidenceHead } from '../evidence-head';
import { EvidenceWriting } from '../writing';

const COLUMNS = [
  { field: 'name', name: 'Learner' },
  { field: 'className', name: 'Class' },
  { field: 'works', name: 'Given' },
  { field: 'supports', name: 'Supports agreed' },
  { field: 'goals', name: 'Goals' },
  { field: 'reviewOn', name: 'Next review' },
] as const;

/** All learners, each with what was given in a time: their folders, one at a press. */
@Component({
  selector: 'lv-evidence-list',
  imports: [ButtonDirective, Empty, EvidenceHead, RouterLink, ...SELECT, ...TABLE],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      @if (work.people().learners.length) {
        <lv-evidence-head heading="Evidence">
          <div acts class="row acts">
            <lv-select label="Of" [value]="classId()" (chosen)="classId.set($event)">
              <lv-option value="" label="All learners" />
              @for (c of work.people().classes; track c.id) {
                <lv-option [value]="c.id" [label]="c.name" />
              }
            </lv-select>
            <button pButton type="button" [disabled]="isBusy()" (click)="all('each')">
              {{ many(rows().length, 'learner') }} as {{ choices.formName() }}
            </button>
            @if (choices.form() === 'pdf' || choices.form() === 'docx') {
              <button pButton severity="secondary" type="button" [disabled]="isBusy()" (click)="all('overview')">
                Class at a glance
              </button>
            }
          </div>
        </lv-evidence-head>
        <p-table
          lvTable="evidence"
          says="Evidence by learner"
          [rowHeight]="45"
          seen="68vh"
          [columns]="columns"
          [value]="rows()"
          [virtualScrollOptions]="beside"
        >
          <ng-template #header let-shown><tr lvColumns [columns]="shown" [acts]="true"></tr></ng-template>
          <ng-template #body let-r let-shown="columns">
            <tr>
              @for (c of shown; track c.field) {
                @switch (c.field) {
                  @case ('name') {
                    <th scope="row">
                      <a [routerLink]="['/evidence/of', r.id]">{{ r.name }}</a>
                    </th>
                  }
                  @case ('works') {
                    <td>{{ r.works || '' }}</td>
                  }
                  @case ('reviewOn') {
                    <td>
                      @if (r.reviewOn) {
                        <span class="tag" [class.ochre]="r.isDue">{{ dayIn(r.reviewOn) }}</span>
                      }
                    </td>
                  }
                  @case ('className') {
                    <td>{{ r.className }}</td>
                  }
                  @case ('supports') {
                    <td>{{ r.supports || '' }}</td>
                  }
                  @case ('goals') {
                    <td>{{ r.goals || '' }}</td>
                  }
                }
              }
              <td class="act">
                <button
                  pButton
                  severity="secondary"
                  type="button"
                  [disabled]="isBusy()"
                  [attr.aria-label]="'As ' + choices.formName() + ': ' + r.name"
                  (click)="one(r.id)"
                >
                  As {{ choices.formName() }}
                </button>
              </td>
            </tr>
          </ng-template>
        </p-table>
      } @else {
        <lv-empty heading="No evidence yet"
          >Once learners are here and work is given out, all that was adjusted for each of them is gathered here.
          <a pButton routerLink="/learners">To the learners</a></lv-empty
        >
      }
    </div>
  `,
  styles: `
    .page {
      max-width: 1240px;
      margin: 0 auto;
      padding: 14px 16px;
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 12px;
    }
    .acts {
      align-items: end;
      margin-left: auto;
    }
    th[scope='row'] {
      min-width: 160px;
      font-weight: 650;
    }
    .act {
      text-align: end;
    }
  `,
})
export class EvidenceList {
  protected readonly work = inject(WorkspaceStore);
  protected readonly choices = inject(EvidenceChoices);
  private readonly writing = inject(EvidenceWriting);
  protected readonly many = many;
  protected readonly dayIn = dayIn;
  protected readonly columns = [...COLUMNS];
  /** Rows that wait above and below what is seen: a press on a name leaves the list, and each row takes a while to go. */
  protected readonly beside = { numToleratedItems: 3 };
  protected readonly classId = signal('');
  protected readonly isBusy = computed(() => this.writing.work.busy() !== null);

  /** How much was given to each in the time. */
  private readonly given = computed(() => {
    const { from, until } = this.choices.period();
    const count = new Map<string, number>();
    for (const h of this.work.handOutHeads()) {
      const day = h.givenAt?.slice(0, 10) ?? '';
      if (h.state !== 'given' || h.kind !== 'work' || (from && day < from) || (until && day > until)) continue;
      for (const id of holdersOf(h)) count.set(id, (count.get(id) ?? 0) + 1);
    }
    return count;
  });
  protected readonly rows = computed(() => {
    const { learners, classes, today } = this.work.people();
    const only = classes.find((c) => c.id === this.classId());
    return learners
      .filter((l) => !only || only.learnerIds.includes(l.id))
      .map((l) => {
        const days = [...l.needs.supports.map((s) => s.reviewOn), ...l.needs.goals.map((g) => g.by)]
          .filter(Boolean)
          .sort();
        const reviewOn = days.find((d) => d >= today) ?? days.at(-1) ?? '';
        return {
          id: l.id,
          name: l.name,
          className: classes
            .filter((c) => c.learnerIds.includes(l.id))
            .map((c) => c.name)
            .join(', '),
          works: this.given().get(l.id) ?? 0,
          supports: supportsOn(l.needs.supports, today).length,
          goals: l.needs.goals.length,
          reviewOn,
          isDue: reviewOn !== '' && reviewOn <= today,
        };
      });
  });

  protected all(scope: 'each' | 'overview'): void {
    const name = this.work.people().classes.find((c) => c.id === this.classId())?.name ?? 'All learners';
    void this.writing.write(
      this.rows().map((r) => r.id),
      name,
      scope,
    );
  }

  protected one(id: string): void {
    void this.writing.write([id], '');
  }
}
