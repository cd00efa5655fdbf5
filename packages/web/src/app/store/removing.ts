import { inject, Injectable } from '@angular/core';
import {
  countHolders,
  countStates,
  type Family,
  type Heirs,
  holdersOf,
  type Id,
  idsIn,
  listOf,
  madeOn,
  type Removed,
  type Version,
  statesIn,
} from '@lorvet/core';
import { Clock } from '../platform/clock';
import { BenchActions, KeepingActions } from './actions';
import { Parts } from './parts';
import { wantGiven, wantWork } from './wants';
import { WorkspaceStore } from './workspace';
import { counted, many } from '../platform/many';

type What = Removed['what'];
type Target = Exclude<What, 'version'>;

const said = (parts: readonly (string | false)[]): string => parts.filter(Boolean).join(', ');

/** What would be removed, and what hangs on it, before anybody says yes. */
export interface Asked {
  readonly title: string;
  /** What goes with it, in words: "7 submitted, 3 complete"; empty where nothing does. */
  readonly says: string;
  /** Whether learners' work, or what learners have, hangs on it: then it is asked first. */
  readonly heavy: boolean;
}

/** Takes things out of their place, to wait under Keeping, and puts them back. */
@Injectable({ providedIn: 'root' })
export class Removing {
  private readonly work = inject(WorkspaceStore);
  private readonly parts = inject(Parts);
  private readonly clock = inject(Clock);

  /** What removing something comes to. */
  asked(what: Target, id: Id): Asked {
    switch (what) {
      case 'hand-out':
        return this.handOut(id);
      case 'activity':
        return this.activity(id);
      case 'learner':
        return this.learner(id);
      case 'class': {
        const c = this.work.doc().classes[id];
        const given = this.work.handOutHeads().filter((h) => h.classIds.includes(id)).length;
        const says = said([
          counted(c?.learnerIds.length ?? 0, '{n} learner stays', '{n} learners stay'),
          given > 0 && counted(given, '{n} hand-out for it', '{n} hand-outs for it'),
        ]);
        return { title: c?.name ?? '', says, heavy: given > 0 };
      }
      case 'group': {
        const g = this.work.doc().groups[id];
        const given = this.work.handOutHeads().filter((h) => h.groupIds.includes(id)).length;
        const says = said([
          counted(g?.learnerIds.length ?? 0, '{n} learner stays', '{n} learners stay'),
          given > 0 && counted(given, '{n} hand-out for it', '{n} hand-outs for it'),
        ]);
        return { title: g?.name ?? '', says, heavy: given > 0 };
      }
      case 'audience': {
        const a = this.work.doc().audiences[id];
        const planned = this.work
          .handOutHeads()
          .filter((h) => h.state === 'draft' && h.audienceIds.includes(id)).length;
        return {
          title: a?.name ?? '',
          says: planned > 0 ? counted(planned, '{n} plan for it', '{n} plans for it') : '',
          heavy: planned > 0,
        };
      }
      case 'template':
        return { title: this.work.templates()[id]?.name ?? '', says: '', heavy: false };
      case 'recipe':
        return { title: this.work.recipes()[id]?.name ?? '', says: '', heavy: false };
      case 'objective':
        return { title: this.work.objectives()[id]?.text ?? '', says: '', heavy: false };
    }
  }

  /** What removing a version, and those made on it where they go along, comes to. */
  askedVersion(family: Family, version: Version, heirs: Heirs): Asked {
    const along = heirs === 'go-too' ? madeOn(family, version.id) : [];
    const ids = new Set([version.id, ...along.map((v) => v.id)]);
    const holders = new Set(
      this.work
        .handOutHeads()
        .filter((h) => h.familyId === family.id)
        .flatMap((h) =>
          h.holders.flatMap((x) => (x.versionId !== null && ids.has(x.versionId) ? idsIn(x.learners) : [])),
        ),
    );
    const says = said([
      many(version.adjustments.length, 'adjustment'),
      along.length > 0 && counted(along.length, '{n} version made on it', '{n} versions made on it'),
      holders.size > 0 && counted(holders.size, '{n} learner has it and keeps it', '{n} learners have it and keep it'),
    ]);
    return { title: version.name, says, heavy: holders.size > 0 || along.length > 0 };
  }

  /** Takes it out of its place. */
  async remove(what: Target, id: Id): Promise<void> {
    await this.parts.during(async (want) => {
      if (what === 'hand-out') await wantGiven(id, want, this.work.doc);
      if (what === 'activity') await want('families', [id]);
      if (what === 'learner') await want('handOuts', this.drafts());
      const removed = this.entry(what, id);
      if (removed) this.work.dispatch(KeepingActions.removed({ removed }));
    });
  }

  removeVersion(family: Family, version: Version, heirs: Heirs): void {
    const along = heirs === 'go-too' ? madeOn(family, version.id) : [];
    const out = new Set([version, ...along]);
    const versions = family.versions.flatMap((v, at) => (out.has(v) ? [{ at, version: v }] : []));
    const removed = {
      ...this.base(this.askedVersion(family, version, heirs)),
      what: 'version' as const,
      familyId: family.id,
      versions,
    };
    const action = { familyId: family.id, versionId: version.id, heirs, removed, stamp: this.work.stamp() };
    this.work.dispatch(BenchActions.versionRemoved(action));
  }

  async putBack(removed: Removed): Promise<void> {
    await this.parts.during(async (want) => {
      if (removed.what === 'hand-out') await wantWork(removed.target, want, this.work.doc);
      if (removed.what === 'activity') await want('families', [removed.target]);
      if (removed.what === 'version') await want('families', [removed.familyId]);
      if (removed.what === 'learner')
        await want(
          'handOuts',
          removed.lines.map((l) => l.handOutId),
        );
      this.work.dispatch(KeepingActions.putBack({ removed }));
    });
  }

  /** Whether there is still a place to put it back to. */
  hasPlace(removed: Removed): boolean {
    return removed.what !== 'version' || this.work.familyHeadsById()[removed.familyId] !== undefined;
  }

  private drafts(): Id[] {
    return this.work.handOutHeads().flatMap((h) => (h.state === 'draft' ? [h.id] : []));
  }

  private handOut(id: Id): Asked {
    const head = this.work.handOutHeadsById()[id];
    const states = countStates(this.work.states()[id]);
    const begun = states.working + states['another go'];
    const says = said([
      begun > 0 && `${begun} begun`,
      states.submitted > 0 && `${states.submitted} submitted`,
      states.complete > 0 && `${states.complete} complete`,
      begun + states.submitted + states.complete === 0 &&
        (head?.state === 'given' ? counted(countHolders(head), 'given to {n} learner', 'given to {n} learners') : ''),
    ]);
    return { title: head?.title ?? '', says, heavy: head?.state === 'given' };
  }

  private activity(id: Id): Asked {
    const head = this.work.familyHeadsById()[id];
    const given = this.work.handOutHeads().filter((h) => h.familyId === id && h.state === 'given');
    const holders = new Set(given.flatMap(holdersOf));
    const n = head?.versions.length ?? 0;
    const says = said([
      many(n, 'version'),
      holders.size > 0 && counted(holders.size, '{n} learner has it and keeps it', '{n} learners have it and keep it'),
    ]);
    return { title: head?.title ?? '', says, heavy: n > 0 || holders.size > 0 };
  }

  private learner(id: Id): Asked {
    const states = this.work.handOutHeads().flatMap((h) => statesIn(this.work.states()[h.id]).get(id) ?? []);
    const says = said([
      states.length > 0 &&
        counted(
          states.length,
          '{n} piece of work, which stays under Marking',
          '{n} pieces of work, which stay under Marking',
        ),
    ]);
    return { title: this.work.doc().learners[id]?.name ?? '', says, heavy: states.length > 0 };
  }

  private base({ title, says }: Asked) {
    return { id: this.clock.newId(), at: this.clock.iso(), title: title.slice(0, 300), says: says.slice(0, 300) };
  }

  private entry(what: Target, id: Id): Removed | null {
    const doc = this.work.doc();
    const base = this.base(this.asked(what, id));
    switch (what) {
      case 'hand-out':
      case 'activity':
        return { ...base, what, target: id };
      case 'learner': {
        const learner = doc.learners[id];
        if (!learner) return null;
        const homes = (all: readonly { id: Id; learnerIds: readonly Id[] }[]) =>
          all.filter((p) => p.learnerIds.includes(id)).map((p) => p.id);
        const lines = listOf(doc.handOuts).flatMap((h) =>
          h.state === 'draft'
            ? h.lines.flatMap((l) => (l.learnerId === id ? [{ handOutId: h.id, versionId: l.versionId }] : []))
            : [],
        );
        return {
          ...base,
          what,
          learner,
          classIds: homes(listOf(doc.classes)),
          groupIds: homes(listOf(doc.groups)),
          lines,
        };
      }
      case 'class': {
        const record = doc.classes[id];
        return record ? { ...base, what, record } : null;
      }
      case 'group': {
        const record = doc.groups[id];
        return record ? { ...base, what, record } : null;
      }
      case 'audience': {
        const record = doc.audiences[id];
        return record ? { ...base, what, record } : null;
      }
      case 'template': {
        const record = doc.templates[id];
        return record ? { ...base, what, record } : null;
      }
      case 'recipe': {
        const record = doc.recipes[id];
        return record ? { ...base, what, record } : null;
      }
      case 'objective': {
        const record = doc.objectives[id];
        return record ? { ...base, what, record } : null;
      }
    }
  }
}
