import type { Content, Page } from '../activity/activity';
import { isItem, type ItemBlock, keyWordsOf } from '../activity/blocks';
import { withUnit } from '../activity/blocks/number/index';
import { plainWords } from '../work/plain-words';
import { askedFor } from './asked-for';
import { isOfType } from './key-type';
import { wrongIn } from './turning';

/** Numbers near a key: what comes of a slip in counting, or of a digit more or less. */
const NEAR = [1, -1, 10, -10, 2, -2, 5];

/** Numbers with as many decimals as the key has, and none below nought where the key is not. */
function nearNumbers(key: number): number[] {
  const decimals = String(key).split('.')[1]?.length ?? 0;
  const step = 10 ** -decimals;
  const near = NEAR.map((d) => Number((key + d * (decimals ? step : 1)).toFixed(decimals)));
  return near.filter((n) => n !== key && (n >= 0 || key < 0));
}

/**
 * Wrong answers that other items of the same objective hold, which ask for the same sort of thing, those of the same page
 * first: a beginning for the teacher. None where none is of the key's own sort.
 */
export function proposeWrong(content: Content, b: ItemBlock, n = 3): string[] {
  const mine = new Set(keyWordsOf(b).map(plainWords));
  const page = content.pages.find((p) => p.blocks.some((x) => x.id === b.id));
  const asked = askedFor(b.prompt, page?.id ?? '');
  const isNumber = b.kind === 'number';
  const rank = (p: Page): number => (p === page ? 1 : 0);
  const near = content.pages
    .flatMap((p) => p.blocks.filter(isItem).map((x) => ({ x, p })))
    .filter(
      ({ x, p }) =>
        x.id !== b.id &&
        x.objectiveId === b.objectiveId &&
        (x.kind === 'number') === isNumber &&
        ['short-text', 'number', 'single-choice'].includes(x.kind) &&
        (isNumber || askedFor(x.prompt, p.id) === asked),
    )
    .sort((a, c) => rank(c.p) - rank(a.p));
  const words = [...wrongIn(b), ...near.flatMap(({ x }) => [...keyWordsOf(x).slice(0, 1), ...wrongIn(x)])];
  if (b.kind === 'number' && b.key !== null) words.push(...nearNumbers(b.key).map((near) => withUnit(near, b.unit)));
  const found = new Map(words.map((w) => [plainWords(w), w]));
  const [key = ''] = keyWordsOf(b);
  return [...found]
    .filter(([plain, w]) => plain && !mine.has(plain) && isOfType(w, key))
    .slice(0, n)
    .map(([, w]) => w);
}
