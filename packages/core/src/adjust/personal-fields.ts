import { z } from '../zod';
import { blocksOf, type Content } from '../activity/activity';
import { type Block, wordsOf, withWords } from '../activity/blocks';
import {
  accommodation,
  adjustmentBase,
  type AdjustmentKind,
  type Applied,
  type PersonalValues,
  untouched,
} from './adjustment';
import type { Edit, Sheet } from './sheet';
import { counted } from '../counted';

/** The fields every learner's card has; a text holds them in square brackets: "[name] walks to the shore". */
export const PERSONAL_FIELDS = ['name', 'chosen name', 'birthday', 'age', 'interest', 'interests', 'class'] as const;
const FIELD = /\[([\p{L}][\p{L}\p{N} -]{0,39})\]/gu;

/** What stands where nothing is known: a sheet must never have a hole. */
const OTHERWISE: PersonalValues = {
  name: 'you',
  'chosen name': 'you',
  birthday: 'your birthday',
  age: 'your age',
  interest: 'something you like',
  interests: 'things you like',
  class: 'your class',
};

/** What stands in place of a field that nothing fills. */
export const saidOtherwise = (field: string): string => OTHERWISE[field] ?? field;

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('personal-fields'),
  /** What stands where the learner's card says nothing, by field. */
  otherwise: z.record(z.string().max(40), z.string().max(80)),
});
export type PersonalFields = z.infer<typeof schema>;

/** The fields that a content's words ask for, of those that are known: every card's, and `defined` by the teacher. */
export function personalFieldsIn(content: Content, defined: readonly string[] = []): string[] {
  const known = [...new Set<string>([...PERSONAL_FIELDS, ...defined])];
  const found = new Set<string>();
  for (const { block } of blocksOf(content))
    for (const w of wordsOf(block)) for (const m of w.text.matchAll(FIELD)) if (m[1]) found.add(m[1]);
  return known.filter((f) => found.has(f));
}

/** Whether a text asks for a field that every card has. */
export const hasPersonalField = (text: string): boolean =>
  [...text.matchAll(FIELD)].some((m) => (PERSONAL_FIELDS as readonly string[]).includes(m[1] ?? ''));

/** The fields of a content that neither the learner's card nor the adjustment's own words fill. */
export const missingFields = (content: Content, a: PersonalFields, values: PersonalValues): string[] =>
  personalFieldsIn(content, Object.keys(values)).filter((f) => !values[f] && !a.otherwise[f]);

/** A block with what stands in its personal fields where nothing of its learner is to be said. */
export function withoutPerson(block: Block): Block {
  let out = block;
  for (const w of wordsOf(block)) {
    const text = w.text.replace(FIELD, (_, f: string) => saidOtherwise(f));
    if (text !== w.text) out = withWords(out, w.field, text);
  }
  return out;
}

function filled(block: Block, values: PersonalValues): Block {
  let out = block;
  for (const w of wordsOf(block)) {
    const text = w.text.replace(FIELD, (whole, f: string) => values[f] ?? whole);
    if (text !== w.text) out = withWords(out, w.field, text);
  }
  return out;
}

/**
 * The edits that put a learner's own words in place of personal fields, wherever they stand. What the card does not say
 * is said by `otherwise`, and where that is silent in plain words: no sheet that a learner gets has an open field.
 */
export function fillFields(sheet: Sheet, learner: PersonalValues, otherwise: PersonalValues = {}): Edit[] {
  const known = (values: PersonalValues) => Object.fromEntries(Object.entries(values).filter(([, v]) => v));
  const values = { ...OTHERWISE, ...known(otherwise), ...known(learner) };
  // A field of the teacher's own that this card lacks is said by its name.
  for (const f of Object.keys(learner)) values[f] ??= f;
  const edits: Edit[] = [];
  for (const page of sheet.allPages())
    for (const before of page.blocks) {
      const block = filled(before, values);
      if (block !== before) edits.push({ edit: 'replace-block', before, block });
    }
  return edits;
}

export const personalFields: AdjustmentKind<PersonalFields> = {
  kind: 'personal-fields',
  label: 'Fill personal fields',
  done: 'made personal',
  category: 'presentation',
  schema,
  late: true,
  targets: () => [],
  apply: (a, sheet, { learner }): Applied => ({
    edits: learner ? fillFields(sheet, learner, a.otherwise) : [],
    missed: [],
  }),
  describe(a, basis) {
    const fields = personalFieldsIn(basis, Object.keys(a.otherwise));
    return fields.length
      ? counted(
          fields.length,
          'The learner’s own {fields} stands in the text.',
          'The learner’s own {fields} stand in the text.',
          { fields: fields.join(', ') },
        )
      : 'Personal fields are filled wherever the text has them.';
  },
  judge: () => ({ ...accommodation('The same questions, with the learner’s own words in them.'), neutral: true }),
  review: () => untouched,
};
