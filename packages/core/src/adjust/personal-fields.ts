import { z } from 'zod';
import { blocksOf, type Content } from '../activity/activity';
import { type Block, wordsOf, withWords } from '../activity/blocks';
import { adjustmentBase, type AdjustmentKind, type Applied, type PersonalValues, untouched } from './adjustment';
import type { Edit } from './sheet';

/** The fields a text may hold, written in square brackets: "[name] walks to the shore". */
export const PERSONAL_FIELDS = ['name', 'interest', 'class'] as const;
export type PersonalField = (typeof PERSONAL_FIELDS)[number];
const MARKER = /\[(name|interest|class)\]/g;

const schema = z.object({
  ...adjustmentBase,
  kind: z.literal('personal-fields'),
  /** What stands where the learner's card says nothing. */
  otherwise: z.object({ name: z.string().max(80), interest: z.string().max(80), class: z.string().max(80) }),
});
export type PersonalFields = z.infer<typeof schema>;

export const hasPersonalField = (text: string): boolean => new RegExp(MARKER.source).test(text);

/** The fields that a content's words ask for. */
export function personalFieldsIn(content: Content): PersonalField[] {
  const found = new Set<PersonalField>();
  for (const { block } of blocksOf(content))
    for (const w of wordsOf(block)) for (const m of w.text.matchAll(MARKER)) found.add(m[1] as PersonalField);
  return PERSONAL_FIELDS.filter((f) => found.has(f));
}

function filled(block: Block, values: PersonalValues): Block {
  let out = block;
  for (const w of wordsOf(block)) {
    const text = w.text.replace(MARKER, (whole, f: PersonalField) => values[f] ?? whole);
    if (text !== w.text) out = withWords(out, w.field, text);
  }
  return out;
}

export const personalFields: AdjustmentKind<PersonalFields> = {
  kind: 'personal-fields',
  label: 'Fill personal fields',
  done: 'made personal',
  category: 'presentation',
  schema,
  late: true,
  targets: () => [],
  apply(a, sheet, { learner }): Applied {
    if (!learner) return { edits: [], missed: [] };
    const values = { ...a.otherwise, ...Object.fromEntries(Object.entries(learner).filter(([, v]) => v)) };
    const edits: Edit[] = [];
    for (const page of sheet.allPages())
      for (const before of page.blocks) {
        const block = filled(before, values);
        if (block !== before) edits.push({ edit: 'replace-block', before, block });
      }
    return { edits, missed: [] };
  },
  describe(_, basis) {
    const fields = personalFieldsIn(basis);
    const named = { name: 'name', interest: 'an interest', class: 'class' };
    return fields.length
      ? `The learner’s own ${fields.map((f) => named[f]).join(', ')} stand${fields.length === 1 ? 's' : ''} in the text.`
      : 'Personal fields are filled wherever the text has them.';
  },
  review: () => untouched,
};
