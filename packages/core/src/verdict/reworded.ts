import { type Content, findBlock } from '../activity/activity';
import { isItem, keyIdsOf } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import { snippet } from '../adjust/adjustment';
import type { Adjustment } from '../adjust/registry';
import { itemsOfPage } from './brought';
import { numbersSaid, revealOf } from './reveal';

const NEGATIVES = /\b(?:not|no|never|none|without|except|cannot)\b|n['’]t\b/gi;
const ASKS = /\b(?:what|which|who|whom|whose|why|how (?:many|much|long|far|often)|how|when|where)\b/gi;
const said = (text: string, words: RegExp): string =>
  [...new Set((text.toLowerCase().match(words) ?? []).map((w) => w.replace(/^n['’]t$/, 'not')))].sort().join(' ');

/** All that a text says in figures, times and dates as well, and its numbers in words. */
const figures = (text: string): string[] => [
  ...new Set([...(text.match(/\d+(?:[.:,/]\d+)*/g) ?? []), ...numbersSaid(text).map(String)]),
];

/** Words that tell what is to be done, those that ask for the same in one row. */
const COMMANDS: readonly RegExp[] = [
  /\b(?:explain|why|give (?:a |your |two |three )?reasons?|because|justify)\b/i,
  /\b(?:compare|contrast|differ\w*|difference|alike|similar)\b/i,
  /\b(?:prove|evaluate|judge|argue|discuss|convince)\b/i,
  /\b(?:estimate|guess|about how)\b/i,
  /\b(?:predict|what would|what will)\b/i,
  /\b(?:describe|tell about)\b/i,
  /\b(?:draw|sketch)\b/i,
  /\b(?:list|all)\b/i,
  /\b(?:sentences?|paragraph)\b/i,
  /\b(?:show (?:how|your))\b/i,
];
const commands = (text: string): string => COMMANDS.map((c) => (c.test(text) ? '1' : '0')).join('');

/** Words that turn a question round. */
const OPPOSITES: readonly (readonly string[])[] = (
  'largest biggest greatest most longest highest tallest maximum, smallest least fewest shortest lowest minimum|' +
  'larger bigger greater more longer higher taller above over, smaller less fewer shorter lower below under|' +
  'first earliest, last latest|before earlier, after later|true right correct, false wrong incorrect|same alike, different|' +
  'increase rise grow, decrease fall shrink|up, down|hot hottest warm, cold coldest cool|always every all, never none|' +
  'best, worst|old oldest older, young youngest younger new newest|left, right|north, south|east, west|alone yourself, together partner group|' +
  'begin beginning start, end|add plus sum, subtract minus difference|multiply times product, divide|fast fastest, slow slowest|' +
  'advantage advantages pro, disadvantage disadvantages con|cause causes, effect effects|odd, even|in inside, out outside'
)
  .split('|')
  .flatMap((pair) => {
    const [a = '', b = ''] = pair.split(',').map((s) => s.trim());
    return [a, b].map((x) => x.split(' '));
  });
const isSide = (text: string, side: readonly string[]): boolean =>
  new RegExp(`\\b(?:${side.join('|')})\\b`, 'i').test(text);

/** Whether words stand for one side of something before, and for the other side of it now. */
function turnsRound(was: string, now: string): boolean {
  for (let i = 0; i < OPPOSITES.length; i += 2) {
    const [a = [], b = []] = [OPPOSITES[i], OPPOSITES[i + 1]];
    const [wasA, wasB, nowA, nowB] = [isSide(was, a), isSide(was, b), isSide(now, a), isSide(now, b)];
    if ((wasA && !wasB && nowB && !nowA) || (wasB && !wasA && nowA && !nowB)) return true;
  }
  return false;
}

export interface Change {
  readonly what: string;
  readonly question: string;
}
const asks = (what: string): Change => ({ what, question: 'Does it ask something else now?' });

/** What of the sense of words that ask or tell to do something may have changed; null where nothing of the kind was found. */
function changeBetween(was: string, now: string): Change | null {
  const is = `“${snippet(now, 60)}”`;
  if (said(was, NEGATIVES) !== said(now, NEGATIVES)) return asks(`A “not” came or went in ${is}.`);
  if (figures(was).sort().join(' ') !== figures(now).sort().join(' ')) return asks(`${is} has other numbers.`);
  if (turnsRound(was, now)) return asks(`A word was changed for its opposite in ${is}.`);
  if (commands(was) !== commands(now)) return asks(`${is} tells to do something else.`);
  return null;
}

/** Other words of a text that is read: an answer that stood in it is gone, or it says other numbers. */
function changeOfText(id: string, was: string, now: string, result: Content): Change | null {
  const page = findBlock(result, id)?.page;
  const others = (page?.blocks ?? [])
    .filter((b) => b.id !== id && !isItem(b))
    .map(plainTextOf)
    .join('\n');
  const gone = itemsOfPage(result, page?.id).find(
    (i) => isSaid(revealOf(was, i, others)) && !isSaid(revealOf(now, i, others)),
  );
  if (gone)
    return {
      what: `To mend: the answer to “${snippet(gone.prompt)}” stood in the words before.`,
      question: 'Does it miss what it needs to be answered?',
    };
  const known = new Set(figures(was));
  return figures(now).some((n) => !known.has(n))
    ? { what: 'It says other numbers than the text before.', question: 'Are answers others now?' }
    : null;
}
const isSaid = (told: ReturnType<typeof revealOf>): boolean => told !== null && told.how !== 'clue';

/** What of the sense of a question, an instruction or a text may have changed with its words. */
export function sayChange(a: Adjustment, basis: Content, result: Content): Change | null {
  if (a.kind === 'reword-instructions') return changeBetween(a.was, a.now);
  if (a.kind !== 'reword') return null;
  const b = findBlock(basis, a.target)?.block;
  if (!b) return null;
  if (b.kind === 'instruction') return changeBetween(a.was, a.now);
  if (b.kind === 'text' || b.kind === 'passage') return changeOfText(b.id, a.was, a.now, result);
  if (!isItem(b)) return null;
  if (a.field.startsWith('option:'))
    return keyIdsOf(b).includes(a.field.slice('option:'.length))
      ? asks(`The right choice reads otherwise: “${snippet(a.now, 60)}”.`)
      : null;
  if (a.field !== 'prompt') return null;
  return (
    changeBetween(a.was, a.now) ??
    (said(a.was, ASKS) !== said(a.now, ASKS) ? asks(`“${snippet(a.now, 60)}” asks with another word.`) : null)
  );
}
