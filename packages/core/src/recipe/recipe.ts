import { z } from '../zod';
import { blocksOf, type Content } from '../activity/activity';
import { type Id, idSchema } from '../activity/block';
import { isChoice, isItem } from '../activity/blocks';
import { type Family, type Version, versionOf } from '../activity/family';
import type { Draft, Lexicon } from '../adjust/drafts';
import { CannotRecord } from '../adjust/cannot-record';
import { type Stamp, withDrafts } from '../adjust/drafted';
import { type Adjustment, adjustmentKinds } from '../adjust/registry';
import { basisContent, derive } from '../derive/derive';
import { placesOf, Problem } from '../formats/problem';
import { ruleKind, type Rule, ruleSchema } from './rules';

export const RECIPE_FORMAT = 1;

/** Rules that can be run on any activity: they name no block of one. */
export const recipeSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(120),
  purpose: z.string().max(500).default(''),
  rules: z.array(ruleSchema).min(1).max(40),
});
export type Recipe = z.infer<typeof recipeSchema>;

const fileSchema = z.object({ format: z.literal('lorvet-recipe'), version: z.number().int(), recipe: recipeSchema });

/** What one rule of a recipe would do. */
export interface RuleOutcome {
  readonly rule: Rule;
  readonly says: string;
  readonly drafts: readonly Draft[];
  readonly skipped: readonly { readonly about: string; readonly why: string }[];
}

export interface RecipeRun {
  /** The version with what the recipe would do. */
  readonly version: Version;
  readonly outcomes: readonly RuleOutcome[];
}

/**
 * Runs a recipe on a version: each rule on what those before it have made of it. A version on which it was run before
 * gets only what is new since: pages and blocks that were not there then. Nothing is changed; the result is a proposal.
 */
export function runRecipe(
  family: Family,
  versionId: Id,
  recipe: Recipe,
  stamp: Stamp,
  lexicon: Lexicon = () => undefined,
): RecipeRun {
  const start = versionOf(family, versionId);
  if (!start) throw new CannotRecord('This version is no longer there.');
  const before = start.recipes?.find((r) => r.id === recipe.id);
  const seen = new Set(before?.seen ?? []);
  // What earlier rules of this run add is theirs, not the activity's.
  const known = idsOf(derive(family, versionId).content);
  let version = start;
  const outcomes: RuleOutcome[] = recipe.rules.map((rule, at) => {
    const now = { ...family, versions: family.versions.map((v) => (v.id === versionId ? version : v)) };
    const content = derive(now, versionId).content;
    const context = { content, isNew: (id: Id) => known.has(id) && !seen.has(id), lexicon, newId: stamp.newId };
    const { drafts, skipped } = ruleKind(rule).run(rule, context);
    const says = ruleKind(rule).says(rule);
    if (drafts.length) {
      const marked = drafts.map((d) => ({ ...d, recipe: { id: recipe.id, rule: at } })) as Draft[];
      version = withDrafts(now, version, marked, stamp, `${recipe.name}: ${says}`.slice(0, 200));
    }
    return { rule, says, drafts, skipped };
  });
  const done = { ...family, versions: family.versions.map((v) => (v.id === versionId ? version : v)) };
  const ran = { id: recipe.id, seen: [...new Set([...seen, ...known, ...idsOf(derive(done, versionId).content)])] };
  return {
    version: { ...version, recipes: [...(version.recipes ?? []).filter((r) => r.id !== recipe.id), ran] },
    outcomes,
  };
}

const idsOf = (c: Content): Set<Id> =>
  new Set([...c.pages.map((p) => p.id), ...[...blocksOf(c)].map(({ block }) => block.id)]);

/** The rules that a version's adjustments amount to, and those adjustments that no rule can stand for. */
export function rulesFrom(family: Family, version: Version): { rules: Rule[]; left: { name: string; why: string }[] } {
  const basis = basisContent(family, version);
  const rules = new Map<string, Rule>();
  const left: { name: string; why: string }[] = [];
  const block = (id: Id) => basis.pages.flatMap((p) => p.blocks).find((b) => b.id === id);
  const add = (rule: Rule, merge?: (old: Rule) => Rule) => {
    const old = rules.get(rule.rule);
    rules.set(rule.rule, old && merge ? merge(old) : (old ?? rule));
  };
  for (const a of version.adjustments) {
    switch (a.kind) {
      case 'fewer-choices': {
        const b = block(a.target);
        const most = b && isChoice(b) ? Math.max(2, b.options.length - a.leaveOut.length) : 3;
        add({ rule: 'fewer-choices', most }, (o) =>
          o.rule === 'fewer-choices' ? { ...o, most: Math.min(o.most, most) } : o,
        );
        break;
      }
      case 'word-bank':
        add({ rule: 'word-bank', distractors: Math.max(0, Math.min(10, a.words.length - a.was.length)) });
        break;
      case 'hint': {
        const b = block(a.target);
        add({ rule: 'hints', from: b && isItem(b) ? b.demand : 'apply' });
        break;
      }
      case 'glossary':
        add({ rule: 'glossary', most: Math.max(1, Math.min(20, a.entries.length)) });
        break;
      case 'steps-to-tick':
        add({ rule: 'steps', least: 2 });
        break;
      case 'sentence-starters':
        add({ rule: 'sentence-starters', starters: a.starters });
        break;
      case 'flap':
        add({ rule: 'flaps' });
        break;
      case 'other-answer': {
        const from = block(a.target)?.kind;
        const rule = ruleSchema.safeParse({ rule: 'other-answer', from, to: a.to });
        if (rule.success) add(rule.data);
        else left.push(noRule(a));
        break;
      }
      case 'other-numbers':
        add({ rule: 'other-numbers' });
        break;
      case 'choose-items':
        add({ rule: 'choose-items', n: a.keep.length });
        break;
      case 'leave-out': {
        const b = block(a.target);
        if (b && isItem(b) && b.optional) add({ rule: 'leave-out-optional' });
        else left.push(noRule(a));
        break;
      }
      case 'chunk':
        add({ rule: 'chunk', most: Math.min(20, a.most) });
        break;
      case 'one-at-a-time':
        add({ rule: 'one-at-a-time' });
        break;
      case 'larger-print':
        add({ rule: 'larger-print', size: a.print.size, spacing: a.print.spacing });
        break;
      case 'mix-up':
        add({ rule: 'mix-up' });
        break;
      case 'personal-fields':
        add({ rule: 'personal-fields' });
        break;
      case 'extra-time':
        add({ rule: 'extra-time', percent: Math.round(a.percent), days: a.days });
        break;
      default:
        left.push(noRule(a));
    }
  }
  return { rules: [...rules.values()], left };
}

const noRule = (a: Adjustment) => ({
  name: a.name ?? adjustmentKinds[a.kind].label,
  why: 'It is about these words and places alone, so no rule can stand for it.',
});

export const writeRecipe = (recipe: Recipe): string =>
  JSON.stringify({ format: 'lorvet-recipe', version: RECIPE_FORMAT, recipe }, null, 2);

/** Reads a recipe from a file. Throws a Problem that says what is wrong and where; nothing of a bad file is taken. */
export function readRecipe(text: string, newId: () => Id): Recipe {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw new Problem('This file is no recipe: it holds no JSON. Choose a file that Lorvet wrote.');
  }
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== 'lorvet-recipe')
    throw new Problem('This file is no recipe. Choose a file that Lorvet wrote for a recipe.');
  if (((data as { version?: unknown }).version ?? 0) !== RECIPE_FORMAT)
    throw new Problem('This recipe was written by a newer Lorvet. Nothing was changed.');
  const read = fileSchema.safeParse(data);
  if (!read.success) throw new Problem('This recipe does not fit. Nothing was changed.', placesOf(read.error));
  return { ...read.data.recipe, id: newId() };
}
