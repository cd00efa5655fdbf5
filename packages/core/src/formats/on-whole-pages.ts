import type { Content, Page } from '../activity/activity';
import type { Id } from '../activity/block';
import { chainOf, type Family, latest, versionTree } from '../activity/family';
import { familySchema } from '../activity/family-schema';
import { fingerprint } from '../activity/fingerprint';
import { type Adjustment, kindOfAdjustment } from '../adjust/registry';
import { Sheet } from '../adjust/sheet';
import { basisContent } from '../derive/derive';
import { type BreaksOf, divide, wholePageId, wholePlace } from '../derive/divide';

/** Whether a page was kept. A part that was there to be chosen went by itself; one made since went with its page. */
const keeps = (a: { readonly pages: readonly Id[]; readonly known: readonly Id[] }, id: Id, whole: Id): boolean =>
  a.pages.includes(id) || (!a.known.includes(id) && a.pages.includes(whole));

/** A part of a page, or a page that was not divided, left out: of a part only its blocks can be, as far as they are on it. */
function leftOut(
  made: Pick<Adjustment, 'id' | 'at' | 'author' | 'reason' | 'off'>,
  page: Page,
  basis: Content,
  shown: Content,
  now: Content,
): Adjustment[] {
  const parts = shown.pages.filter((p) => wholePageId(basis, p.id) === page.id);
  if (parts.length === 1)
    return [{ ...made, kind: 'leave-out', what: 'page', target: page.id, was: fingerprint(page) }];
  const here = new Set(now.pages.find((p) => p.id === page.id)?.blocks.map((b) => b.id));
  return page.blocks
    .filter((b) => here.has(b.id))
    .map((b, i) => ({
      ...made,
      id: i ? `${made.id.slice(0, 58)}~${i}` : made.id,
      kind: 'leave-out',
      what: 'block',
      target: b.id,
      was: fingerprint(b),
    }));
}

/**
 * An adjustment that was made on pages in smaller parts (`shown`), as it is on the whole pages they are parts of
 * (`basis`). Where only a part was left out, its blocks are, unless they stand elsewhere by then (`now`). A part that was
 * moved is moved with its whole page.
 */
export function onWholePages(a: Adjustment, basis: Content, shown: Content, now: Content): Adjustment[] {
  const whole = (id: Id) => wholePageId(basis, id);
  const page = (id: Id) => shown.pages.filter((p) => p.id === id);
  const made = { at: a.at, author: a.author, ...(a.reason && { reason: a.reason }), ...(a.off && { off: a.off }) };
  switch (a.kind) {
    case 'leave-out':
      return a.what === 'page'
        ? page(a.target).flatMap((p) => leftOut({ ...made, id: a.id }, p, basis, shown, now))
        : [a];
    case 'keep-pages': {
      const pages = [...new Set(a.pages.map(whole))];
      const dropped = shown.pages.filter((p) => !keeps(a, p.id, whole(p.id)));
      if (!dropped.some((p) => pages.includes(whole(p.id))))
        return [{ ...a, pages, known: [...new Set(a.known.map(whole))] }];
      return dropped.flatMap((p, i) =>
        leftOut({ ...made, id: i ? `${a.id.slice(0, 54)}-${i}` : a.id }, p, basis, shown, now),
      );
    }
    case 'choose-items':
    case 'chunk':
      return [{ ...a, pages: [...new Set(a.pages.map(whole))] }];
    case 'move':
      return a.what === 'page'
        ? [{ ...a, target: whole(a.target), after: a.after === null ? null : whole(a.after) }]
        : [a.page === undefined ? a : { ...a, ...wholePlace(basis, shown, a.page, a.after) }];
    case 'insert-page':
      return [{ ...a, after: a.after === null ? null : whole(a.after) }];
    case 'from-activity': {
      if (a.part.what === 'page') return [{ ...a, after: a.after === null ? null : whole(a.after) }];
      const place = wholePlace(basis, shown, a.part.onPage, a.after);
      return [{ ...a, after: place.after, part: { ...a.part, onPage: place.page } }];
    }
    default:
      return 'page' in a ? [{ ...a, ...wholePlace(basis, shown, a.page, a.after) } as Adjustment] : [a];
  }
}

/** What stands as a division's own way to break a page. */
const breaksOf =
  (a: Adjustment): BreaksOf =>
  (page) =>
    kindOfAdjustment(a).breaks?.(a, page) ?? [];

/**
 * Up to format 2 a division was made half-way through a chain, and versions on it spoke of the pages that it made. The
 * versions of such a family, with what they said of parts said of whole pages and of blocks. A family that cannot be
 * read is left as it is: what is wrong with it is said later.
 */
export function versionsOnWholePages(raw: Readonly<Record<string, unknown>>): unknown {
  const read = familySchema.safeParse(raw);
  if (!read.success || !read.data.versions.some((v) => v.adjustments.some((a) => kindOfAdjustment(a).breaks)))
    return raw['versions'];
  let family: Family = read.data;
  /** What each version showed by the old order. */
  const showed = new Map<Id | null, Content>([[null, latest(family).content]]);
  for (const { version } of versionTree(family)) {
    const before = showed.get(version.basis) ?? latest(family).content;
    const basis = basisContent(family, version);
    const sheet = new Sheet(before);
    const adjustments: Adjustment[] = [];
    const inParts = chainOf(family, version.id).some(
      (v) => v !== version && v.adjustments.some((a) => kindOfAdjustment(a).breaks),
    );
    for (const a of version.adjustments) {
      adjustments.push(...(inParts ? onWholePages(a, basis, before, sheet.content()) : [a]));
      const kind = kindOfAdjustment(a);
      if (!a.off && !kind.late) for (const e of kind.apply(a, sheet, {}).edits) sheet.apply(e);
    }
    const divisions = version.adjustments.filter((a) => !a.off && kindOfAdjustment(a).breaks);
    showed.set(
      version.id,
      divisions.reduce((content, a) => divide(content, [breaksOf(a)]), sheet.content()),
    );
    family = { ...family, versions: family.versions.map((v) => (v.id === version.id ? { ...v, adjustments } : v)) };
  }
  return family.versions;
}
