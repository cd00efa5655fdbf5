import { type Content, type Page } from '../activity/activity';
import type { Id, Source } from '../activity/block';
import { type Block, type BlockKindName, isItem, labelOf } from '../activity/blocks';
import { plainTextOf } from '../activity/plain-text';
import { type Family, latest } from '../activity/family';

/** One thing that can be picked from the bank: a page, or an item or other block on one. */
export interface BankEntry {
  /** "<family>/<page>" or "<family>/<page>/<block>" */
  readonly id: string;
  readonly familyId: Id;
  readonly pageId: Id;
  readonly blockId: Id | null;
  readonly kind: BlockKindName | 'page';
  readonly kindLabel: string;
  readonly title: string;
  readonly pageTitle: string;
  readonly words: string;
  readonly subject: string;
  readonly ages: string;
  readonly objective: string;
  /** The file or activity it was brought from; empty for the teacher's own. */
  readonly source: string;
}

/** Everything in all activities that can be picked: pages, and the blocks a learner sees. */
export function bankEntries(families: readonly Family[]): BankEntry[] {
  return families.flatMap((family) => {
    const { content } = latest(family);
    const objectives = new Map(content.objectives.map((o) => [o.id, o.text]));
    const about = { familyId: family.id, title: content.title, subject: content.subject, ages: content.ages };
    return content.pages.flatMap((page): BankEntry[] => {
      if ((page.audience ?? 'learner') !== 'learner') return [];
      const base = { ...about, pageId: page.id, pageTitle: page.title };
      const blocks = page.blocks.filter(
        (b) => b.audience === 'learner' && b.kind !== 'divider' && b.kind !== 'contents',
      );
      const entries = blocks.map((b): BankEntry => ({
        ...base,
        id: `${family.id}/${page.id}/${b.id}`,
        blockId: b.id,
        kind: b.kind,
        kindLabel: labelOf(b),
        words: plainTextOf(b).slice(0, 600),
        objective: isItem(b) ? (objectives.get(b.objectiveId ?? '') ?? '') : '',
        source: (b.source ?? page.source)?.title ?? '',
      }));
      const whole: BankEntry = {
        ...base,
        id: `${family.id}/${page.id}`,
        blockId: null,
        kind: 'page',
        kindLabel: 'Page',
        words: entries
          .map((e) => e.words)
          .join('\n')
          .slice(0, 1200),
        objective: [...new Set(entries.map((e) => e.objective).filter(Boolean))].join('; '),
        source: page.source?.title ?? '',
      };
      return [whole, ...entries];
    });
  });
}

/** Pages and blocks picked from the bank, copied with new ids and their sources, ready to be put into a master. */
export interface Picked {
  readonly pages: readonly Page[];
  readonly blocks: readonly Block[];
  /** Objectives of the sources that the copies speak of. */
  readonly objectives: Content['objectives'];
}

export function pickFromBank(families: Readonly<Record<Id, Family>>, ids: readonly string[], newId: () => Id): Picked {
  const pages: Page[] = [];
  const blocks: Block[] = [];
  const objectives = new Map<Id, string>();
  for (const id of ids) {
    const [familyId = '', pageId = '', blockId] = id.split('/');
    const family = families[familyId];
    if (!family) continue;
    const revision = latest(family);
    const page = revision.content.pages.find((p) => p.id === pageId);
    if (!page) continue;
    const from = (of: Id): Source => ({ familyId, revision: revision.n, id: of, title: revision.content.title });
    const copy = (b: Block): Block => ({ ...b, id: newId(), source: b.source ?? from(b.id) }) as Block;
    const mine =
      blockId === undefined
        ? page.blocks.filter((b) => b.audience === 'learner' || b.kind === 'teacher-note')
        : page.blocks.filter((b) => b.id === blockId);
    for (const b of mine) {
      const objective = isItem(b) && revision.content.objectives.find((o) => o.id === b.objectiveId);
      if (objective) objectives.set(objective.id, objective.text);
    }
    if (blockId !== undefined) blocks.push(...mine.map(copy));
    else {
      const copies = mine.map(copy);
      const places = Object.fromEntries(
        mine.flatMap((b, i) => {
          const rect = page.places?.[b.id];
          const now = copies[i];
          return rect && now ? [[now.id, rect] as const] : [];
        }),
      );
      pages.push({
        ...page,
        id: newId(),
        blocks: copies,
        source: page.source ?? from(page.id),
        ...(page.places ? { places } : {}),
      });
    }
  }
  return { pages, blocks, objectives: [...objectives].map(([id, text]) => ({ id, text })) };
}

/** Where picked blocks go: onto a page, after one of its blocks (null: at its top). */
export interface BlockPlace {
  readonly pageId: Id;
  readonly after: Id | null;
}

/**
 * The content with what was picked: blocks at their place, or on a page of their own where none is given; pages after
 * `afterPage` (null: at the end).
 */
export function withPicked(
  content: Content,
  picked: Picked,
  afterPage: Id | null,
  newId: () => Id,
  place?: BlockPlace,
): Content {
  const known = new Set(content.objectives.map((o) => o.id));
  const objectives = [...content.objectives, ...picked.objectives.filter((o) => !known.has(o.id))].slice(0, 60);
  const at = afterPage === null ? content.pages.length : content.pages.findIndex((p) => p.id === afterPage) + 1;
  const home =
    picked.blocks.length && !place
      ? [{ id: newId(), title: 'From the bank', orientation: 'portrait' as const, blocks: [...picked.blocks] }]
      : [];
  const pages = content.pages.map((p) => {
    if (!place || p.id !== place.pageId) return p;
    const from = place.after === null ? 0 : p.blocks.findIndex((b) => b.id === place.after) + 1;
    return { ...p, blocks: [...p.blocks.slice(0, from), ...picked.blocks, ...p.blocks.slice(from)] };
  });
  return { ...content, objectives, pages: [...pages.slice(0, at), ...home, ...picked.pages, ...pages.slice(at)] };
}

/** How often each objective is asked in a content, and by which items; objectives that nothing asks are there too. */
export function objectiveCoverage(content: Content): { id: Id; text: string; items: number; points: number }[] {
  const items = content.pages
    .filter((p) => (p.audience ?? 'learner') === 'learner')
    .flatMap((p) => p.blocks.filter(isItem));
  return content.objectives.map((o) => {
    const mine = items.filter((i) => i.objectiveId === o.id);
    return { id: o.id, text: o.text, items: mine.length, points: mine.reduce((n, i) => n + i.points, 0) };
  });
}
