import { z } from '../../../zod';
import { valuesOf } from '../../../work/answer';
import {
  type BlockKind,
  freshItem,
  type Id,
  idSchema,
  itemBase,
  itemWords,
  learnerItem,
  learnerItemBase,
  withItemWords,
} from '../../block';
import { acceptedToo, placesMark } from '../../parts';

const gapSchema = z.object({
  id: idSchema,
  /** Accepted answers; the first is the one shown as a choice or in the bank. */
  key: z.array(z.string().max(200)).max(20),
  /** Wrong answers offered beside the key where it is chosen. */
  others: z.array(z.string().max(200)).max(10),
});
export type Gap = z.infer<typeof gapSchema>;

const mode = z.enum(['typed', 'chosen', 'bank']);
const schema = z.object({
  ...itemBase,
  kind: z.literal('gaps'),
  /** The text with each gap as its id in braces: "The crab hides under a {g1}." */
  text: z.string().max(20000),
  gaps: z.array(gapSchema).max(100),
  mode: mode.default('typed'),
  /** Further words in the bank that fit no gap. */
  extra: z.array(z.string().max(200)).max(30),
  spellingTolerant: z.boolean().default(false),
});
type Gaps = z.infer<typeof schema>;
const learnerSchema = z.object({
  ...learnerItemBase,
  kind: z.literal('gaps'),
  text: z.string(),
  mode,
  gaps: z.array(z.object({ id: idSchema, choices: z.array(z.string()) })),
  bank: z.array(z.string()),
});

export type GapPart = { readonly text: string } | { readonly gap: Id };

/** A gap text in its stretches; a brace that names no gap stays as it is written. */
export function gapParts(text: string, gaps: readonly { id: Id }[]): GapPart[] {
  const out: GapPart[] = [];
  const say = (t: string) => {
    const last = out.at(-1);
    if (t === '') return;
    if (last && 'text' in last) out[out.length - 1] = { text: last.text + t };
    else out.push({ text: t });
  };
  for (const piece of text.split(/(\{[^{}\s]{1,64}\})/)) {
    const id = /^\{(.*)\}$/.exec(piece)?.[1];
    if (id !== undefined && gaps.some((g) => g.id === id)) out.push({ gap: id });
    else say(piece);
  }
  return out;
}

const inText = (b: Gaps): Gap[] =>
  gapParts(b.text, b.gaps).flatMap((p) => ('gap' in p ? b.gaps.filter((g) => g.id === p.gap) : []));
const sorted = (words: readonly string[]) =>
  [...new Set(words.filter((w) => w.trim() !== ''))].sort((a, b) => a.localeCompare(b, 'en'));

export const gapsBlock: BlockKind<Gaps, z.infer<typeof learnerSchema>> = {
  kind: 'gaps',
  label: 'Gaps in a text',
  schema,
  learnerSchema,
  fresh: (id) => ({
    ...freshItem(id),
    kind: 'gaps',
    prompt: 'Fill the gaps.',
    text: '',
    gaps: [],
    mode: 'typed',
    extra: [],
    spellingTolerant: false,
  }),
  words: (b) => [...itemWords(b), { field: 'text', label: 'Text with gaps', text: b.text }],
  withWords: (b, field, text) => (field === 'text' ? { ...b, text } : withItemWords(b, field, text)),
  forLearner: (b) => ({
    ...learnerItem(b),
    kind: 'gaps',
    text: b.text,
    mode: b.mode,
    gaps: inText(b).map((g) => ({
      id: g.id,
      choices: b.mode === 'chosen' ? sorted([g.key[0] ?? '', ...g.others]) : [],
    })),
    bank: b.mode === 'bank' ? sorted([...inText(b).map((g) => g.key[0] ?? ''), ...b.extra]) : [],
  }),
  item: {
    minutes: 2,
    keyWords: (b) => inText(b).flatMap((g) => (g.key[0] ? [g.key.join(' / ')] : [])),
    isEmpty: (a) => Object.values(valuesOf(a)).every((v) => v.trim() === ''),
    answerWords: (b, a) =>
      gapParts(b.text, b.gaps)
        .map((p) => ('text' in p ? p.text : `[${valuesOf(a)[p.gap] || '…'}]`))
        .join(''),
    accept: (b, a, by) => {
      const gaps = b.gaps.map((g) => {
        const isSame = (given: string) => by.words(given, g.key, 'exact').is === 'same';
        const key = acceptedToo(g.key, valuesOf(a)[g.id] ?? '', isSame, 20);
        return key === g.key ? g : { ...g, key };
      });
      return gaps.every((g, i) => g === b.gaps[i]) ? b : { ...b, gaps };
    },
    mark: (b, a, by) => {
      const how = b.mode !== 'typed' ? 'listed' : b.spellingTolerant ? 'tolerant' : 'exact';
      const places = inText(b).map((g) => ({ key: g.key, given: valuesOf(a)[g.id] ?? '' }));
      return placesMark(b.points, places, 'gaps right', (given, key) => by.words(given, key, how));
    },
  },
};
