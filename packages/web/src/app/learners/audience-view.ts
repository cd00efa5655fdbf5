import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type Condition,
  evaluateAudience,
  KNOWN_SUPPORTS,
  type NamedAudience,
  type People,
  READING,
  sayAudience,
  type Scale,
  SCALES,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { LearnersActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { NumberField } from '../ui/controls/number';
import { SELECT } from '../ui/controls/select';
import { Several } from '../ui/controls/several';
import { IconButton } from '../ui/icon-button';
import { Removal } from '../ui/removal';
import { TABLE } from '../ui/table/table';
import { dayIn } from '../ui/when';

const KINDS: readonly (readonly [Condition['is'] | 'class' | 'group', string])[] = [
  ['class', 'in a class'],
  ['group', 'in a group'],
  ['level', 'level in a skill'],
  ['support', 'an agreed support'],
  ['language', 'a language'],
  ['interest', 'an interest'],
  ['wants-more', 'wants more'],
];
const COLUMNS = [
  { field: 'name', name: 'Name' },
  { field: 'class', name: 'Class' },
  { field: 'why', name: 'Why' },
] as const;

/** An audience: its rule, who is in it by name or not, and who that comes to now, each with the reason. */
@Component({
  selector: 'lv-audience-view',
  imports: [
    IconButton,
    ButtonDirective,
    InputText,
    LucideDynamicIcon,
    NumberField,
    RouterLink,
    Several,
    ...SELECT,
    ...TABLE,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './audience-view.html',
  styleUrl: './audience-view.css',
})
export class AudienceView {
  readonly audience = input.required<NamedAudience>();
  readonly people = input.required<People>();
  readonly learnerOpened = output<string>();
  readonly left = output();
  private readonly work = inject(WorkspaceStore);
  private readonly removal = inject(Removal);
  protected readonly kinds = KINDS;
  protected readonly columns = [...COLUMNS];
  protected readonly dayIn = dayIn;
  protected readonly scales = Object.entries(SCALES).map(([id, s]) => ({
    id: id as Scale,
    name: s.name,
    most: s.most,
  }));
  protected readonly says = computed(() => sayAudience(this.audience(), this.people()));
  protected readonly rows = computed(() =>
    evaluateAudience(this.audience(), this.people()).map(({ learner, why }) => ({
      id: learner.id,
      name: learner.name,
      class: this.people()
        .classes.filter((c) => c.learnerIds.includes(learner.id))
        .map((c) => c.name)
        .join(', '),
      why,
    })),
  );
  protected readonly names = computed(() => this.people().learners.map((l) => ({ id: l.id, label: l.name })));
  private readonly needs = computed(() => this.people().learners.map((l) => l.needs));
  private readonly all = (of: readonly string[]) => [...new Set(of)].sort((a, b) => a.localeCompare(b));
  /** What can be chosen: whatever stands on a card. */
  protected readonly choices = computed(() => ({
    skill: this.all([READING, ...this.needs().flatMap((n) => n.levels.map((l) => l.skill))]),
    support: this.all([
      ...KNOWN_SUPPORTS.map((s) => s.what),
      ...this.needs().flatMap((n) => n.supports.map((s) => s.what)),
    ]),
    language: this.all(this.needs().flatMap((n) => n.languages)),
    interest: this.all(this.needs().flatMap((n) => n.interests)),
  }));
  protected readonly kindsHere = computed(() => {
    const { classes, groups } = this.people();
    const { language, interest } = this.choices();
    const lacks = new Set([
      ...(classes.length ? [] : ['class']),
      ...(groups.length ? [] : ['group']),
      ...(language.length ? [] : ['language']),
      ...(interest.length ? [] : ['interest']),
    ]);
    return KINDS.filter(([kind]) => !lacks.has(kind));
  });

  protected partsOf(part: 'class' | 'group') {
    const list = part === 'class' ? this.people().classes : this.people().groups;
    return list.map((p) => ({ id: p.id, label: p.name }));
  }

  protected add(kind: (typeof KINDS)[number][0]): void {
    const condition = this.fresh(kind);
    if (condition) this.change({ conditions: [...this.audience().conditions, condition] });
  }

  protected set(at: number, condition: Condition): void {
    this.change({ conditions: this.audience().conditions.map((c, i) => (i === at ? condition : c)) });
  }

  /** A class or group less than one is no condition. */
  protected setParts(at: number, c: Condition & { is: 'in' }, ids: readonly string[]): void {
    if (ids.length) this.set(at, { ...c, ids: [...ids] });
  }

  protected drop(at: number): void {
    this.change({ conditions: this.audience().conditions.filter((_, i) => i !== at) });
  }

  protected change(patch: Partial<NamedAudience>): void {
    this.work.dispatch(LearnersActions.audienceSaved({ audience: { ...this.audience(), ...patch } }));
  }

  protected remove(): void {
    void this.removal.remove('audience', this.audience().id).then((done) => {
      if (done) this.left.emit();
    });
  }

  private fresh(kind: (typeof KINDS)[number][0]): Condition | undefined {
    const { language, interest } = this.choices();
    switch (kind) {
      case 'class':
      case 'group': {
        const [first] = this.partsOf(kind);
        return first && { is: 'in', part: kind, ids: [first.id] };
      }
      case 'level':
        return { is: 'level', skill: READING, side: 'below', scale: 'grade', value: 3 };
      case 'support':
        return { is: 'support', what: 'large print' };
      case 'language':
        return language[0] ? { is: 'language', what: language[0] } : undefined;
      case 'interest':
        return interest[0] ? { is: 'interest', what: interest[0] } : undefined;
      default:
        return { is: 'wants-more' };
    }
  }
}
