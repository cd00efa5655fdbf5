import { findBlock } from '../activity/activity';
import type { Id } from '../activity/block';
import { stepsTicked, weeksTicked } from '../activity/blocks/steps';
import type { Frozen } from '../assign/held/frozen';
import { counted } from '../counted';
import { answerIsEmpty, chosenOf, textOf, valuesOf } from '../work/answer';
import type { Go } from '../work/copy';
import { plainWords } from '../work/plain-words';

/** What an adjustment's use can be read from. */
export interface UseSeen {
  readonly frozen: Frozen;
  readonly go: Go | undefined;
  /** Blocks that the adjustment made or changed, as they are on the sheet. */
  readonly blockIds: readonly Id[];
  /** Questions that it speaks of. */
  readonly itemIds: readonly Id[];
  readonly goesUsed: number;
  /** How often a word's meaning was looked up at the desk. */
  readonly meanings: number;
  /** Everybody's date where it was submitted after it: the learner's own date lay later. */
  readonly late: boolean;
}

const blockOf = ({ frozen }: UseSeen, id: Id) => findBlock(frozen.content, id)?.block;
const answerWords = ({ go }: UseSeen, id: Id): string[] => {
  const a = go?.answers[id];
  return a ? [textOf(a), ...Object.values(valuesOf(a))].filter((t) => t.trim()) : [];
};

/** How each kind tells that it was used, in words; empty where it was there and was not. */
const TELLS: Readonly<Record<string, (seen: UseSeen) => string>> = {
  flap: (seen) => {
    const flaps = seen.blockIds.filter((id) => {
      const b = blockOf(seen, id);
      return b && 'flap' in b && b.flap;
    });
    const lifted = flaps.filter((id) => seen.go?.lifted && Object.hasOwn(seen.go.lifted, id)).length;
    return flaps.length ? `lifted ${lifted} of ${flaps.length}` : '';
  },
  'steps-to-tick': (seen) => {
    let [done, of] = [0, 0];
    for (const id of seen.blockIds) {
      const b = blockOf(seen, id);
      if (b?.kind !== 'steps') continue;
      const a = seen.go?.answers[id];
      of += b.steps.length;
      const chosen = a ? chosenOf(a) : [];
      done += stepsTicked(b, chosen, weeksTicked(chosen)[0] ?? '').length;
    }
    return of ? `ticked ${done} of ${of}` : '';
  },
  'word-bank': (seen) => {
    const words = new Set(
      seen.blockIds.flatMap((id) => {
        const b = blockOf(seen, id);
        return b?.kind === 'word-bank' ? b.words.map(plainWords) : [];
      }),
    );
    const written = seen.itemIds.flatMap((id) => answerWords(seen, id));
    const taken = written.filter((w) => words.has(plainWords(w))).length;
    return written.length
      ? `${taken} of ${counted(written.length, '1 answer is', '{n} answers are')} of its words`
      : '';
  },
  'sentence-starters': (seen) => {
    let [taken, of] = [0, 0];
    for (const id of seen.blockIds) {
      const b = blockOf(seen, id);
      const starters = b && 'starters' in b ? (b.starters ?? []) : [];
      const said = answerWords(seen, id).map(plainWords);
      if (!starters.length || !said.length) continue;
      of++;
      if (starters.some((s) => said.some((text) => text.includes(plainWords(s))))) taken++;
    }
    return of ? `begun with in ${taken} of ${counted(of, '1 answer', '{n} answers')}` : '';
  },
  glossary: ({ meanings }) =>
    meanings ? counted(meanings, 'a meaning was looked up once', 'meanings were looked up {n} times') : '',
  goes: ({ goesUsed }) => counted(goesUsed, '1 go was used', '{n} goes were used'),
  'extra-time': ({ late, go }) =>
    late ? 'the later date was used' : go?.submittedAt ? 'submitted by everybody’s date' : '',
  'extension-item': (seen) => {
    const done = seen.blockIds.filter((id) => !answerIsEmpty(seen.go?.answers[id])).length;
    return seen.blockIds.length ? `answered ${done} of ${seen.blockIds.length}` : '';
  },
};

/** Whether an adjustment was used, in words; empty where the work cannot tell, or nothing was done yet. */
export function usedOf(kind: string, seen: UseSeen): string {
  const tells = Object.hasOwn(TELLS, kind) ? TELLS[kind] : undefined;
  return tells && seen.go ? tells(seen) : '';
}
