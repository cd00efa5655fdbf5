import type { Content, Page } from '../activity/activity';
import type { Id } from '../activity/block';
import { fingerprint } from '../activity/fingerprint';
import { pageInBasis, wholePlace } from '../adjust/chunk';
import { keeps } from '../adjust/keep-pages';
import type { Adjustment } from '../adjust/registry';

/** A part of a page, or a page that was not divided, left out: of a part only its blocks can be, as far as they are on it. */
function leftOut(
  made: Pick<Adjustment, 'id' | 'at' | 'author' | 'reason' | 'off'>,
  page: Page,
  basis: Content,
  shown: Content,
  now: Content,
): Adjustment[] {
  const parts = shown.pages.filter((p) => pageInBasis(basis, p.id) === page.id);
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
  const whole = (id: Id) => pageInBasis(basis, id);
  const page = (id: Id) => shown.pages.filter((p) => p.id === id);
  const made = { at: a.at, author: a.author, ...(a.reason && { reason: a.reason }), ...(a.off && { off: a.off }) };
  switch (a.kind) {
    case 'leave-out':
      return a.what === 'page'
        ? page(a.target).flatMap((p) => leftOut({ ...made, id: a.id }, p, basis, shown, now))
        : [a];
    case 'keep-pages': {
      const pages = [...new Set(a.pages.map(whole))];
      const dropped = shown.pages.filter((p) => !keeps(a, p.id));
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
