import { findBlock } from '../activity/activity';
import type { Block } from '../activity/blocks';
import { type Family, latest, type Version } from '../activity/family';
import {
  type Draft,
  draftFlap,
  draftOtherAnswer,
  draftStarters,
  draftSteps,
  isDraft,
  type Proposal,
} from '../adjust/drafts';
import { takenPart } from '../adjust/from-activity';
import { proposeHardWords } from '../adjust/glossary';
import { recordInPlace } from '../adjust/record';
import { AUTHOR, type Clock } from './build';

/** Further work on the demo's versions, done after some of it was given out, as a teacher goes on with it. */
class Later {
  private n = 0;
  constructor(private readonly clock: Clock) {}

  readonly newId = (): string => `later-${++this.n}`;

  /** Records drafts as one act; a proposal that says why not would be a mistake in the demo. */
  change(family: Family, versionId: string, proposals: readonly Proposal[], reason: string, name?: string): Family {
    const drafts = proposals.map((p): Draft => {
      if (!isDraft(p)) throw new Error(`The demo's ${versionId}: ${p.why}`);
      return { ...p, reason: { text: reason } };
    });
    const stamp = { at: this.clock.iso(-1), author: AUTHOR, newId: this.newId };
    const version = recordInPlace(family, versionId, { did: 'adjust', drafts, ...(name ? { name } : {}) }, stamp);
    return { ...family, versions: family.versions.map((v) => (v.id === versionId ? version : v)) };
  }
}

const block = (f: Family, id: string): Block => {
  const found = findBlock(latest(f).content, id)?.block;
  if (!found) throw new Error(`The demo lacks ${id}`);
  return found;
};

const pageOf = (f: Family, id: string) => {
  const found = latest(f).content.pages.find((p) => p.id === id);
  if (!found) throw new Error(`The demo lacks ${id}`);
  return found;
};

/** The bus: hard words explained, hard words explained, beginnings to write on from. */
export function busTiers(bus: Family, clock: Clock): Family {
  const later = new Later(clock);
  const entries = [
    { id: 'gl-1', word: 'timetable', meaning: 'a list of the times at which buses leave' },
    { id: 'gl-2', word: 'harbour', meaning: 'where boats are safe from the waves' },
  ];
  let f = later.change(
    bus,
    'bus-sup',
    [
      {
        kind: 'glossary',
        page: 'bus-p1',
        after: null,
        blockId: 'bus-gl',
        title: 'Words to know',
        entries,
        was: proposeHardWords(pageOf(bus, 'bus-p1')),
      },
    ],
    'New words of the unit',
  );
  const long = latest(f).content.pages.flatMap((p) => p.blocks.filter((b) => b.kind === 'long-text'));
  f = later.change(
    f,
    'bus-sup',
    long.map((b) => draftStarters(b)),
    'Writing goal 1',
    'sentence starters',
  );
  f = later.change(f, 'bus-sup', [{ kind: 'extra-time', percent: 25, days: 1 }], 'Extra time agreed in the plan');
  return later.change(f, 'bus-ext', [{ kind: 'goes', most: 2 }], 'A second go to find a better plan');
}

/** The puncture: steps to tick, flaps to check oneself, another way to answer, larger print. */
export function punctureTiers(bike: Family, clock: Clock): Family {
  const later = new Later(clock);
  let f = later.change(bike, 'pun-sup', [draftSteps(block(bike, 'pun-t1'), 2, later.newId)], 'One step at a time');
  f = later.change(
    f,
    'pun-sup',
    ['pun-q1', 'pun-q2'].map((id) => draftFlap(block(bike, id))),
    'Checks own answers',
    'flap to check in 2 places',
  );
  const print = { size: 1.2, spacing: 1.2, font: '' as const, colours: '' as const };
  f = later.change(f, 'pun-sup', [{ kind: 'larger-print', print }], 'Larger print agreed in the plan');
  f = later.change(f, 'pun-sup', [{ kind: 'mix-up', targets: ['pun-q3'] }], 'Knew the order of the choices by heart');
  f = later.change(
    f,
    'pun-core',
    [draftOtherAnswer(block(bike, 'pun-q4'), 'voice', [])],
    'Says it better than writes it',
  );
  const extended: Version = {
    id: 'pun-ext',
    name: 'Extended',
    swatch: { pattern: 'dots', colour: 'b', letter: 'H' },
    purpose: 'For those who mend bicycles already',
    basis: null,
    upTo: 1,
    adjustments: [],
    upkeepLog: [],
  };
  f = { ...f, versions: [...f.versions, extended] };
  const further: Block = {
    id: 'pun-x1',
    kind: 'long-text',
    audience: 'learner',
    prompt: 'A tube loses air, and no bubbles show. Where would you look next, and in what order?',
    demand: 'explain',
    points: 2,
    key: 'The valve first, then the seam, then a longer test under pressure.',
    lines: 5,
    objectiveId: 'pun-o3',
  };
  f = later.change(
    f,
    'pun-ext',
    [{ kind: 'extension-item', page: 'pun-p2', after: 'pun-q5', block: further }],
    'Asked for more',
  );
  return later.change(f, 'pun-ext', [{ kind: 'goes', most: 2 }], 'May better the plan once');
}

/** A packet for one learner, of pages taken from three activities at this learner's level in each. */
export function personalPacket(market: Family, from: readonly [Family, Family], clock: Clock): Family {
  const later = new Later(clock);
  const packet: Version = {
    id: 'mk-oriel',
    name: 'Oriel’s packet',
    swatch: { pattern: 'check', colour: 'h', letter: 'N' },
    purpose: 'Pages of three activities, at Oriel’s level in each',
    basis: null,
    upTo: latest(market).n,
    adjustments: [],
    learnerId: 'l-oriel',
    upkeepLog: [],
  };
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
    '2 pages from elsewhere',
  );
  f = later.change(f, 'mk-oriel', [{ kind: 'one-at-a-time' }], 'Loses the thread on full pages');
  f = later.change(f, 'mk-oriel', [{ kind: 'personal-fields', otherwise: {} }], 'Own name in the text');
  return f;
}
