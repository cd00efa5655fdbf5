import { toJSONSchema } from 'zod';
import { evidenceSchema } from '../src/evidence';

/** Schemas of files that others read, as JSON Schema (2020-12), by the file that each stands in. */
export const SCHEMAS: Readonly<Record<string, () => string>> = {
  'evidence.schema.json': () =>
    `${JSON.stringify({ title: 'Evidence of one learner, format 1', ...toJSONSchema(evidenceSchema) }, null, 2)}\n`,
};
