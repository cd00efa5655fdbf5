import { z } from './zod';
import { pageSchema } from './activity/activity';
import { idSchema } from './activity/block';

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

/** A picture, sound, video or document, kept once under the address of its bytes. */
export const assetSchema = z.object({
  id: z.string().max(80),
  mime: z.enum(ASSET_MIMES),
  name: z.string().max(200),
  data: z.custom<Uint8Array>((v) => ArrayBuffer.isView(v)),
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
