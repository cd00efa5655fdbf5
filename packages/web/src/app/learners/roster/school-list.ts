import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { Problem, ROSTER_ID } from '@lorvet/core';
import {
  type Roster,
  type RosterChange,
  type RosterFault,
  rosterOf,
  sayLines,
  takeRoster,
  writeRosterPackage,
} from '@lorvet/core/lists';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../../platform/clock';
import { download } from '../../platform/download';
import { counted, many } from '../../platform/many';
import { SchoolRoster } from '../../platform/school-roster';
import { LearnersActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import { WorkspaceStore } from '../../store/workspace';
import { CheckBox } from '../../ui/controls/check';
import { Fold } from '../../ui/controls/fold';
import { FileButton } from '../../ui/file-button';
import { Notice } from '../../ui/notice';
import { ProblemCard } from '../../ui/problem';
import { dayIn, whenIn } from '../../ui/when';

const MOST_NAMED = 60;

interface Part {
  readonly name: string;
  readonly says: string;
  readonly list: readonly { readonly name: string; readonly says: string }[];
}

/**
 * The school's own list of classes and learners: from its service or from a OneRoster package, shown with what it would
 * change before anything is changed, and followed from then on. Out as a package as well.
 */
@Component({
  selector: 'lv-school-list',
  imports: [ButtonDirective, CheckBox, FileButton, Fold, LucideDynamicIcon, ProblemCard, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './school-list.html',
  styleUrl: './school-list.css',
})
export class SchoolList {
  protected readonly counted = counted;
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly router = inject(Router);
  private readonly school = inject(SchoolRoster);
  protected readonly many = many;
  protected readonly sayLines = sayLines;
  protected readonly MOST_NAMED = MOST_NAMED;
  protected readonly ready = inject(Parts).hold(
    () => ROSTER_ID,
    async (id, want) => {
      await want('rosters', [id]);
    },
  );
  protected readonly last = computed(() => this.work.rosters()[ROSTER_ID]);
  protected readonly lastRead = computed(() => {
    const last = this.last();
    return last
      ? `Last taken over ${dayIn(last.readAt)}, from ${last.from}: ${many(last.classes.length, 'class', 'classes')}.`
      : '';
  });
  protected readonly busy = signal('');
  protected readonly problem = signal<{ message: string; details: readonly string[] } | null>(null);
  protected readonly read = signal<{ roster: Roster; faults: readonly RosterFault[]; from: string } | null>(null);
  /** The classes that are followed: those that were, or that are here by their name, or all of a small school. */
  protected readonly chosen = linkedSignal<ReadonlySet<string>>(() => {
    const classes = this.read()?.roster.classes ?? [];
    const here = new Set(this.work.people().classes.map((c) => c.name.toLowerCase()));
    const followed = new Set(this.last()?.classes.map((c) => c.rosterId));
    const known = classes.filter(
      (c) => followed.has(c.rosterId) || (followed.size === 0 && here.has(c.name.toLowerCase())),
    );
    return new Set((known.length ? known : classes.length <= 4 ? classes : []).map((c) => c.rosterId));
  });
  protected readonly taken = computed(() => {
    const read = this.read();
    if (!read) return null;
    return takeRoster(read.roster, this.chosen(), this.work.people(), this.last(), {
      at: this.clock.iso(),
      from: read.from,
      newId: () => this.clock.newId(),
    });
  });
  protected readonly isSame = computed(() => {
    const t = this.taken();
    const followed = this.last()?.classes.map((c) => c.rosterId) ?? [];
    return t !== null && !t.learners.length && !t.classes.length && followed.length === this.chosen().size;
  });
  protected readonly changes = computed((): Part[] => {
    const c = this.taken()?.changes;
    if (!c) return [];
    const way = (x: RosterChange) => ({
      name: x.name,
      says: `${x.from.join(', ') || 'no class'} → ${x.to.join(', ') || 'no class'}`,
    });
    const into = (x: RosterChange) => ({ name: x.name, says: x.to.join(', ') });
    const plain = (names: readonly string[]) => names.map((name) => ({ name, says: '' }));
    return [
      {
        name: many(c.newClasses.length, 'new class', 'new classes'),
        says: 'made here',
        list: plain(c.newClasses),
      },
      {
        name: counted(c.came.length, '{n} learner came', '{n} learners came'),
        says: 'a card for each, to be filled in',
        list: c.came.map(into),
      },
      {
        name: counted(c.moved.length, '{n} learner moved', '{n} learners moved'),
        says: 'cards and work stay',
        list: c.moved.map(way),
      },
      {
        name: counted(c.left.length, '{n} learner left', '{n} learners left'),
        says: 'they stay under Everyone, in no class; nothing of their work is lost',
        list: c.left.map(way),
      },
      {
        name: counted(c.renamed.length, '{n} name changed', '{n} names changed'),
        says: '',
        list: c.renamed.map((r) => ({ name: r.to, says: `was ${r.from}` })),
      },
      {
        name: counted(
          c.recognised.length,
          '{n} learner of yours is on the list',
          '{n} learners of yours are on the list',
        ),
        says: 'by class and name: from now on they are followed',
        list: plain(c.recognised),
      },
      {
        name: counted(c.gone.length, '{n} class not on the list any more', '{n} classes not on the list any more'),
        says: 'left as they are here',
        list: plain(c.gone),
      },
    ].filter((p) => p.list.length > 0);
  });

  protected readonly whenIn = whenIn;

  protected turn(rosterId: string, on: boolean): void {
    const now = new Set(this.chosen());
    if (on) now.add(rosterId);
    else now.delete(rosterId);
    this.chosen.set(now);
  }

  protected turnAll(on: boolean): void {
    this.chosen.set(new Set(on ? this.read()?.roster.classes.map((c) => c.rosterId) : []));
  }

  protected async fromService(): Promise<void> {
    await this.reading('the school’s service', 'Asking the school’s service', () =>
      this.school.fromService(this.clock.today()),
    );
  }

  protected async fromFile(file: File): Promise<void> {
    await this.reading(file.name, `Reading ${file.name}`, () => this.school.fromFile(file, this.clock.today()));
  }

  private async reading(
    from: string,
    says: string,
    read: () => ReturnType<SchoolRoster['fromService']>,
  ): Promise<void> {
    this.busy.set(says);
    this.problem.set(null);
    this.read.set(null);
    try {
      const done = await read();
      if (done.ok) this.read.set({ roster: done.roster, faults: done.faults, from });
      else this.problem.set(done);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.problem.set({ message: error.message, details: error.details });
    } finally {
      this.busy.set('');
    }
  }

  protected take(): void {
    const taken = this.taken();
    if (!taken) return;
    const { learners, classes, reading } = taken;
    this.work.dispatch(
      LearnersActions.rosterTaken({ learners, classes, reading, label: 'take the school’s list over' }),
    );
    this.read.set(null);
    this.notice.done('The school’s list was taken over', 'One undo takes all of it back.');
    void this.router.navigate(['/learners']);
  }

  protected save(): void {
    const today = this.clock.today();
    // A school year ends in the summer.
    const year = Number(today.slice(0, 4)) + (Number(today.slice(5, 7)) > 7 ? 1 : 0);
    const bytes = writeRosterPackage(rosterOf(this.work.people(), 'Our school', year), 'Lorvet');
    download(new Blob([bytes as BlobPart], { type: 'application/zip' }), `classes-${today}.oneroster.zip`);
  }
}
