import type { z } from './zod';
import { familySchema } from './activity/family-schema';
import { schoolDaysSchema } from './assign/dates';
import { handOutSchema } from './assign/hand-out';
import { frozenSchema } from './assign/held/frozen';
import { dismissedSchema } from './evidence/dismissed';
import { folderSchema } from './evidence/folder';
import { chroniclePageSchema } from './keep/chronicle';
import { removedSchema } from './keep/removed';
import { assetSchema, listedObjectiveSchema, templateSchema } from './kept';
import { namedAudienceSchema } from './learners/audience';
import { keptComfortSchema } from './learners/comfort';
import { learnerSchema } from './learners/learner';
import { classSchema, groupSchema } from './learners/people';
import { rosterReadingSchema } from './learners/roster-reading';
import { recipeSchema } from './recipe/recipe';
import { copySchema, markingSchema } from './work/copy';
import { phraseSchema } from './work/phrase';
import type { CollectionName } from './collections';

export * from './kept';

/** Each record of a workspace is kept under its id. */
export const recordSchemas = {
  families: familySchema,
  learners: learnerSchema,
  comforts: keptComfortSchema,
  classes: classSchema,
  groups: groupSchema,
  audiences: namedAudienceSchema,
  rosters: rosterReadingSchema,
  calendars: schoolDaysSchema,
  handOuts: handOutSchema,
  frozen: frozenSchema,
  copies: copySchema,
  markings: markingSchema,
  assets: assetSchema,
  templates: templateSchema,
  objectives: listedObjectiveSchema,
  recipes: recipeSchema,
  phrases: phraseSchema,
  folders: folderSchema,
  dismissed: dismissedSchema,
  chronicle: chroniclePageSchema,
  removed: removedSchema,
} satisfies Record<CollectionName, z.ZodType>;
export type RecordOf<C extends CollectionName> = z.infer<(typeof recordSchemas)[C]>;

/** All that a teacher keeps. What was removed is still here, named in `removed`, until it is emptied. */
export type Workspace = { readonly [C in CollectionName]: Readonly<Record<string, RecordOf<C>>> };
