import type { z } from './zod';
import { familySchema } from './activity/family';
import { frozenSchema, handOutSchema } from './assign/hand-out';
import { removedSchema } from './keep/removed';
import { assetSchema, listedObjectiveSchema, templateSchema } from './kept';
import { classSchema, groupSchema, keptComfortSchema, learnerSchema } from './learners/learner';
import { recipeSchema } from './recipe/recipe';
import { copySchema, markingSchema } from './work/copy';

export * from './kept';

/** The collections of a workspace, each record under its id. */
export const recordSchemas = {
  families: familySchema,
  learners: learnerSchema,
  comforts: keptComfortSchema,
  classes: classSchema,
  groups: groupSchema,
  handOuts: handOutSchema,
  frozen: frozenSchema,
  copies: copySchema,
  markings: markingSchema,
  assets: assetSchema,
  templates: templateSchema,
  objectives: listedObjectiveSchema,
  recipes: recipeSchema,
  removed: removedSchema,
};
export type CollectionName = keyof typeof recordSchemas;
export const COLLECTIONS = Object.keys(recordSchemas) as CollectionName[];
export type RecordOf<C extends CollectionName> = z.infer<(typeof recordSchemas)[C]>;

/** All that a teacher keeps. What was removed is still here, named in `removed`, until it is emptied. */
export type Workspace = { readonly [C in CollectionName]: Readonly<Record<string, RecordOf<C>>> };

export const emptyWorkspace = (): Workspace => ({
  families: {},
  learners: {},
  comforts: {},
  classes: {},
  groups: {},
  handOuts: {},
  frozen: {},
  copies: {},
  markings: {},
  assets: {},
  templates: {},
  objectives: {},
  recipes: {},
  removed: {},
});

/** Records in the order they were made. */
export const listOf = <T>(records: Readonly<Record<string, T>>): T[] => Object.values(records);
