import { findBlock, itemsOf } from '../activity/activity';
import type { Id } from '../activity/block';
import { type Block, isChoice, isItem, keyIdsOf, keyWordsOf } from '../activity/blocks';
import { chainOf, type Family, type Version } from '../activity/family';
import type { Judgement } from '../adjust/adjustment';
import type { Adjustment } from '../adjust/registry';
import { basisContent, derive, inForce } from '../derive/derive';
import { plainWords } from '../work/match-words';
import { objectiveIdsIn } from './measure';

export interface Verdict {
  readonly judgement: Judgement;
  readonly why: string;
  /** The teacher's own judgement, where there is one; it counts. */
  readonly overruled?: { readonly judgement: Judgement; readonly reason: string };
}

export interface Classified {
  /** 'same' where nothing is in force. */
  readonly judgement: Judgement | 'same';
  readonly why: readonly string[];
  readonly adjustments: ReadonlyMap<Id, Verdict>;
}

/** What counts: the teacher's judgement before the computed one. */
export const counts = (v: Verdict): Judgement => v.overruled?.judgement ?? v.judgement;

/** Whether a text says the key of an item that its own question does not say already. */
export function givesAway(text: string, item: Block, before: string): boolean {
  const said = ` ${plainWords(text)} `;
  const saidBefore = ` ${plainWords(before)} `;
  if (!isItem(item) || item.kind === 'long-text') return false;
  return keyWordsOf(item).some((k) => {
    const key = ` ${plainWords(k)} `;
    return key.trim() !== '' && said.includes(key) && !saidBefore.includes(key);
  });
}

/**
 * Accommodation or modification, by rule (docs/decisions/0003): an adjustment is a modification when it takes away
 * the last item of an objective or gives an answer away; an addition when it only adds to what is asked; otherwise
 * an accommodation.
 */
export function classify(family: Family, versionId: Id): Classified {
  const chain = chainOf(family, versionId);
  const master = derive(family, null).content;
  const result = derive(family, versionId);
  const objectives = new Map(master.objectives.map((o) => [o.id, o.text]));
  const lost = new Set([...objectiveIdsIn(master)].filter((id) => !objectiveIdsIn(result.content).has(id)));
  const adjustments = new Map<Id, Verdict>();
  const all: Verdict[] = [];
  for (const version of chain)
    for (const a of version.adjustments) {
      if (!inForce(a, undefined)) continue;
      const verdict: Verdict = {
        ...judge(family, version, a, lost, objectives),
        ...(a.overrule ? { overruled: a.overrule } : {}),
      };
      // Filling in a name changes neither what is asked nor how: it counts only where the teacher says so.
      if (a.kind !== 'personal-fields' || a.overrule) all.push(verdict);
      adjustments.set(a.id, verdict);
    }
  const of = (j: Judgement) => all.filter((v) => counts(v) === j);
  const why = [...new Set(of('modification').map((v) => v.overruled?.reason ?? v.why))];
  if (why.length > 0) return { judgement: 'modification', why, adjustments };
  if (of('accommodation').length > 0)
    return { judgement: 'accommodation', why: ['Every objective of the master is still asked.'], adjustments };
  if (all.length > 0) return { judgement: 'addition', why: ['It only adds to what the master asks.'], adjustments };
  return { judgement: 'same', why: ['Nothing differs from the master yet.'], adjustments };
}

function judge(
  family: Family,
  version: Version,
  a: Adjustment,
  lost: ReadonlySet<Id>,
  objectives: ReadonlyMap<Id, string>,
): { judgement: Judgement; why: string } {
  const basis = basisContent(family, version);
  const block = (id: Id) => findBlock(basis, id)?.block;
  const accommodation = (why: string) => ({ judgement: 'accommodation' as const, why });
  const modification = (why: string) => ({ judgement: 'modification' as const, why });
  const removal = (items: readonly { objectiveId?: string | undefined }[]) => {
    const gone = [...new Set(items.map((i) => i.objectiveId ?? ''))].filter((id) => lost.has(id));
    return gone.length
      ? modification(`“${objectives.get(gone[0] ?? '') ?? ''}” has no item left in this version.`)
      : accommodation('Less to do; every objective it touches is still asked elsewhere.');
  };
  switch (a.kind) {
    case 'leave-out': {
      if (a.what === 'page') return removal(basis.pages.find((p) => p.id === a.target)?.blocks.filter(isItem) ?? []);
      const out = block(a.target);
      return out && isItem(out) ? removal([out]) : accommodation('Less on the page; nothing less is asked.');
    }
    case 'keep-pages': {
      const kept = new Set(a.pages);
      return removal(itemsOf({ ...basis, pages: basis.pages.filter((p) => !kept.has(p.id)) }));
    }
    case 'reword': {
      const b = block(a.target);
      return b && givesAway(a.now, b, a.was) && a.field === 'prompt'
        ? modification('The new wording says the answer.')
        : accommodation('Other words for the same question.');
    }
    case 'fewer-choices': {
      const b = block(a.target);
      if (!b || !isChoice(b)) return accommodation('Fewer choices.');
      const left = b.options.filter((o) => !a.leaveOut.includes(o.id));
      return left.every((o) => keyIdsOf(b).includes(o.id))
        ? modification('Only the answer is left to choose.')
        : accommodation(`${left.length} choices in place of ${b.options.length}, for the same question.`);
    }
    case 'hint': {
      const b = block(a.target);
      return b && isItem(b) && givesAway(a.text, b, b.prompt)
        ? modification('The hint says the answer.')
        : accommodation('Help on the way to the same answer.');
    }
    case 'word-bank':
      return a.words.length < 2
        ? modification('A bank of one word gives the answer away.')
        : accommodation('The words are given; which goes where is still asked.');
    case 'insert-block':
      return isItem(a.block)
        ? { judgement: 'addition', why: 'A further question; nothing is taken away.' }
        : accommodation('Help or information is added.');
    case 'personal-fields':
      return accommodation('The same questions, with the learner’s own words in them.');
  }
}
