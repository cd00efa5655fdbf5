import {
  type Copy,
  copyIdOf,
  type Family,
  type Frozen,
  frozenIdsOf,
  type HandOut,
  type HandOutHead,
  holdersOf,
  type Learner,
  type Marking,
  type Removed,
  NO_DAYS_OFF,
  type SchoolClass,
  type SchoolDays,
  SCHOOL_ID,
  workKeyOf,
} from '@lorvet/core';
import {
  type Evidence,
  evidenceOf,
  type Folder,
  type Gathered,
  Gathering,
  type Period,
  reachedIn,
  type WayGiven,
  withFolder,
} from '@lorvet/core/evidence';
import { localDay } from '../local-day';
import { seenWork, type SeenWork } from '@lorvet/core/helps';
import type { Boxes } from './boxes';
import { Generation } from './generation';
import type { KeptAsset } from './kept-asset';
import { isWrapped, type Kind, placeOf } from './record-places';
import { checked, goodOf, readStored } from './stored';

type Progress = (done: number, of: number) => void;

/** What is read of the small records. */
const READ: ReadonlySet<Kind> = new Set<Kind>([
  'learners',
  'classes',
  'handOutHeads',
  'familyHeads',
  'calendars',
  'removed',
]);

/** Puts evidence together from what is kept, hand-out by hand-out: of no more than one hand-out is all in memory. */
export class EvidenceSource {
  private readonly generation: Generation;
  private readonly families = new Map<string, Family | undefined>();
  private learners = new Map<string, Learner>();
  private readonly gone: Learner[] = [];
  private classes: SchoolClass[] = [];
  private heads: HandOutHead[] = [];
  private familyIds: string[] = [];
  private schoolDays: SchoolDays = NO_DAYS_OFF;

  constructor(boxes: Boxes, generation: string) {
    this.generation = new Generation(boxes, generation);
  }

  /** Who there is, and what was given; to be called first. */
  async open(): Promise<void> {
    for (const [key, raw] of await this.generation.heads()) {
      const place = placeOf(key);
      if (!place || !isWrapped(raw)) continue;
      if (!READ.has(place.kind)) continue;
      const data = goodOf(checked(place.kind, raw))?.data;
      if (data === undefined) continue;
      if (place.kind === 'learners') this.learners.set(place.id, data as Learner);
      else if (place.kind === 'removed') {
        const removed = data as Removed;
        if (removed.what === 'learner') this.gone.push(removed.learner);
      } else if (place.kind === 'classes') this.classes.push(data as SchoolClass);
      else if (place.kind === 'familyHeads') this.familyIds.push(place.id);
      else if (place.kind === 'handOutHeads') this.heads.push(data as HandOutHead);
      else if (place.kind === 'calendars' && place.id === SCHOOL_ID) this.schoolDays = data as SchoolDays;
    }
  }

  all(): readonly Learner[] {
    return [...this.learners.values()];
  }

  /** All whose names may stand in what was written: also those who were removed and wait. */
  named(): readonly Learner[] {
    return [...this.learners.values(), ...this.gone];
  }

  /** Evidence of these learners, with what the teacher added (`folders`), in their order; who is not here is left out. */
  async gather(
    ids: readonly string[],
    period: Period,
    at: string,
    progress: Progress = () => undefined,
    folders = true,
  ): Promise<Evidence[]> {
    const wanted = ids.flatMap((id) => this.learners.get(id) ?? []);
    const works = new Map<string, Gathered[]>(wanted.map((l) => [l.id, []]));
    const given = this.heads.filter((h) => h.state === 'given' && h.kind === 'work' && h.givenAt);
    let done = 0;
    for (const head of given) {
      const holders = new Set(holdersOf(head));
      const here = wanted.filter((l) => holders.has(l.id));
      if (here.length) await this.gatherFrom(head, here, period, works);
      progress(++done, given.length);
    }
    const out: Evidence[] = [];
    for (const learner of wanted) {
      const one = evidenceOf({ learner, classes: this.classes, period, works: works.get(learner.id) ?? [], at });
      works.delete(learner.id);
      out.push(folders ? withFolder(one, await this.read<Folder>('folders', learner.id)) : one);
    }
    return out;
  }

  /** Submitted works of these learners, as figures look at them, hand-out by hand-out. */
  async seen(
    ids: ReadonlySet<string>,
    tools: Readonly<Record<string, string>>,
    progress: Progress,
  ): Promise<SeenWork[]> {
    const given = this.heads.filter((h) => h.state === 'given' && h.kind === 'work');
    const out: SeenWork[] = [];
    let done = 0;
    for (const head of given) {
      const here = holdersOf(head).filter((id) => ids.has(id));
      const handOut = here.length ? await this.read<HandOut>('handOuts', head.id) : undefined;
      if (handOut) {
        const frozen = await this.sheetsOf(handOut);
        const of = { handOut, family: await this.family(handOut.familyId), frozen };
        const works = await Promise.all(
          here.map(async (id) => {
            const done = await this.doneOn(handOut, workKeyOf(handOut, id));
            return seenWork(of, { id }, done, localDay, tools);
          }),
        );
        out.push(...works.flatMap((one) => one ?? []));
      }
      progress(++done, given.length);
    }
    return out;
  }

  /** Everything that was given of an activity, with its sheets and the work on them, hand-out by hand-out. */
  async givenOf(familyId: string): Promise<WayGiven[]> {
    const out: WayGiven[] = [];
    for (const head of this.heads.filter((h) => h.familyId === familyId && h.state === 'given')) {
      const handOut = await this.read<HandOut>('handOuts', head.id);
      if (!handOut) continue;
      const frozen = await this.sheetsOf(handOut);
      const works = new Map<string, { copy: Copy | undefined; marking: Marking | undefined }>();
      await Promise.all(
        [...new Set(holdersOf(head).map((id) => workKeyOf(handOut, id)))].map(async (key) => {
          works.set(key, await this.doneOn(handOut, key));
        }),
      );
      out.push({ handOut, frozen, works });
    }
    return out;
  }

  /** Plans of an activity that were not given out yet. */
  async plansOf(familyId: string): Promise<HandOut[]> {
    const drafts = this.heads.filter((h) => h.familyId === familyId && h.state === 'draft' && !h.isTemplate);
    return (await Promise.all(drafts.map((h) => this.read<HandOut>('handOuts', h.id)))).flatMap((h) => h ?? []);
  }

  /** Hand-outs that were given, the newest first, read one by one. */
  async *given(): AsyncGenerator<HandOut> {
    const heads = this.heads.filter((h) => h.state === 'given' && h.kind === 'work');
    for (const head of heads.sort((a, b) => (b.givenAt ?? '').localeCompare(a.givenAt ?? ''))) {
      const handOut = await this.read<HandOut>('handOuts', head.id);
      if (handOut) yield handOut;
    }
  }

  /** All activities, read one by one. */
  async *allFamilies(): AsyncGenerator<Family> {
    for (const id of this.familyIds) {
      const family = await this.read<Family>('families', id);
      if (family) yield family;
    }
  }

  /** What was given, as it was; undefined where it is not here. */
  async frozenOf(address: string): Promise<Frozen | undefined> {
    return await this.read<Frozen>('frozen', address);
  }

  /** Activities of which any work was given, in the order in which it was. */
  givenFamilies(): string[] {
    const given = this.heads.filter((h) => h.state === 'given' && h.kind === 'work' && h.familyId);
    return [...new Set(given.map((h) => h.familyId))];
  }

  /** Whether an activity stands on the Shelf: one that was removed waits, and does not. */
  isHere(familyId: string): boolean {
    return this.familyIds.includes(familyId);
  }

  /** A family; undefined where it is not here. */
  async familyOf(id: string): Promise<Family | undefined> {
    return await this.family(id);
  }

  /** The bytes of an asset; undefined where it is not here. */
  async asset(id: string): Promise<KeptAsset | undefined> {
    return await this.read<KeptAsset>('assets', id);
  }

  private async gatherFrom(
    head: HandOutHead,
    here: readonly Learner[],
    period: Period,
    works: Map<string, Gathered[]>,
  ): Promise<void> {
    const handOut = await this.read<HandOut>('handOuts', head.id);
    if (!handOut) return;
    const frozen: Record<string, Frozen> = {};
    let gathering: Gathering | undefined;
    for (const learner of here) {
      const done = await this.doneOn(handOut, workKeyOf(handOut, learner.id));
      if (!reachedIn(handOut, done, period, localDay)) continue;
      const mine = Object.hasOwn(handOut.given, learner.id) ? handOut.given[learner.id] : undefined;
      for (const address of [mine?.frozen ?? '', ...(mine?.earlier ?? []).map((e) => e.frozen)].filter(Boolean))
        if (!frozen[address]) {
          const one = await this.read<Frozen>('frozen', address);
          if (one) frozen[address] = one;
        }
      gathering ??= new Gathering(
        { handOut, family: await this.family(handOut.familyId), frozen },
        localDay,
        this.schoolDays,
      );
      const one = gathering.of(learner, done);
      if (one) works.get(learner.id)?.push(one);
    }
  }

  /** All sheets that a hand-out gave, by address. */
  private async sheetsOf(handOut: HandOut): Promise<Record<string, Frozen>> {
    const frozen: Record<string, Frozen> = {};
    for (const address of frozenIdsOf(handOut)) {
      const one = await this.read<Frozen>('frozen', address);
      if (one) frozen[address] = one;
    }
    return frozen;
  }

  /** One piece of work of a hand-out, with what was said to it. */
  private async doneOn(
    { id: handOutId }: HandOut,
    key: string,
  ): Promise<{ readonly copy: Copy | undefined; readonly marking: Marking | undefined }> {
    const id = copyIdOf(handOutId, key);
    const [copy, marking] = await Promise.all([this.read<Copy>('copies', id), this.read<Marking>('markings', id)]);
    return { copy, marking };
  }

  private async family(id: string): Promise<Family | undefined> {
    if (!this.families.has(id)) this.families.set(id, id ? await this.read<Family>('families', id) : undefined);
    return this.families.get(id);
  }

  private async read<T>(kind: Kind, id: string): Promise<T | undefined> {
    return goodOf(await readStored(this.generation, kind, id))?.data as T | undefined;
  }
}
