// What of Zod is used here: a name for everything in it would carry all of it, with its words in forty languages.
export {
  array,
  boolean,
  custom,
  discriminatedUnion,
  enum,
  int,
  iso,
  literal,
  never,
  number,
  object,
  partialRecord,
  record,
  strictObject,
  string,
  union,
  unknown,
  ZodError,
} from 'zod';
export type { core, infer, ZodType } from 'zod';
