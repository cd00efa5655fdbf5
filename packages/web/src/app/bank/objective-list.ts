import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type AskedObjective,
  type Id,
  type ListedObjective,
  listedObjectiveSchema,
  listOf,
  Problem,
} from '@lorvet/core';
import { readCase, readObjectivesCsv } from '@lorvet/core/lists';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { textOf } from '../platform/files';
import { Clock } from '../platform/clock';
import { BringActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Parts } from '../store/parts';
import { FileButton } from '../ui/file-button';
import { holdsWords } from '../ui/holds-words';
import { IconButton } from '../ui/icon-button';
import { Notice } from '../ui/notice';
import { Removal } from '../ui/removal';
import { stillThere } from '../ui/table/still-there';
import { TABLE } from '../ui/table/table';
import { ProblemCard, type Wrong } from '../ui/problem';
import { bySchema } from '../ui/controls/by-schema';
import { WRONG } from '../ui/controls/wrong';
import { counted, many } from '../platform/many';

const listed = listedObjectiveSchema.shape;

const COLUMNS = [
  { field: 'code', name: 'Code' },
  { field: 'text', name: 'Objective' },
  { field: 'about', name: 'Subject, ages' },
  { field: 'from', name: 'From' },
  { field: 'items', name: 'Asked by' },
] as const;

interface Row {
  readonly id: Id;
  readonly code: string;
  readonly text: string;
  readonly about: string;
  readonly from: string;
  readonly items: number;
  /** On the teacher's list; otherwise only named by activities. */
  readonly isListed: boolean;
}

/** The teacher's list of objectives: typed, or taken from a CSV list or a CASE framework; with how often each is asked. */
@Component({
  selector: 'lv-objective-list',
  imports: [
    IconButton,
    ReactiveFormsModule,
    ProblemCard,
    ButtonDirective,
    FileButton,
    InputText,
    LucideDynamicIcon,
    ...TABLE,
    ...WRONG,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <h2 class="grow">Objectives</h2>
      <lv-file-button accept=".csv,.tsv,.json,application/json,text/csv" (chosen)="take($event)"
        ><svg lucideIcon="upload"></svg>From a file (CSV or CASE)</lv-file-button
      >
    </div>
    <form class="row" [formGroup]="form" (ngSubmit)="add()">
      <input pInputText class="input code" formControlName="code" maxlength="60" aria-label="Code" placeholder="code" />
      <input
        pInputText
        class="input grow"
        formControlName="text"
        aria-describedby="new-objective-says"
        maxlength="300"
        aria-label="Objective"
        placeholder="What a learner can do"
      />
      <button pButton severity="secondary" type="submit"><svg lucideIcon="plus"></svg>Add</button>
    </form>
    <lv-wrong id="new-objective-says" [of]="form.controls.text" />
    @if (problem(); as p) {
      <lv-problem [wrong]="p"><p class="small">Nothing was changed.</p></lv-problem>
    }
    <p-table
      lvTable="objectives"
      says="Objectives"
      [rowHeight]="44"
      [columns]="columns"
      [value]="found()"
      [(selection)]="several"
    >
      <ng-template #caption>
        <div class="row">
          <lv-find hint="code, words, subject …" [(words)]="sought" />
          @if (several().length) {
            @if (chosenOthers().length) {
              <button pButton severity="secondary" type="button" (click)="keep(chosenOthers())">
                Put {{ chosenOthers().length }} on the list
              </button>
            }
            @if (chosenListed().length) {
              <button pButton severity="secondary" type="button" (click)="dropSeveral()">
                Take {{ chosenListed().length }} off the list
              </button>
            }
            <button pButton severity="secondary" text type="button" (click)="several.set([])">Choose none</button>
          }
        </div>
      </ng-template>
      <ng-template #header let-shown
        ><tr lvColumns [columns]="shown" [acts]="true" chosen="Choose all"></tr
      ></ng-template>
      <ng-template #body let-o let-shown="columns">
        <tr>
          <td class="tick"><p-tableCheckbox [value]="o" [ariaLabel]="'Choose ' + o.text" /></td>
          @for (c of shown; track c.field) {
            @if (c.field === 'items') {
              <td>
                <span class="tag" [class.madder]="!o.items">{{ many(o.items, 'item') }}</span>
              </td>
            } @else {
              <td [class.small]="c.field === 'about' || c.field === 'from'">{{ o[c.field] }}</td>
            }
          }
          <td>
            @if (o.isListed) {
              <button type="button" lvIcon="x" [says]="'Take off the list: ' + o.text" (click)="drop(o.id)"></button>
            } @else {
              <button
                pButton
                severity="secondary"
                type="button"
                [attr.aria-label]="'Put on the list: ' + o.text"
                (click)="keep([o])"
              >
                Put on the list
              </button>
            }
          </td>
        </tr>
      </ng-template>
      <ng-template #emptymessage
        ><tr lvNone [span]="columns.length + 2">
          {{
            rows().length
              ? 'No objective has these words.'
              : 'No list yet. Type objectives, or take them from your authority’s file. On the Bench they can be chosen for any activity.'
          }}
        </tr></ng-template
      >
    </p-table>
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
  `,
})
export class ObjectiveList {
  protected readonly many = many;
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly removal = inject(Removal);
  protected readonly problem = signal<Wrong | null>(null);
  /** What the activities ask for, whether or not it is on the list. */
  readonly asked = input<readonly AskedObjective[]>([]);
  protected readonly list = computed(() => listOf(this.work.objectives()));

  constructor() {
    void inject(Parts).list('objectives');
  }
  /** A list of its own: the table moves them in it. */
  protected readonly columns = [...COLUMNS];
  /** The list, and what activities ask for that is not on it. */
  protected readonly rows = computed<Row[]>(() => {
    const asked = new Map(this.asked().map((o) => [o.id, o]));
    const listed = this.list();
    const known = new Set(listed.map((o) => o.id));
    const about = (o: { subject: string; ages: string }) => [o.subject, o.ages].filter(Boolean).join(', ');
    return [
      ...listed.map((o) => ({ ...o, about: about(o), from: o.from || 'typed', isListed: true })),
      ...[...asked.values()]
        .filter((o) => !known.has(o.id))
        .map((o) => ({
          id: o.id,
          code: '',
          text: o.text,
          about: about(o),
          from: o.activities.join(', '),
          isListed: false,
        })),
    ].map((o) => ({ ...o, items: asked.get(o.id)?.items ?? 0 }));
  });
  protected readonly sought = signal('');
  protected readonly found = computed(() =>
    this.rows().filter((r) => holdsWords(this.sought(), r.code, r.text, r.about, r.from)),
  );
  protected readonly several = stillThere(this.found);
  protected readonly chosenListed = computed(() => this.several().filter((r) => r.isListed));
  protected readonly chosenOthers = computed(() => this.several().filter((r) => !r.isListed));

  protected readonly form = new FormGroup({
    code: new FormControl('', { nonNullable: true, validators: bySchema(listed.code, 'A code') }),
    text: new FormControl('', { nonNullable: true, validators: bySchema(listed.text, 'An objective') }),
  });

  protected add(): void {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const { code, text } = this.form.getRawValue();
    const objective: ListedObjective = {
      id: this.clock.newId(),
      code: code.trim(),
      text: text.trim(),
      subject: '',
      ages: '',
      from: '',
    };
    this.work.dispatch(BringActions.objectivesListed({ objectives: [objective], label: 'add an objective' }));
    this.form.reset();
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

  /** With the id that the activities know them by: what asks for one asks for it still. */
  protected keep(rows: readonly Row[]): void {
    const asked = new Map(this.asked().map((o) => [o.id, o]));
    const objectives = rows.map(({ id, text }): ListedObjective => {
      const { subject = '', ages = '' } = asked.get(id) ?? {};
      return { id, code: '', text, subject, ages, from: '' };
    });
    const label = counted(objectives.length, 'add an objective', '{n} objectives');
    this.work.dispatch(BringActions.objectivesListed({ objectives, label }));
  }

  protected dropSeveral(): void {
    void this.removal.several(
      'objective',
      this.chosenListed().map((r) => r.id),
    );
  }

  protected drop(id: string): void {
    void this.removal.remove('objective', id);
  }
}
