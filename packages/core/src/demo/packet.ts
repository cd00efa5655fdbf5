import { type Family, latest } from '../activity/family';
import type { Draft } from '../adjust/drafts';
import { takenPart } from '../adjust/from-activity';
import type { Clock } from './build';
import { freshVersion, Later } from './later';

/** A packet for one learner, of pages taken from three activities at this learner's level in each. */
export function personalPacket(market: Family, from: readonly [Family, Family], clock: Clock): Family {
  const later = new Later(clock);
  const packet = freshVersion(market, {
    id: 'mk-oriel',
    name: 'Oriel’s packet',
    swatch: { pattern: 'check', colour: 'h', letter: 'N' },
    purpose: 'Pages of three activities, at Oriel’s level in each',
    learnerId: 'l-oriel',
  });
  let f: Family = { ...market, versions: [...market.versions, packet] };
  const known = latest(market).content.pages.map((p) => p.id);
  f = later.change(f, 'mk-oriel', [{ kind: 'keep-pages', pages: known.slice(0, 2), known }], 'Two pages at a time');
  const [pool, bike] = from;
  let after = known[1] ?? null;
  const taken = (source: Family, pageId: string, follow: boolean, prefix: string): Draft => {
    const part = takenPart(
      { familyId: source.id, revision: latest(source).n, content: latest(source).content },
      pageId,
      prefix,
      null,
    );
    if (part?.part.what !== 'page') throw new Error(`The demo lacks ${pageId}`);
    const draft: Draft = { kind: 'from-activity', after, follow, ...part };
    after = part.part.page.id;
    return draft;
  };
  const pages = [taken(pool, 'rp-p2', true, 'mo1'), taken(bike, 'pun-p2', false, 'mo2')];
  f = later.change(
    f,
    'mk-oriel',
    pages,
    'Counting and naming from the pool, reasons from the bicycle',
    '2 pages from other activities',
  );
  f = later.change(f, 'mk-oriel', [{ kind: 'one-at-a-time' }], 'Loses the thread on full pages');
  f = later.change(f, 'mk-oriel', [{ kind: 'personal-fields', otherwise: {} }], 'Own name in the text');
  return f;
}
