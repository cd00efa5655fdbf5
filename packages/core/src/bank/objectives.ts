import { z } from '../zod';
import type { Id } from '../activity/block';
import type { BadLine } from '../formats/csv-lines';
import { csvLines } from '../formats/csv-lines';
import { placesOf, Problem } from '../formats/problem';
import type { ListedObjective } from '../workspace';

export interface ObjectiveList {
  readonly objectives: readonly ListedObjective[];
  readonly bad: readonly BadLine[];
}

const HEADS = {
  code: /^(code|number|id|humancodingscheme)/i,
  text: /^(objective|text|statement|description|goal|standard|skill)/i,
  subject: /^subject/i,
  ages: /^(age|grade|level|year)/i,
};

/** Reads objectives from CSV: a first line with names; a column with the objective's words, and perhaps code, subject, ages. */
export function readObjectivesCsv(text: string, from: string, newId: () => Id): ObjectiveList {
  const [head, ...rest] = csvLines(text);
  const at = (test: RegExp) => head?.cells.findIndex((h) => test.test(h)) ?? -1;
  const words = at(HEADS.text);
  if (!head || words < 0)
    throw new Problem(
      'This list has no column with the objectives. Its first line must name one “objective”, “text” or “statement”.',
    );
  const columns = { code: at(HEADS.code), subject: at(HEADS.subject), ages: at(HEADS.ages) };
  const bad: BadLine[] = [];
  const objectives = rest.flatMap(({ line, cells }): ListedObjective[] => {
    const cell = (i: number, most: number) => (i < 0 ? '' : (cells[i] ?? '').slice(0, most));
    const said = cells[words] ?? '';
    if (said === '' || said.length > 300) {
      bad.push({ line, why: said === '' ? 'There is no objective.' : 'The objective is longer than 300 letters.' });
      return [];
    }
    return [
      {
        id: newId(),
        code: cell(columns.code, 60),
        text: said,
        subject: cell(columns.subject, 100),
        ages: cell(columns.ages, 40),
        from: from.slice(0, 200),
      },
    ];
  });
  return { objectives, bad };
}

// The part of the 1EdTech CASE 1.0 CFPackage that names objectives.
const caseSchema = z.object({
  CFDocument: z.object({ title: z.string(), subject: z.array(z.string()).optional() }),
  CFItems: z.array(
    z.object({
      identifier: z.string().min(1),
      fullStatement: z.string(),
      humanCodingScheme: z.string().optional().nullable(),
      educationLevel: z.array(z.string()).optional().nullable(),
      CFItemType: z.string().optional().nullable(),
      subject: z.array(z.string()).optional().nullable(),
    }),
  ),
  CFAssociations: z
    .array(
      z.object({
        associationType: z.string(),
        originNodeURI: z.object({ identifier: z.string() }).optional(),
        destinationNodeURI: z.object({ identifier: z.string() }).optional(),
      }),
    )
    .optional(),
});

/** Reads objectives from a 1EdTech CASE package (CFPackage as JSON): the statements that have none below them. */
export function readCase(text: string): ObjectiveList {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    throw new Problem('This file is not JSON: it is damaged, or it is not a CASE package.');
  }
  const read = caseSchema.safeParse(raw);
  if (!read.success)
    throw new Problem('This is not a CASE package (CFPackage), or a part of it is missing.', placesOf(read.error));
  const { CFDocument: doc, CFItems: items, CFAssociations: links = [] } = read.data;
  const parents = new Set(
    links.filter((l) => l.associationType === 'isChildOf').map((l) => l.destinationNodeURI?.identifier ?? ''),
  );
  const bad: BadLine[] = [];
  const objectives = items.flatMap((item, i): ListedObjective[] => {
    if (parents.has(item.identifier)) return [];
    const said = item.fullStatement.trim();
    if (said === '') {
      bad.push({ line: i + 1, why: `The statement ${item.humanCodingScheme ?? item.identifier} has no words.` });
      return [];
    }
    return [
      {
        // The framework's own id, so that the same objective taken in twice is one.
        id: item.identifier.slice(0, 64),
        code: (item.humanCodingScheme ?? '').slice(0, 60),
        text: said.slice(0, 300),
        subject: (item.subject ?? doc.subject ?? []).join(', ').slice(0, 100),
        ages: (item.educationLevel ?? []).join(', ').slice(0, 40),
        from: doc.title.slice(0, 200),
      },
    ];
  });
  return { objectives, bad };
}
