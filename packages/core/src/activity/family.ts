import { z } from '../zod';
import { adjustmentSchema } from '../adjust/registry';
import { contentSchema } from './activity';
import { type Id, idSchema } from './block';
import { fingerprint } from './fingerprint';

/** Format number of a kept family; a migration stands for each step up. */
export const FAMILY_FORMAT = 3;

export const PATTERNS = ['twill', 'plain', 'basket', 'herringbone', 'stripe', 'dots', 'check', 'cross'] as const;
/** Without those that are easily read as a numeral or as each other. */
export const LETTERS = [...'ABCDEFGHJKLMNPRSTUVWXYZ'];
export const COLOURS = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'] as const;

/** The woven mark of a version, or of the master among them. It says nothing of level. */
export const swatchSchema = z.object({
  pattern: z.enum(PATTERNS),
  colour: z.enum(COLOURS),
  letter: z.string().regex(/^[A-Z]$/),
});
export type Swatch = z.infer<typeof swatchSchema>;

export const revisionSchema = z.object({
  n: z.number().int().min(1),
  at: z.string().max(40),
  author: z.string().max(120),
  note: z.string().max(300),
  content: contentSchema,
});
export type Revision = z.infer<typeof revisionSchema>;

export const upkeepRecordSchema = z.object({
  at: z.string().max(40),
  by: z.string().max(120),
  revision: z.number().int(),
  adjustmentId: idSchema,
  /** Carried by rule, or the choice somebody made. */
  outcome: z.enum(['carried', 'master', 'version', 'combined', 'own words']),
  sentence: z.string().max(1000),
});
export type UpkeepRecord = z.infer<typeof upkeepRecordSchema>;

export const versionSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(120),
  swatch: swatchSchema,
  purpose: z.string().max(500).default(''),
  /** Id of the version it is made on; null is the master. */
  basis: idSchema.nullable(),
  /** The master revision it was last brought up to. */
  upTo: z.number().int().min(1),
  adjustments: z.array(adjustmentSchema).max(2000),
  /** Set where the version is personal. */
  learnerId: idSchema.optional(),
  upkeepLog: z.array(upkeepRecordSchema).default([]),
  /** Questions of upkeep left for later, by their keys. */
  later: z.array(z.string().max(100)).optional(),
  /** Recipes that were run on it, with the ids they had seen: run again, they touch only what is new. */
  recipes: z.array(z.object({ id: idSchema, seen: z.array(idSchema) })).optional(),
});
export type Version = z.infer<typeof versionSchema>;

export const familySchema = z.object({
  format: z.literal(FAMILY_FORMAT),
  id: idSchema,
  createdAt: z.string().max(40),
  /** The master's own mark: on a sheet it stands like any version's. */
  swatch: swatchSchema,
  revisions: z.array(revisionSchema).min(1),
  /** Where the master was made from a version of another family. */
  origin: z
    .object({
      familyId: idSchema,
      versionId: idSchema,
      revision: z.number().int(),
      title: z.string().max(200),
      versionName: z.string().max(120),
    })
    .optional(),
  /** Changes to the master that are not a revision yet. */
  draft: contentSchema.optional(),
  versions: z.array(versionSchema).max(2000),
});
export type Family = z.infer<typeof familySchema>;

export function latest(family: Family): Revision {
  const last = family.revisions.at(-1);
  if (!last) throw new Error(`Family ${family.id} has no revision.`);
  return last;
}

/** A mark that follows from some words by lot, unlike those that are taken where there is one left. */
export function swatchFrom(words: string, taken: readonly Swatch[] = []): Swatch {
  const lot = (what: string) => parseInt(fingerprint([words, what]).slice(0, 8), 16);
  const free = <T>(all: readonly T[], used: readonly T[], what: string): T => {
    const left = all.filter((x) => !used.includes(x));
    const from = left.length ? left : all;
    return from[lot(what) % from.length] as T;
  };
  return {
    pattern: free(
      PATTERNS,
      taken.map((s) => s.pattern),
      'pattern',
    ),
    colour: free(
      COLOURS,
      taken.map((s) => s.colour),
      'colour',
    ),
    letter: free(
      LETTERS,
      taken.map((s) => s.letter),
      'letter',
    ),
  };
}

/** The mark of a version; null is the master. */
export const swatchOf = (family: Family, versionId: Id | null): Swatch =>
  (versionId === null ? undefined : versionOf(family, versionId)?.swatch) ?? family.swatch;

const indexes = new WeakMap<Family['versions'], ReadonlyMap<Id, Version>>();

/** A version by its id, found at once in a family of any size. */
export function versionOf(family: Family, id: Id): Version | undefined {
  let index = indexes.get(family.versions);
  if (!index) indexes.set(family.versions, (index = new Map(family.versions.map((v) => [v.id, v]))));
  return index.get(id);
}

/** From the version nearest the master to the version itself. Stops where a basis is missing or would go in a circle. */
export function chainOf(family: Family, versionId: Id): Version[] {
  const chain = new Set<Version>();
  let version = versionOf(family, versionId);
  while (version && !chain.has(version)) {
    chain.add(version);
    version = version.basis === null ? undefined : versionOf(family, version.basis);
  }
  return [...chain].reverse();
}

/** The versions as a tree in reading order, each with its depth. */
export function versionTree(family: Family): { version: Version; depth: number }[] {
  const out: { version: Version; depth: number }[] = [];
  const on = new Map<Id | null, Version[]>();
  for (const version of family.versions) {
    const siblings = on.get(version.basis);
    if (siblings) siblings.push(version);
    else on.set(version.basis, [version]);
  }
  const visit = (basis: Id | null, depth: number) => {
    for (const version of on.get(basis) ?? []) {
      out.push({ version, depth });
      visit(version.id, depth + 1);
    }
  };
  visit(null, 0);
  return out;
}
