import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type ListedObjective, listOf, Problem, readCase, readObjectivesCsv } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { textOf } from '../platform/files';
import { Clock } from '../platform/clock';
import { BringActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Parts } from '../store/parts';
import { FileButton } from '../ui/file-button';
import { Notice } from '../ui/notice';
import { Removal } from '../ui/removal';

const MOST_SHOWN = 300;

/** The teacher's list of objectives: typed, or taken from a CSV list or a CASE framework; with how often each is asked. */
@Component({
  selector: 'lv-objective-list',
  imports: [ButtonDirective, FileButton, InputText, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <h2 class="grow">Objectives</h2>
      <lv-file-button accept=".csv,.tsv,.json,application/json,text/csv" (chosen)="take($event)"
        ><svg lucideIcon="upload"></svg>From a file (CSV or CASE)</lv-file-button
      >
    </div>
    <form class="row" (submit)="$event.preventDefault(); add(code.value, text.value); code.value = text.value = ''">
      <input pInputText class="input code" #code maxlength="60" aria-label="Code" placeholder="code" />
      <input
        pInputText
        class="input grow"
        #text
        maxlength="300"
        aria-label="Objective"
        placeholder="What a learner can do"
      />
      <button pButton severity="secondary" type="submit"><svg lucideIcon="plus"></svg>Add</button>
    </form>
    @if (problem(); as p) {
      <div class="card madder" role="alert">
        <p>{{ p.message }}</p>
        @for (d of p.details; track $index) {
          <p class="small">{{ d }}</p>
        }
        <p class="small">Nothing was changed.</p>
      </div>
    }
    <table>
      <thead>
        <tr>
          <th scope="col">Code</th>
          <th scope="col">Objective</th>
          <th scope="col">From</th>
          <th scope="col">Asked by</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        @for (o of shown(); track o.id) {
          <tr>
            <td>{{ o.code }}</td>
            <td>
              {{ o.text }} <small>{{ o.subject }}{{ o.subject && o.ages ? ', ' : '' }}{{ o.ages }}</small>
            </td>
            <td>
              <small>{{ o.from || 'typed' }}</small>
            </td>
            <td>{{ o.items }} item{{ o.items === 1 ? '' : 's' }}</td>
            <td>
              <button
                pButton
                severity="secondary"
                text
                class="icon"
                type="button"
                [attr.aria-label]="'Take off the list: ' + o.text"
                (click)="drop(o.id)"
              >
                <svg lucideIcon="x"></svg>
              </button>
            </td>
          </tr>
        } @empty {
          <tr>
            <td colspan="5" class="small">
              No list yet. Type objectives, or take them from your authority’s file. On the Bench they can be chosen for
              any activity.
            </td>
          </tr>
        }
      </tbody>
    </table>
    @if (list().length > shown().length) {
      <p class="small">The first {{ shown().length }} of {{ list().length }}.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
      align-content: start;
      padding: 14px 18px;
    }
    .code {
      width: 110px;
    }
    label:focus-within {
      outline: 3px solid var(--focus);
    }
    table {
      width: 100%;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 6px 8px 6px 0;
      border-bottom: 1px solid var(--line);
      text-align: left;
      vertical-align: top;
    }
    th {
      font-size: 13px;
      color: var(--ink-2);
    }
  `,
})
export class ObjectiveList {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly removal = inject(Removal);
  protected readonly problem = signal<{ message: string; details: readonly string[] } | null>(null);
  private readonly uses = computed(() => {
    const uses = new Map<string, number>();
    for (const { asks } of this.work.familyHeads())
      for (const [id, n] of Object.entries(asks)) uses.set(id, (uses.get(id) ?? 0) + n);
    return uses;
  });
  protected readonly list = computed(() => listOf(this.work.objectives()));

  constructor() {
    void inject(Parts).list('objectives');
  }
  protected readonly shown = computed(() =>
    this.list()
      .slice(0, MOST_SHOWN)
      .map((o) => ({ ...o, items: this.uses().get(o.id) ?? 0 })),
  );

  protected add(code: string, text: string): void {
    const words = text.trim();
    if (!words) return;
    const objective: ListedObjective = {
      id: this.clock.newId(),
      code: code.trim(),
      text: words,
      subject: '',
      ages: '',
      from: '',
    };
    this.work.dispatch(BringActions.objectivesListed({ objectives: [objective], label: 'add an objective' }));
  }

  protected async take(file: File): Promise<void> {
    this.problem.set(null);
    try {
      const text = await textOf(file, 5);
      const json = /\.json$/i.test(file.name) || text.trimStart().startsWith('{');
      const { objectives, bad } = json ? readCase(text) : readObjectivesCsv(text, file.name, () => this.clock.newId());
      const known = new Set(this.list().map((o) => `${o.code}\n${o.text}`));
      const fresh = objectives.filter((o) => !known.has(`${o.code}\n${o.text}`));
      this.work.dispatch(BringActions.objectivesListed({ objectives: fresh, label: `${fresh.length} objectives` }));
      this.notice.done(
        `${fresh.length} objectives taken in`,
        objectives.length > fresh.length ? `${objectives.length - fresh.length} were there already.` : '',
      );
      if (bad.length)
        this.problem.set({
          message: `${bad.length} could not be taken.`,
          details: bad.slice(0, 8).map((b) => `Line ${b.line}: ${b.why}`),
        });
    } catch (error) {
      this.problem.set(
        error instanceof Problem
          ? { message: error.message, details: error.details }
          : { message: 'This file could not be read.', details: [] },
      );
    }
  }

  protected drop(id: string): void {
    void this.removal.remove('objective', id);
  }
}
