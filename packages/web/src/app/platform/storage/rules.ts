import { indexSchemas, copySchema, keptComfortSchema, type z } from '@lorvet/core/desk';
import { keptAssetSchema } from './kept-asset';
import type { Kind } from './record-places';

/** What must hold of the records of a kind. */
export interface Rule {
  readonly schema: z.ZodType;
  /** A record of an earlier format as of now. */
  readonly migrate?: (format: number, record: unknown) => unknown;
  /** What is unsound in a record that has the schema's form, in words. */
  readonly unsoundIn?: (record: unknown) => string[];
  /** The same record made sound, with a note for each thing that was done; null where it cannot be. */
  readonly mend?: (record: unknown, notes: string[]) => unknown;
}
export type Rules = Readonly<Partial<Record<Kind, Rule>>>;

/** What the desk reads and writes, and no more. */
const DESK: Rules = {
  comforts: { schema: keptComfortSchema },
  copies: { schema: copySchema },
  assets: { schema: keptAssetSchema },
  states: { schema: indexSchemas.states },
  door: { schema: indexSchemas.door },
  slips: { schema: indexSchemas.slips },
  sheets: { schema: indexSchemas.sheets },
  flaps: { schema: indexSchemas.flaps },
  albums: { schema: indexSchemas.albums },
  keys: { schema: indexSchemas.keys },
};

const known = new Map<Kind, Rule>();

/** From now on records of these kinds can be read and written here. */
export function learnRules(rules: Rules): void {
  for (const [kind, rule] of Object.entries(rules)) known.set(kind as Kind, rule);
}
learnRules(DESK);

/** Whether records of a kind can be read here: where they cannot, they are left as they are. */
export const isKnownHere = (kind: Kind): boolean => known.has(kind);

export function ruleOf(kind: Kind): Rule {
  const rule = known.get(kind);
  if (!rule) throw new Error(`Nothing is known here of ${kind}.`);
  return rule;
}
