import { ChangeDetectionStrategy, Component, computed, inject, model, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { agreed, EMPTY_NEEDS, NO_PERSON, Problem, READING } from '@lorvet/core';
import {
  CLASS_FIELD_LABELS,
  CLASS_FIELDS,
  type ClassField,
  type ClassTable,
  dateOrderOf,
  type DateOrder,
  type ListedLearner,
  mapClassList,
  readClassTable,
  sayLines,
} from '@lorvet/core/lists';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { textOf } from '../platform/files';
import { SELECT } from '../ui/controls/select';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { LearnersActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { FileButton } from '../ui/file-button';
import { Notice } from '../ui/notice';
import { ProblemCard } from '../ui/problem';
import { TABLE } from '../ui/table/table';
import { dayIn } from '../ui/when';
import { counted } from '../platform/many';

const COLUMNS = [
  { field: 'name', name: 'Name' },
  { field: 'class', name: 'Class' },
  { field: 'birthday', name: 'Birthday' },
  { field: 'readingGrade', name: 'Reads at' },
  { field: 'supports', name: 'Supports' },
  { field: 'groups', name: 'Groups' },
] as const;
const MOST_BYTES = 5 * 1024 * 1024;

/** Brings a class from a CSV list: columns mapped, every bad line named, nothing changed until it is taken. */
@Component({
  selector: 'lv-import-class-list',
  imports: [
    ButtonDirective,
    DIALOG,
    FileButton,
    InputText,
    LucideDynamicIcon,
    ProblemCard,
    Textarea,
    ...SELECT,
    ...TABLE,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './import-class-list.html',
  styles: `
    .map {
      display: grid;
      grid-template-columns: repeat(3, 1fr);
      gap: 8px;
    }
    .scroll {
      max-height: 190px;
      overflow: auto;
    }
    .end {
      justify-content: flex-end;
    }
  `,
})
export class ImportClassList {
  protected readonly counted = counted;
  readonly open = model(false);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  protected readonly columns = COLUMNS;
  protected readonly fields = CLASS_FIELDS.map((field) => ({ field, label: CLASS_FIELD_LABELS[field] }));
  protected readonly table = signal<ClassTable | null>(null);
  protected readonly mapping = signal<Partial<Record<ClassField, number>>>({});
  protected readonly className = signal('');
  protected readonly sayLines = sayLines;
  protected readonly dayIn = dayIn;
  /** How dates in the column of birthdays are written; null where the column says it itself. */
  protected readonly asked = computed(() => {
    const table = this.table();
    const column = this.mapping().birthday;
    return table && column !== undefined ? dateOrderOf(table.rows.map((r) => r.cells[column] ?? '')) : undefined;
  });
  protected readonly chosenOrder = signal<DateOrder>('day first');
  private readonly order = computed(() => this.asked() ?? this.chosenOrder());
  protected readonly problem = signal('');
  protected readonly fileName = signal('');

  protected readonly result = computed(() => {
    const table = this.table();
    if (!table) return null;
    try {
      const read = mapClassList(table, this.mapping(), this.className(), this.order());
      const { learners, classes } = this.work.people();
      const isHere = (l: ListedLearner, c: string) => {
        const home = classes.find((x) => x.name === c);
        return learners.some((x) => x.name === l.name && home?.learnerIds.includes(x.id));
      };
      const known = read.learners.filter((l) => l.classes.some((c) => isHere(l, c)));
      return {
        fresh: read.learners.filter((l) => !known.includes(l)),
        bad: known.length
          ? [
              ...read.bad,
              {
                why: 'They are in the class already.',
                lines: known.map((l) => l.line),
                examples: known.slice(0, 3).map((l) => `${l.name} in ${l.classes.join(', ')}`),
              },
            ]
          : read.bad,
        wrong: '',
      };
    } catch (error) {
      return { fresh: [], bad: [], wrong: error instanceof Problem ? error.message : 'This list could not be read.' };
    }
  });

  protected async choose(file: File): Promise<void> {
    this.clear();
    this.fileName.set(file.name);
    if (file.size > MOST_BYTES) {
      this.problem.set(`“${file.name}” is larger than 5 MB: that is no class list. Nothing was changed.`);
      return;
    }
    try {
      this.take(await textOf(file, 5));
    } catch (error) {
      this.problem.set(error instanceof Problem ? error.message : 'This file could not be read. Nothing was changed.');
    }
  }

  /** A table that was copied in a spreadsheet, or written by hand. */
  protected paste(text: string): void {
    if (!text.trim()) return;
    this.clear();
    try {
      this.take(text);
    } catch (error) {
      this.problem.set(error instanceof Problem ? error.message.replace('This file', 'What was pasted') : '');
    }
  }

  private take(text: string): void {
    const table = readClassTable(text);
    this.mapping.set(table.guess);
    this.table.set(table);
  }

  protected map(field: ClassField, value: number | null): void {
    const { [field]: _, ...rest } = this.mapping();
    this.mapping.set(value === null ? rest : { ...rest, [field]: value });
  }

  protected bringIn(): void {
    const fresh = this.result()?.fresh ?? [];
    const list = fresh.map((l) => ({
      learner: {
        id: this.clock.newId(),
        name: l.name,
        needs: {
          ...EMPTY_NEEDS,
          levels:
            l.readingGrade === null ? [] : [{ skill: READING, scale: 'grade' as const, value: l.readingGrade, on: '' }],
          supports: l.supports.map(agreed),
          interests: [...l.interests],
          languages: [...l.languages],
        },
        ...NO_PERSON,
        birthday: l.birthday,
        chosenName: l.called,
      },
      classNames: l.classes,
      groupNames: l.groups,
    }));
    this.work.dispatch(LearnersActions.classListImported({ list, stamp: this.work.stamp(list.length * 3) }));
    this.close();
    this.notice.done(
      counted(list.length, '{n} learner came in', '{n} learners came in'),
      'Undo takes all of them back at once.',
    );
  }

  protected close(): void {
    this.open.set(false);
    this.clear();
  }

  private clear(): void {
    this.table.set(null);
    this.problem.set('');
    this.fileName.set('');
  }
}
