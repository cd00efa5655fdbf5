import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  Injector,
  afterNextRender,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  cardInShort,
  EMPTY_NEEDS,
  type Group,
  type Learner,
  type NamedAudience,
  NEW_CLASS,
  NEW_GROUP,
  NO_PERSON,
  READING,
  readingGrade,
  type SchoolClass,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../platform/clock';
import { LearnersActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { holdsWords } from '../ui/holds-words';
import { IconButton } from '../ui/icon-button';
import { Notice } from '../ui/notice';
import { FootBar } from '../ui/panes';
import { Removal } from '../ui/removal';
import { SELECT } from '../ui/controls/select';
import { stillThere } from '../ui/table/still-there';
import { TABLE } from '../ui/table/table';
import { TypedAhead } from '../ui/typed-ahead';
import { DateField } from '../ui/controls/date';
import { AudienceView } from './audience-view';
import { ImportClassList } from './import-class-list';
import { withChange } from './card-fields';
import { NeedsCardForm, type Placed, type Written } from './needs-card';
import { Empty } from '../ui/empty';
import { many } from '../platform/many';

const COLUMNS = [
  { field: 'name', name: 'Name' },
  { field: 'class', name: 'Class' },
  { field: 'grade', name: 'Reads at' },
  { field: 'says', name: 'The needs card says' },
  { field: 'groups', name: 'Groups' },
] as const;

interface Row {
  readonly id: string;
  readonly name: string;
  readonly class: string;
  readonly grade: number | null;
  readonly groups: string;
  readonly says: string;
}

/** The classes, groups and needs cards. */
@Component({
  selector: 'lv-learners',
  imports: [
    IconButton,
    Empty,
    ButtonDirective,
    FootBar,
    AudienceView,
    DateField,
    ImportClassList,
    RouterLink,
    InputText,
    LucideDynamicIcon,
    NeedsCardForm,
    ...SELECT,
    ...TABLE,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './learners.html',
  styleUrl: './learners.css',
})
export class Learners {
  protected readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly removal = inject(Removal);
  private readonly ahead = inject(TypedAhead);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);
  protected readonly people = this.work.people;
  /** The class, group or audience that is to be shown: the address says it. */
  readonly shown = input<string>(undefined, { alias: 'part' });
  protected readonly part = linkedSignal(() => this.shown() ?? '');
  /** A list of its own: the table moves them in it. */
  protected readonly columns = [...COLUMNS];
  /** The learner whose card is to be open: the address says it. */
  readonly learner = input<string>();
  protected readonly chosen = linkedSignal<string | null>(() => this.learner() ?? null);
  protected readonly fresh = signal<Learner | null>(null);
  protected readonly importing = signal(false);

  /** The class or group shown; all learners where none is. */
  protected readonly shownPart = computed<SchoolClass | Group | null>(
    () => [...this.people().classes, ...this.people().groups].find((p) => p.id === this.part()) ?? null,
  );
  protected readonly audience = computed(() => this.people().audiences.find((a) => a.id === this.part()) ?? null);
  /** The group that is shown. */
  protected readonly group = computed(() => this.people().groups.find((g) => g.id === this.part()) ?? null);
  protected readonly isGroup = computed(() => this.people().groups.some((g) => g.id === this.part()));
  protected readonly rows = computed<Row[]>(() => {
    const { learners, classes, groups, today } = this.people();
    const part = this.shownPart();
    return learners
      .filter((l) => !part || part.learnerIds.includes(l.id))
      .map((l) => ({
        id: l.id,
        name: l.name,
        class: classes
          .filter((c) => c.learnerIds.includes(l.id))
          .map((c) => c.name)
          .join(', '),
        grade: readingGrade(l.needs.levels) ?? null,
        groups: groups
          .filter((g) => g.learnerIds.includes(l.id))
          .map((g) => g.name)
          .join(', '),
        says:
          [
            // What a learner reads at has a column of its own.
            ...cardInShort({ ...l.needs, levels: l.needs.levels.filter((x) => x.skill !== READING) }, today),
            ...l.needs.languages.map((x) => `speaks ${x}`),
            ...(l.needs.goals.length ? [many(l.needs.goals.length, 'goal')] : []),
          ].join(' · ') || l.needs.note,
      }))
      .sort((a, b) => a.class.localeCompare(b.class) || a.name.localeCompare(b.name));
  });
  /** Not kept: a list that is short after a reload for words of yesterday would look as if learners were lost. */
  protected readonly sought = signal('');
  protected readonly found = computed(() =>
    this.rows().filter((r) => holdsWords(this.sought(), r.name, r.class, r.says, r.groups)),
  );
  protected readonly several = stillThere(this.found);
  private readonly card = computed(
    () => this.fresh() ?? this.people().learners.find((l) => l.id === this.chosen()) ?? null,
  );
  /** The one card that is open, if any: a list, so that each learner has a card of their own. */
  protected readonly cards = computed(() => [this.card() ?? []].flat());
  protected readonly homeOf = computed(() => {
    const id = this.card()?.id;
    const { classes, groups } = this.people();
    const isHere = (part: SchoolClass | Group) =>
      id !== undefined && (part.learnerIds.includes(id) || (this.fresh() !== null && part.id === this.part()));
    return { classIds: classes.filter(isHere).map((c) => c.id), groupIds: groups.filter(isHere).map((g) => g.id) };
  });

  /** Objectives that a level can be held by: those of the activities, each once. */
  protected readonly objectives = computed(() => [
    ...new Map(this.work.familyHeads().flatMap((f) => f.objectives.map((o) => [o.text, o] as const))).values(),
  ]);

  /** Which sheet is open on a narrow screen. */
  protected readonly sheet = signal<string | null>(null);
  protected readonly sheets = computed(() => [
    { id: 'beside-parts', name: 'Classes and groups' },
    ...this.cards().map((l) => ({ id: 'beside-card', name: l.name ? `Card of ${l.name}` : 'New learner' })),
  ]);

  protected add(): void {
    this.sheet.set('beside-card');
    this.fresh.set({ id: this.clock.newId(), name: '', ...NO_PERSON, needs: EMPTY_NEEDS });
    afterNextRender(
      () => this.ahead.into(this.host.nativeElement.querySelector('lv-needs-card input') ?? this.host.nativeElement),
      {
        injector: this.injector,
      },
    );
  }

  protected open(id: string): void {
    this.fresh.set(null);
    this.chosen.set(id);
    this.sheet.set('beside-card');
  }

  protected write(learnerId: string, { field, change }: Written): void {
    const fresh = this.fresh();
    if (fresh?.id === learnerId) this.keepFresh(withChange(fresh, change));
    else {
      const name = this.people().learners.find((l) => l.id === learnerId)?.name ?? '';
      this.work.dispatch(LearnersActions.cardChanged({ learnerId, ...change, field, label: `needs card of ${name}` }));
    }
  }

  protected place(learnerId: string, placed: Placed): void {
    const fresh = this.fresh();
    if (fresh?.id === learnerId) this.keepFresh(fresh);
    this.work.dispatch(LearnersActions.learnersPlaced({ learnerIds: [learnerId], ...placed }));
  }

  /** A card that goes with something on it that cannot be kept: it stands there again when the card is opened. */
  protected leftOut(learnerId: string, why: string): void {
    const learner = this.people().learners.find((l) => l.id === learnerId);
    if (learner) this.notice.cannot(`On the card of ${learner.name}: ${why} It waits there until you mend it.`);
  }

  protected intoClass(classId: string): void {
    const learnerIds = this.several().map((r) => r.id);
    this.work.dispatch(LearnersActions.learnersPlaced({ learnerIds, classId, isIn: true }));
    this.notice.done(`${this.nameOf(classId)}: ${learnerIds.length} put in`, 'One undo takes it back.');
  }

  protected intoGroup(groupId: string): void {
    const learnerIds = this.several().map((r) => r.id);
    this.work.dispatch(LearnersActions.learnersPlaced({ learnerIds, groupId, isIn: true }));
    this.notice.done(`${this.nameOf(groupId)}: ${learnerIds.length} put in`, 'One undo takes it back.');
  }

  private nameOf(id: string): string {
    const { classes, groups } = this.people();
    return [...classes, ...groups].find((p) => p.id === id)?.name ?? '';
  }

  /** With the first thing that is written on a new card, there is a learner. */
  private keepFresh(learner: Learner): void {
    const named = { ...learner, name: learner.name || 'New learner' };
    const { classIds, groupIds } = this.homeOf();
    this.work.dispatch(
      LearnersActions.learnerSaved({
        learner: named,
        classIds,
        groupIds,
        label: `new learner ${named.name}`,
      }),
    );
    this.chosen.set(learner.id);
    this.fresh.set(null);
  }

  protected remove(learner: Learner): void {
    void this.removal.remove('learner', learner.id).then((done) => {
      if (done) this.chosen.set(null);
    });
  }

  protected addPart(kind: 'class' | 'group', name: string): void {
    const id = this.clock.newId();
    if (!name.trim()) return;
    if (kind === 'class')
      this.work.dispatch(LearnersActions.classSaved({ schoolClass: { ...NEW_CLASS, id, name: name.trim() } }));
    else this.work.dispatch(LearnersActions.groupSaved({ group: { ...NEW_GROUP, id, name: name.trim() } }));
    this.part.set(id);
  }

  protected changeGroup(patch: Partial<Pick<Group, 'purpose' | 'from' | 'until'>>): void {
    const group = this.group();
    if (group) this.work.dispatch(LearnersActions.groupSaved({ group: { ...group, ...patch } }));
  }

  protected addAudience(name: string): void {
    if (!name.trim()) return;
    const audience: NamedAudience = {
      id: this.clock.newId(),
      name: name.trim(),
      match: 'all',
      conditions: [],
      also: this.several().map((r) => r.id),
      but: [],
      usedAt: '',
    };
    this.work.dispatch(LearnersActions.audienceSaved({ audience }));
    this.part.set(audience.id);
  }

  protected rename(name: string): void {
    const part = this.shownPart();
    if (!part || !name.trim()) return;
    if ('purpose' in part) this.work.dispatch(LearnersActions.groupSaved({ group: { ...part, name: name.trim() } }));
    else this.work.dispatch(LearnersActions.classSaved({ schoolClass: { ...part, name: name.trim() } }));
  }

  protected removePart(): void {
    const part = this.shownPart();
    if (!part) return;
    void this.removal.remove('purpose' in part ? 'group' : 'class', part.id).then((done) => {
      if (done) this.part.set('');
    });
  }
}
