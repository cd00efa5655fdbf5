import { z } from 'zod';
import { pageSchema } from './activity/activity';
import { idSchema } from './activity/block';
import { familySchema } from './activity/family';
import { handOutSchema } from './assign/hand-out';
import { classSchema, groupSchema, learnerSchema } from './learners/learner';
import { recipeSchema } from './recipe/recipe';
import { copySchema, markingSchema } from './work/copy';

/** What of the web a kept file may be: it is only ever the source of a picture, sound or video, or handed back. */
export const ASSET_MIMES = [
  'image/png',
  'image/jpeg',
  'image/svg+xml',
  'image/webp',
  'image/gif',
  'audio/webm',
  'audio/ogg',
  'audio/mpeg',
  'audio/wav',
  'audio/mp4',
  'video/webm',
  'video/mp4',
  'application/pdf',
] as const;

/** A picture, sound, video or document, kept once by its content's address. */
export const assetSchema = z.object({
  id: z.string().max(80),
  mime: z.enum(ASSET_MIMES),
  name: z.string().max(200),
  /** The bytes in base64. */
  data: z.string().regex(/^[A-Za-z0-9+/]*={0,2}$/),
});
export type Asset = z.infer<typeof assetSchema>;

/** A page kept to begin others with. Its ids are made anew each time it is used. */
export const templateSchema = z.object({ id: idSchema, name: z.string().min(1).max(120), page: pageSchema });
export type Template = z.infer<typeof templateSchema>;

/** An objective of the teacher's list, to be taken into activities. It keeps its id there. */
export const listedObjectiveSchema = z.object({
  id: idSchema,
  /** A code as the authority writes it; may be empty. */
  code: z.string().max(60),
  text: z.string().min(1).max(300),
  subject: z.string().max(100),
  ages: z.string().max(40),
  /** Name of the framework or file it came from; empty where it was typed. */
  from: z.string().max(200),
});
export type ListedObjective = z.infer<typeof listedObjectiveSchema>;

/** The collections of a workspace, each record under its id. */
export const recordSchemas = {
  families: familySchema,
  learners: learnerSchema,
  classes: classSchema,
  groups: groupSchema,
  handOuts: handOutSchema,
  copies: copySchema,
  markings: markingSchema,
  assets: assetSchema,
  templates: templateSchema,
  objectives: listedObjectiveSchema,
  recipes: recipeSchema,
};
export type CollectionName = keyof typeof recordSchemas;
export const COLLECTIONS = Object.keys(recordSchemas) as CollectionName[];
export type RecordOf<C extends CollectionName> = z.infer<(typeof recordSchemas)[C]>;

/** All that a teacher keeps. */
export type Workspace = { readonly [C in CollectionName]: Readonly<Record<string, RecordOf<C>>> };

export const emptyWorkspace = (): Workspace => ({
  families: {},
  learners: {},
  classes: {},
  groups: {},
  handOuts: {},
  copies: {},
  markings: {},
  assets: {},
  templates: {},
  objectives: {},
  recipes: {},
});

/** Records in the order they were made. */
export const listOf = <T>(records: Readonly<Record<string, T>>): T[] => Object.values(records);
