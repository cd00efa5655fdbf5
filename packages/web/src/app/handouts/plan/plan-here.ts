import { computed, effect, inject, Injectable, signal } from '@angular/core';
import {
  bandsOf,
  cardInShort,
  changedAfter,
  datesFor,
  type HandOut,
  handOutState,
  type Id,
  joinedSince,
  type Learner,
  linesNow,
  NO_DAYS_OFF,
  type Parts,
  personalVersions,
  type PlanRule,
  recipientsOf,
  SCHOOL_ID,
  type Version,
  versionOf,
  versionTree,
  withRule,
} from '@lorvet/core';
import { CLEARLY_BETTER, suggest, type Suggestion } from '@lorvet/core/measures';
import { Clock } from '../../platform/clock';
import { PlanWork } from '../../platform/plan-work';
import { HandOutActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { counted } from '../../platform/many';

/** From here on, learners times versions, a plan is large. */
const LARGE = 600;

/** What a notice is called before it says anything. */
const NO_TITLE = 'Notice';
/** The first sentence of a notice, as its title. */
const firstWords = (note: string): string => (note.trim().split(/[.\n!?]/)[0] ?? '').slice(0, 60).trim() || NO_TITLE;

export type PlanStep = 'what' | 'who' | 'how' | 'check';

/** One learner's row of the loom. */
export type LoomRow = ReturnType<PlanHere['rowOf']>;

const isSame = (a: LoomRow, b: LoomRow): boolean =>
  a.learner === b.learner &&
  a.own === b.own &&
  a.suggested === b.suggested &&
  a.why === b.why &&
  a.lacks === b.lacks &&
  a.nearest === b.nearest &&
  a.looked === b.looked &&
  a.isOpen === b.isOpen &&
  a.parts === b.parts &&
  a.versions.length === b.versions.length &&
  a.versions.every((v, i) => v === b.versions[i]);

/** The plan that is open: what it says, what follows from that, and every way to change it. One for each open plan. */
@Injectable()
export class PlanHere {
  private readonly drawn = new Map<Id, LoomRow>();
  private readonly cards = new WeakMap<Learner, { readonly day: string; readonly says: string }>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  readonly id = signal('');
  /** The step whose panel is open; null: the one that is next. */
  readonly asked = signal<PlanStep | null>(null);
  /** The learner whose pages are looked at one by one. */
  readonly partsOf = signal<Id | null>(null);

  readonly people = this.work.people;
  readonly plan = computed<HandOut | undefined>(() => this.work.handOuts()[this.id()]);
  readonly family = computed(() => this.work.families()[this.plan()?.familyId ?? '']);
  readonly days = computed(() => this.work.calendars()[SCHOOL_ID] ?? NO_DAYS_OFF);
  readonly isDraft = computed(() => this.plan()?.state === 'draft');
  readonly state = computed(() => {
    const plan = this.plan();
    return plan ? handOutState(plan, this.clock.local()) : 'draft';
  });
  readonly audience = computed<readonly Learner[]>(
    () => {
      const plan = this.plan();
      return plan ? recipientsOf(plan, this.people()) : [];
    },
    // A plan that gives other versions is for the same learners.
    { equal: (a, b) => a.length === b.length && a.every((l, i) => l === b[i]) },
  );
  readonly step = computed<PlanStep>(() => this.asked() ?? (this.audience().length ? 'check' : 'who'));

  /** The master and the versions that are for anybody; a version made for one learner stands in that learner's row only. */
  readonly columns = computed(() => {
    const family = this.family();
    if (!family) return [];
    return [
      { id: null as Id | null, name: 'Master', swatch: family.swatch },
      ...versionTree(family).flatMap(({ version: v }) =>
        v.learnerId ? [] : [{ id: v.id as Id | null, name: v.name, swatch: v.swatch }],
      ),
    ];
  });
  /** By learner: the newest version that was made for them. */
  readonly personal = computed((): ReadonlyMap<Id, Version> => {
    const family = this.family();
    if (!family) return new Map();
    return new Map(
      this.audience().flatMap((l) => {
        const own = personalVersions(family, l.id).at(-1);
        return own ? [[l.id, own] as const] : [];
      }),
    );
  });
  readonly lines = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    // What was given is what they have, whatever the rules say now.
    if (plan.state === 'draft') return linesNow(plan, this.people());
    const frozen = this.work.frozen();
    const late = new Set(this.late().map((l) => l.id));
    const had = Object.entries(plan.given).flatMap(([learnerId, g]) => {
      const f = frozen[g.frozen];
      return f ? [{ learnerId, versionId: f.versionId, ...(f.parts ? { parts: f.parts } : {}) }] : [];
    });
    return [...had, ...linesNow(plan, this.people()).filter((l) => late.has(l.learnerId))];
  });
  readonly versionsOf = computed(() => {
    const by = new Map<Id, { versions: (Id | null)[]; rule: boolean; parts: Parts }>();
    for (const l of this.lines()) {
      const now = by.get(l.learnerId) ?? { versions: [], rule: false, parts: [] };
      now.versions.push(l.versionId);
      if ('parts' in l && l.parts) now.parts = l.parts;
      if ('rule' in l && l.rule) now.rule = true;
      by.set(l.learnerId, now);
    }
    return by;
  });
  /** Whether checks and suggestions take so long that they are made beside the page. */
  readonly isLarge = computed(() => this.audience().length * (this.family()?.versions.length ?? 0) > LARGE);
  private readonly suggested = signal<readonly Suggestion[]>([]);
  readonly suggestions = computed((): ReadonlyMap<Id, Suggestion> => {
    const family = this.family();
    if (!family || !this.isDraft()) return new Map();
    const list = this.isLarge() ? this.suggested() : suggest(family, this.audience(), this.people().today);
    return new Map(list.map((s) => [s.learnerId, s]));
  });
  readonly bands = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const known = new Set(this.audience().map((l) => l.id));
    const gone = this.people().learners.filter((l) => Object.hasOwn(plan.given, l.id) && !known.has(l.id));
    const bands = bandsOf(plan, this.people());
    const all = gone.length
      ? [...bands, { id: 'gone', name: 'Have it, and are in its audience no more', learners: gone }]
      : bands;
    return all.map((b) => ({
      ...b,
      rows: b.learners.map((l) => this.same(this.rowOf(plan, l))),
    }));
  });
  readonly rows = computed(() => this.bands().flatMap((b) => b.rows));
  readonly without = computed(() => this.rows().filter((r) => r.versions.length === 0));
  readonly twice = computed(() => this.rows().filter((r) => r.versions.length > 1).length);
  /** Who joined since it was given out, and has nothing of it. */
  readonly late = computed(() => {
    const plan = this.plan();
    return plan ? joinedSince(plan, this.people()) : [];
  });

  readonly shares = computed(() => {
    const counts = new Map<Id | null, number>();
    for (const r of this.rows())
      if (r.versions.length === 1) counts.set(r.versions[0] ?? null, (counts.get(r.versions[0] ?? null) ?? 0) + 1);
    const all = [...this.columns(), ...this.personal().values()];
    return all.flatMap((c) => {
      const count = counts.get(c.id) ?? 0;
      return count ? [{ id: c.id, name: c.name, swatch: c.swatch, count }] : [];
    });
  });
  /** Rules in words, with the name of what they give. */
  readonly rules = computed(() => {
    const { classes, groups, audiences } = this.people();
    const parts = [...classes, ...groups, ...audiences];
    const names = new Map(this.columns().map((c) => [c.id, c.name]));
    return (this.plan()?.rules ?? []).map((rule) => ({
      rule,
      who:
        rule.by === 'everyone'
          ? 'Everyone'
          : (parts.find((p) => p.id === rule.of)?.name ?? `A ${rule.by} that is gone`),
      version: names.get(rule.versionId) ?? 'a version that is gone',
    }));
  });
  /** Whoever has other dates than the rest, and why. */
  readonly otherDates = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    return this.audience().flatMap((learner) => {
      const dates = datesFor(plan, learner, this.days());
      return dates.why ? [{ learner, dates, isSet: Object.hasOwn(plan.ownDates, learner.id) }] : [];
    });
  });

  constructor() {
    const beside = inject(PlanWork);
    effect((onCleanup) => {
      const family = this.family();
      if (!family || !this.isLarge() || !this.isDraft()) return;
      let isOld = false;
      onCleanup(() => (isOld = true));
      void beside.suggest(family, this.audience(), this.people().today).then((list) => {
        if (!isOld) this.suggested.set(list);
      });
    });
  }

  /** The row as it was drawn before, where it says the same: it is not drawn anew then. */
  private same(row: LoomRow): LoomRow {
    const before = this.drawn.get(row.learner.id);
    if (before && isSame(before, row)) return before;
    this.drawn.set(row.learner.id, row);
    return row;
  }

  /** What a learner's card says in a few words: worked out for those who are drawn. */
  saysOf(learner: Learner): string {
    const day = this.people().today;
    const known = this.cards.get(learner);
    if (known?.day === day) return known.says;
    const says = cardInShort(learner.needs, day).join(' · ') || learner.needs.note || 'no needs card yet';
    this.cards.set(learner, { day, says });
    return says;
  }

  protected rowOf(plan: HandOut, learner: Learner) {
    const { versions, rule, parts } = this.versionsOf().get(learner.id) ?? { versions: [], rule: false, parts: [] };
    const suggestion = this.suggestions().get(learner.id);
    const [current] = versions;
    const differs =
      suggestion &&
      (versions.length !== 1 || (suggestion.betterBy.get(current ?? '') ?? CLEARLY_BETTER) >= CLEARLY_BETTER);
    return {
      learner,
      versions,
      byRule: rule,
      own: this.personal().get(learner.id),
      suggested: differs && suggestion.fit === 'fits' ? suggestion.versionId : undefined,
      why: differs && suggestion.fit === 'fits' ? suggestion.reasons.join('; ') : '',
      // What the nearest one lacks, while nothing is chosen.
      lacks: suggestion?.fit === 'none fits' && versions.length === 0 ? suggestion.lacks.join(', ') : '',
      nearest: this.nameOf(suggestion?.versionId ?? null),
      looked: plan.lookedAs.includes(learner.id),
      // Who joined since gets a version, where no rule has one for them.
      parts: parts.length ? counted(parts.length, '{n} page of other versions', '{n} pages of other versions') : '',
      isOpen: this.isDraft() || !Object.hasOwn(plan.given, learner.id),
    };
  }

  change(patch: Partial<HandOut>, label: string, mergeKey?: string): void {
    const plan = this.plan();
    if (!plan) return;
    const handOut = this.isDraft()
      ? { ...plan, ...patch }
      : changedAfter(plan, patch, this.clock.iso(), `${label} changed`);
    const action = { handOut, label, at: this.clock.iso() };
    this.work.dispatch(HandOutActions.planChanged(mergeKey === undefined ? action : { ...action, mergeKey }));
  }

  /** The words with it. A notice that was called nothing else is called by its first words. */
  saysWord(note: string): void {
    const plan = this.plan();
    if (!plan) return;
    const isUnnamed = plan.kind === 'notice' && (plan.title === NO_TITLE || plan.title === firstWords(plan.note));
    this.change({ note, title: isUnnamed ? firstWords(note) : plan.title }, 'word to everybody', 'word');
  }

  setPart(kind: 'classIds' | 'groupIds' | 'learnerIds' | 'audienceIds' | 'leftOutIds', ids: readonly Id[]): void {
    const plan = this.plan();
    if (!plan) return;
    // Whoever says whom it is for goes on saying so: the panel stays.
    if (!this.asked()) this.asked.set('who');
    const still = new Set(recipientsOf({ ...plan, [kind]: [...ids] }, this.people()).map((l) => l.id));
    this.change({ [kind]: [...ids], lines: plan.lines.filter((l) => still.has(l.learnerId)) }, 'whom it is for');
  }

  /** Gives some learners one version each, by hand, and no other. */
  give(learnerIds: readonly Id[], versionId: Id | null): void {
    const chosen = new Set(learnerIds);
    const plan = this.plan();
    if (!plan) return;
    const rest = plan.lines.filter((l) => !chosen.has(l.learnerId));
    const lines = [...rest, ...learnerIds.map((learnerId) => ({ learnerId, versionId }))];
    // To choose for who joined since is no change of what was given.
    this.work.dispatch(HandOutActions.planChanged({ handOut: { ...plan, lines }, label: 'give a version' }));
  }

  /** One learner gets some pages from other versions. */
  setParts(learnerId: Id, versionId: Id | null, parts: Parts): void {
    const plan = this.plan();
    if (!plan) return;
    const line = { learnerId, versionId, ...(parts.length ? { parts } : {}) };
    const lines = [...plan.lines.filter((l) => l.learnerId !== learnerId), line];
    this.change({ lines }, 'versions page by page', `parts ${learnerId}`);
  }

  /** Everybody of a part gets a version, also who joins later; what was chosen by hand for them before gives way. */
  fill(by: PlanRule['by'], of: Id, versionId: Id | null): void {
    const plan = this.plan();
    if (!plan) return;
    const rule: PlanRule = { id: this.clock.newId(), by, of, versionId };
    const { classes, groups } = this.people();
    const part = [...classes, ...groups].find((p) => p.id === of);
    const inIt = part && new Set(part.learnerIds);
    const lines = by === 'everyone' ? [] : plan.lines.filter((l) => !inIt?.has(l.learnerId));
    const rules = by === 'everyone' ? [rule] : withRule(plan.rules, rule);
    this.change({ rules, lines }, 'fill the plan');
  }

  dropRule(id: Id): void {
    this.change({ rules: (this.plan()?.rules ?? []).filter((r) => r.id !== id) }, 'take a rule away');
  }

  takeAway(learnerIds: readonly Id[]): void {
    const plan = this.plan();
    if (!plan) return;
    const gone = new Set(learnerIds);
    // Who has it by a rule has nothing of it any more: those beside them keep it by hand.
    const kept = this.lines().filter((l) => !gone.has(l.learnerId));
    const byRule = this.lines().some((l) => gone.has(l.learnerId) && 'rule' in l && l.rule);
    if (!byRule) return this.change({ lines: plan.lines.filter((l) => !gone.has(l.learnerId)) }, 'take a version away');
    const lines = kept.map(({ learnerId, versionId }) => ({ learnerId, versionId }));
    this.change({ lines, rules: [] }, 'take a version away');
  }

  /** Suggestions for who has no version yet, of versions that fit. */
  readonly acceptable = computed(() =>
    this.without().flatMap((r) => {
      const s = this.suggestions().get(r.learner.id);
      return s?.fit === 'fits' && s.versionId !== undefined
        ? [{ learnerId: r.learner.id, versionId: s.versionId }]
        : [];
    }),
  );

  private nameOf(versionId: Id | null): string {
    const family = this.family();
    return versionId === null || !family ? 'the master' : (versionOf(family, versionId)?.name ?? '');
  }

  acceptSuggestions(): void {
    const plan = this.plan();
    if (!plan) return;
    const added = this.acceptable();
    this.change({ lines: [...plan.lines, ...added] }, `accept ${added.length} suggestions`);
  }
}
