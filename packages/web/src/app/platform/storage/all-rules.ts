import {
  COLLECTIONS,
  INDEX_NAMES,
  indexSchemas,
  mendedFamily,
  migrateRecord,
  recordSchemas,
  unsoundIn,
  type Family,
} from '@lorvet/core';
import { keptAssetSchema } from './kept-asset';
import type { Kind } from './record-places';
import { learnRules, type Rule } from './rules';

const ALL: readonly (readonly [Kind, Rule])[] = [
  ...COLLECTIONS.map((c): [Kind, Rule] => [
    c,
    {
      schema: c === 'assets' ? keptAssetSchema : recordSchemas[c],
      migrate: (format, record) => migrateRecord(c, format, record),
      ...(c === 'families'
        ? {
            unsoundIn: (family) => unsoundIn(family as Family).slice(0, 3),
            mend: (family, notes) => mendedFamily(family as Family, notes),
          }
        : {}),
    },
  ]),
  ...INDEX_NAMES.map((n): [Kind, Rule] => [n, { schema: indexSchemas[n] }]),
];

/** All that is kept can be read and written here. */
export const learnAllRules = (): void => learnRules(Object.fromEntries(ALL));
