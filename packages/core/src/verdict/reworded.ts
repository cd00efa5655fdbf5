import { type Content, findBlock } from '../activity/activity';
import { isItem, keyIdsOf } from '../activity/blocks';
import type { Adjustment } from '../adjust/registry';
import { numbersSaid } from './reveal';

const NEGATIVES = /\b(?:not|no|never|none|without|except|cannot)\b|n['’]t\b/gi;
const ASKS = /\b(?:what|which|who|whom|whose|why|how (?:many|much|long|far|often)|how|when|where)\b/gi;
const said = (text: string, words: RegExp): string =>
  [...new Set((text.toLowerCase().match(words) ?? []).map((w) => w.replace(/^n['’]t$/, 'not')))].sort().join(' ');

/** What of a question's sense may have changed with its words; empty where nothing of the kind was found. */
export function sayChange(a: Adjustment, basis: Content): string {
  if (a.kind !== 'reword') return '';
  const b = findBlock(basis, a.target)?.block;
  if (!b || !isItem(b)) return '';
  if (a.field.startsWith('option:'))
    return keyIdsOf(b).includes(a.field.slice('option:'.length)) ? 'The right choice reads otherwise.' : '';
  if (a.field !== 'prompt') return '';
  if (said(a.was, NEGATIVES) !== said(a.now, NEGATIVES)) return 'A “not” came or went with the other words.';
  if (numbersSaid(a.was).sort().join() !== numbersSaid(a.now).sort().join()) return 'It has other numbers.';
  if (said(a.was, ASKS) !== said(a.now, ASKS)) return 'It asks with another word.';
  return '';
}
