import {
  byVersion,
  type Drift,
  driftOf,
  type HelpSuggestion,
  helpSuggestions,
  type OfItem,
  goalsOverTime,
  itemFigures,
  itemsOf,
  latest,
  measureFamily,
  type Move,
  moves,
  type OfSupport,
  type OfVersion,
  overTime,
  questionNumbers,
  type SeenWork,
  type Series,
  withSupports,
} from '@lorvet/core/helps';
import type { Family } from '@lorvet/core';
import { DESK_TOOLS } from './desk-tools';
import type { Boxes } from './storage/boxes';
import { EvidenceSource } from './storage/evidence-source';

type Progress = (done: number, of: number) => void;

/** Of whom, and of which activity, figures are. */
export interface HelpsAsked {
  readonly learnerIds: readonly string[];
  /** Empty for none. */
  readonly familyId: string;
  readonly from: string;
  readonly until: string;
}

export interface FamilyFigures {
  readonly title: string;
  readonly versions: readonly OfVersion[];
  /** As many of the master's items do all versions have. */
  readonly common: number;
  readonly items: readonly (OfItem & { readonly number: number; readonly words: string })[];
  readonly drift: readonly Drift[];
  readonly measures: readonly {
    readonly name: string;
    readonly words: number;
    readonly items: number;
    readonly minutes: number;
    readonly sentence: number;
  }[];
}

export interface HelpsFigures {
  readonly works: number;
  readonly objectives: readonly Series[];
  /** Of one learner alone: works that served a goal of theirs. */
  readonly goals: readonly Series[];
  readonly supports: readonly OfSupport[];
  readonly moves: readonly Move[];
  readonly family: FamilyFigures | null;
}

/** Figures over what was submitted by those who are asked about; what was read is kept for the next question. */
export class HelpsDesk {
  private readonly source: EvidenceSource;
  /** By learner, once they were asked about. */
  private readonly known = new Map<string, SeenWork[]>();
  private progress: Progress = () => undefined;

  constructor(boxes: Boxes, generation: string) {
    this.source = new EvidenceSource(boxes, generation);
  }

  /** Gives the activities of which anything was given. How far reading is, is told whenever something is asked. */
  async open(progress: Progress): Promise<string[]> {
    await this.source.open();
    this.progress = progress;
    return this.source.givenFamilies();
  }

  /** Works of these learners: those who were not asked about yet are read. */
  private async worksOf(ids: readonly string[]): Promise<SeenWork[]> {
    const missing = new Set(ids.filter((id) => !this.known.has(id)));
    if (missing.size) {
      const read = await this.source.seen(missing, DESK_TOOLS, this.progress);
      for (const id of missing) this.known.set(id, []);
      for (const w of read) this.known.get(w.learnerId)?.push(w);
    }
    return ids.flatMap((id) => this.known.get(id) ?? []);
  }

  async figures(asked: HelpsAsked): Promise<HelpsFigures> {
    const works = (await this.worksOf(asked.learnerIds)).filter(
      (w) => (!asked.from || w.day >= asked.from) && (!asked.until || w.day <= asked.until),
    );
    const objectives = new Map<string, string>();
    for (const id of new Set(works.map((w) => w.familyId))) {
      const family = await this.source.familyOf(id);
      for (const o of family ? latest(family).content.objectives : []) objectives.set(o.id, o.text);
    }
    return {
      works: works.length,
      objectives: overTime(works, objectives),
      goals: goalsOverTime(works, this.goalsOf(asked.learnerIds)),
      supports: withSupports(works),
      moves: moves(works),
      family: await this.ofFamily(
        asked.familyId,
        works.filter((w) => w.familyId === asked.familyId),
      ),
    };
  }

  /** What could be done, with reasons, on a day (ISO). */
  async suggestions(today: string): Promise<HelpSuggestion[]> {
    const works = await this.worksOf(this.source.all().map((l) => l.id));
    const families = new Map<string, Family>();
    for (const id of new Set(works.map((w) => w.familyId))) {
      // One that was removed and waits is not spoken of.
      const family = this.source.isHere(id) ? await this.source.familyOf(id) : undefined;
      if (family) families.set(id, family);
    }
    const drift = new Map([...families].map(([id, f]) => [id, driftOf(f)]));
    return helpSuggestions({ works, learners: this.source.all(), families, drift, today });
  }

  private goalsOf(learnerIds: readonly string[]): ReadonlyMap<string, string> {
    const [only, another] = learnerIds;
    const learner = another === undefined ? this.source.all().find((l) => l.id === only) : undefined;
    return new Map(learner?.needs.goals.map((g) => [g.id, g.text]));
  }

  private async ofFamily(id: string, works: readonly SeenWork[]): Promise<FamilyFigures | null> {
    const family = id ? await this.source.familyOf(id) : undefined;
    if (!family) return null;
    const { content } = latest(family);
    const numbers = questionNumbers(content.pages);
    const words = new Map(itemsOf(content).map((i) => [i.id, i.prompt]));
    const { rows, items } = byVersion(works);
    const names = new Map(family.versions.map((v) => [v.id, v.name]));
    return {
      title: content.title,
      versions: rows,
      common: items.length,
      items: itemFigures(works)
        .map((i) => ({ ...i, number: numbers.get(i.id) ?? 0, words: words.get(i.id) ?? 'added by a version' }))
        .sort((a, b) => (a.number || Infinity) - (b.number || Infinity)),
      drift: driftOf(family),
      measures: measureFamily(family).map(({ versionId, measures: m }) => ({
        name: versionId === null ? 'Master' : (names.get(versionId) ?? ''),
        words: m.words,
        items: m.items,
        minutes: m.minutes,
        sentence: m.readability.wordsPerSentence,
      })),
    };
  }
}
