import { CdkDrag, CdkDropList, CdkDropListGroup, type CdkDragDrop } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  companyIn,
  evaluateAudience,
  freeNames,
  type Group,
  type GroupingProblem,
  type GroupProposal,
  type Id,
  type Learner,
  levelIn,
  levelsNow,
  NEW_GROUP,
  type Parting,
  placeAssistants,
  READING,
  sayCost,
  SCALES,
  supportsOn,
  weighGroups,
  type Wish,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Menu } from 'primeng/menu';
import { Clock } from '../../platform/clock';
import { Grouping } from '../../platform/grouping';
import { counted, many } from '../../platform/many';
import { Stopped } from '../../platform/workers/task';
import { LearnersActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { CheckBox } from '../../ui/controls/check';
import { DateField } from '../../ui/controls/date';
import { NumberField } from '../../ui/controls/number';
import { SELECT } from '../../ui/controls/select';
import { Several } from '../../ui/controls/several';
import { Empty } from '../../ui/empty';
import { Notice } from '../../ui/notice';
import { FootBar } from '../../ui/panes';
import { ProgressLine } from '../../ui/progress';
import { Wishes } from './wishes';

const BESIDE = 'an assistant beside them';
interface Placed {
  readonly learner: Learner;
  /** Levels in the skills that count, in words. */
  readonly says: string;
  /** Whether the teacher chose this group. */
  readonly isKept: boolean;
}

/** Groups of like or of mixed need, proposed with what each proposal costs, changed by hand, and made. */
@Component({
  selector: 'lv-make-groups',
  imports: [
    ButtonDirective,
    CdkDrag,
    CdkDropList,
    CdkDropListGroup,
    CheckBox,
    DateField,
    Empty,
    FootBar,
    InputText,
    LucideDynamicIcon,
    Menu,
    NumberField,
    ProgressLine,
    RouterLink,
    Several,
    Wishes,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './make-groups.html',
  styleUrl: './make-groups.css',
})
export class MakeGroups {
  protected readonly counted = counted;
  /** The class, group or audience whose learners are parted: from the address. */
  readonly of = input<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly router = inject(Router);
  protected readonly grouping = inject(Grouping);
  protected readonly many = many;
  protected readonly people = this.work.people;
  private readonly menu = viewChild.required<Menu>('mover');

  protected readonly from = linkedSignal(() => this.of() ?? this.people().classes[0]?.id ?? '');
  protected readonly learners = computed<readonly Learner[]>(() => {
    const { learners, classes, groups, audiences } = this.people();
    const from = this.from();
    const audience = audiences.find((a) => a.id === from);
    if (audience) return evaluateAudience(audience, this.people()).map((x) => x.learner);
    const part = [...classes, ...groups].find((p) => p.id === from);
    if (!part) return learners;
    const inIt = new Set(part.learnerIds);
    return learners.filter((l) => inIt.has(l.id));
  });
  protected readonly size = signal(4);
  protected readonly count = computed(() => Math.max(1, Math.round(this.learners().length / this.size())));
  protected readonly need = signal<'like' | 'mixed'>('mixed');
  /** Skills that somebody here has a level in. */
  protected readonly skills = computed(() => [
    ...new Set(this.learners().flatMap((l) => levelsNow(l.needs.levels).map((x) => x.skill))),
  ]);
  protected readonly chosenSkills = linkedSignal<readonly string[], ReadonlySet<string>>({
    source: this.skills,
    computation: (skills, before) => {
      if (before) return new Set(skills.filter((s) => before.value.has(s)));
      return new Set(skills.includes(READING) ? [READING] : skills.slice(0, 1));
    },
  });
  protected readonly wishes = signal<readonly Wish[]>([]);
  protected readonly beside = computed(() =>
    this.learners().filter((l) => supportsOn(l.needs.supports, this.people().today).includes(BESIDE)),
  );
  protected readonly assistants = signal(0);
  /** Groups whose company is not to come again. */
  protected readonly last = signal<readonly Id[]>([]);
  protected readonly lastOptions = computed(() =>
    this.people().groups.map((g) => ({ id: g.id, label: `${g.name}${g.purpose ? `, ${g.purpose}` : ''}` })),
  );

  private readonly problem = computed((): GroupingProblem => {
    const here = this.learners();
    const inIt = new Set(here.map((l) => l.id));
    const skills = [...this.chosenSkills()].map((name) => ({
      name,
      levels: Object.fromEntries(
        here.flatMap((l) => {
          const level = levelIn(l.needs.levels, name);
          return level ? [[l.id, level.value] as const] : [];
        }),
      ),
    }));
    return {
      learnerIds: here.map((l) => l.id),
      groups: this.count(),
      need: this.need(),
      skills,
      wishes: this.wishes().filter((w) => inIt.has(w.a) && inIt.has(w.b)),
      assistants: this.assistants(),
      besideAssistant: this.beside().map((l) => l.id),
      company: companyIn(this.people().groups.filter((g) => this.last().includes(g.id))),
      kept: {},
    };
  });
  /** Proposals for a problem; those for another are void. */
  private readonly proposed = signal<{ for: string; list: readonly GroupProposal[] } | null>(null);
  private readonly key = computed(() => {
    const { company, ...rest } = this.problem();
    return JSON.stringify([rest, [...company]]);
  });
  protected readonly proposals = computed(() => this.proposed()?.list ?? []);
  /** What was asked is another thing than what the proposals are for. */
  protected readonly isOld = computed(() => this.proposed() !== null && this.proposed()?.for !== this.key());
  protected readonly at = signal(0);
  /** The proposal as it was changed by hand; who was moved stays where they were put. */
  protected readonly parting = linkedSignal<Parting>(() => this.proposals()[this.at()]?.groups ?? []);
  private readonly kept = signal<Readonly<Record<Id, number>>>({});
  protected readonly hasKept = computed(() => Object.keys(this.kept()).length > 0);
  protected readonly cost = computed(() => {
    const names = new Map(this.people().learners.map((l) => [l.id, l.name]));
    const problem = this.problem();
    return this.parting().length
      ? sayCost(weighGroups(this.parting(), problem), this.parting(), problem, (id) => names.get(id) ?? '')
      : [];
  });
  protected readonly withAssistant = computed(() => new Set(placeAssistants(this.parting(), this.problem())));
  protected readonly names = linkedSignal<readonly string[]>(() => {
    return freeNames(
      this.parting().length,
      this.people().groups.map((g) => g.name),
    );
  });
  protected readonly board = computed(() => {
    const byId = new Map(this.people().learners.map((l) => [l.id, l]));
    return this.parting().map((ids, i) => ({
      i,
      name: this.names()[i] ?? '',
      hasAssistant: this.withAssistant().has(i),
      learners: ids.flatMap((id): Placed[] => {
        const learner = byId.get(id);
        if (!learner) return [];
        const says = [...this.chosenSkills()].flatMap((s) => {
          const level = levelIn(learner.needs.levels, s);
          return level
            ? [`${s === READING ? 'reads' : s} ${SCALES[level.scale].says(level.value).replace(/^\w+ /, '')}`]
            : [];
        });
        return [{ learner, says: says.join(', '), isKept: Object.hasOwn(this.kept(), id) }];
      }),
    }));
  });
  protected readonly purpose = signal('');
  protected readonly begins = signal(this.clock.today());
  protected readonly ends = signal('');
  protected readonly sheet = signal<string | null>(null);
  protected readonly sheets = [{ id: 'beside-asked', name: 'What is asked' }];
  protected readonly moves = signal<{ label: string; command: () => void }[]>([]);

  protected turnSkill(skill: string, on: boolean): void {
    const now = new Set(this.chosenSkills());
    if (on) now.add(skill);
    else now.delete(skill);
    this.chosenSkills.set(now);
  }

  protected async propose(around = false): Promise<void> {
    const key = this.key();
    const problem = { ...this.problem(), kept: around ? this.kept() : {} };
    try {
      const list = await this.grouping.propose(problem, 1);
      if (!around) this.kept.set({});
      this.proposed.set({ for: key, list });
      this.at.set(0);
      this.sheet.set(null);
    } catch (error) {
      if (!(error instanceof Stopped)) throw error;
    }
  }

  protected choose(at: number): void {
    this.kept.set({});
    this.at.set(at);
  }

  /** Where a learner can go, as a menu beside their name. */
  protected askMove(learner: Learner, from: number, event: Event): void {
    this.moves.set(
      this.board()
        .filter((g) => g.i !== from)
        .map((g) => ({ label: `To ${g.name}`, command: () => this.move(learner.id, g.i) })),
    );
    this.menu().toggle(event);
  }

  protected dropped(event: CdkDragDrop<number, number, Placed>): void {
    if (event.container !== event.previousContainer) this.move(event.item.data.learner.id, event.container.data);
  }

  protected move(id: Id, to: number): void {
    this.parting.set(
      this.parting().map((g, i) => (i === to ? [...g.filter((x) => x !== id), id] : g.filter((x) => x !== id))),
    );
    this.kept.set({ ...this.kept(), [id]: to });
  }

  protected rename(at: number, name: string): void {
    if (name.trim()) this.names.set(this.names().map((n, i) => (i === at ? name.trim() : n)));
  }

  protected make(): void {
    const groups = this.parting().map((learnerIds, i): Group => ({
      ...NEW_GROUP,
      id: this.clock.newId(),
      name: this.names()[i] ?? '',
      purpose: this.purpose().trim(),
      from: this.begins(),
      until: this.ends(),
      learnerIds: [...learnerIds],
    }));
    this.work.dispatch(LearnersActions.groupsMade({ groups }));
    this.notice.done(counted(groups.length, '{n} group made', '{n} groups made'), 'One undo takes them back.');
    void this.router.navigate(['/learners'], { queryParams: { part: groups[0]?.id } });
  }
}
