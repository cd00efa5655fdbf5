import { ChangeDetectionStrategy, Component, computed, inject, model, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { EMPTY_NEEDS, NO_PERSON, Problem } from '@lorvet/core';
import {
  CLASS_FIELD_LABELS,
  CLASS_FIELDS,
  type ClassField,
  type ClassTable,
  mapClassList,
  readClassTable,
} from '@lorvet/core/lists';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
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
import { many } from '../platform/many';

const COLUMNS = [
  { field: 'name', name: 'Name' },
  { field: 'class', name: 'Class' },
  { field: 'readingGrade', name: 'Reads at' },
  { field: 'supports', name: 'Supports' },
  { field: 'groups', name: 'Groups' },
] as const;
const MOST_BYTES = 5 * 1024 * 1024;

/** Brings a class from a CSV list: columns mapped, every bad line named, nothing changed until it is taken. */
@Component({
  selector: 'lv-import-class-list',
  imports: [ButtonDirective, DIALOG, FileButton, InputText, LucideDynamicIcon, ProblemCard, ...SELECT, ...TABLE],
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
  readonly open = model(false);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  protected readonly columns = COLUMNS;
  protected readonly fields = CLASS_FIELDS.map((field) => ({ field, label: CLASS_FIELD_LABELS[field] }));
  protected readonly table = signal<ClassTable | null>(null);
  protected readonly mapping = signal<Partial<Record<ClassField, number>>>({});
  protected readonly className = signal('');
  protected readonly problem = signal('');
  protected readonly fileName = signal('');

  protected readonly result = computed(() => {
    const table = this.table();
    if (!table) return null;
    try {
      const read = mapClassList(table, this.mapping(), this.className());
      const { learners, classes } = this.work.people();
      const known = read.learners.filter((l) => {
        const home = classes.find((c) => c.name === l.class);
        return learners.some((x) => x.name === l.name && home?.learnerIds.includes(x.id));
      });
      return {
        fresh: read.learners.filter((l) => !known.includes(l)),
        bad: [...read.bad, ...known.map((l) => ({ line: l.line, why: `${l.name} is in ${l.class} already.` }))].sort(
          (a, b) => a.line - b.line,
        ),
        wrong: '',
      };
    } catch (error) {
      return { fresh: [], bad: [], wrong: error instanceof Problem ? error.message : 'This list could not be read.' };
    }
  });

  protected async choose(file: File): Promise<void> {
    this.table.set(null);
    this.problem.set('');
    this.fileName.set(file.name);
    if (file.size > MOST_BYTES) {
      this.problem.set(`“${file.name}” is larger than 5 MB: that is no class list. Nothing was changed.`);
      return;
    }
    try {
      const table = readClassTable(await textOf(file, 5));
      this.mapping.set(table.guess);
      this.table.set(table);
    } catch (error) {
      this.problem.set(error instanceof Problem ? error.message : 'This file could not be read. Nothing was changed.');
    }
  }

  protected map(field: ClassField, value: number | null): void {
    const { [field]: _, ...rest } = this.mapping();
    this.mapping.set(value === null ? rest : { ...rest, [field]: value });
  }

  protected take(): void {
    const fresh = this.result()?.fresh ?? [];
    const list = fresh.map((l) => ({
      learner: {
        id: this.clock.newId(),
        name: l.name,
        needs: {
          ...EMPTY_NEEDS,
          readingGrade: l.readingGrade,
          supports: [...l.supports],
          interests: [...l.interests],
          languages: [...l.languages],
        },
        ...NO_PERSON,
      },
      className: l.class,
      groupNames: l.groups,
    }));
    this.work.dispatch(LearnersActions.classListImported({ list, stamp: this.work.stamp(list.length * 3) }));
    this.close();
    this.notice.done(`${many(list.length, 'learner')} came in`, 'Undo takes all of them back at once.');
  }

  protected close(): void {
    this.open.set(false);
    this.table.set(null);
    this.problem.set('');
    this.fileName.set('');
  }
}
