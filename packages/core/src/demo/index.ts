import { bytesToHex } from '@noble/hashes/utils';
import { sha256 } from '@noble/hashes/sha256';
import { strToU8 } from 'fflate';
import type { Id } from '../activity/block';
import type { Family } from '../activity/family';
import { peopleIn } from '../learners/people';
import { NO_DAYS_OFF, type SchoolDays } from '../assign/dates';
import { giveOut } from '../assign/give-out';
import { type HandOut, newHandOut } from '../assign/hand-out';
import { fromBase64 } from '../formats/base64';
import type { Phrase } from '../work/phrase';
import type { Asset, Workspace } from '../workspace';
import { type Clock, clockAt } from './build';
import { puncture, rightBus } from './bus-and-bike';
import { earlierWork, shoreWords } from './earlier';
import { foldersAt } from './folders';
import { CLASSES, peopleAt } from './people';
import { busTiers } from './bus-tiers';
import { punctureTiers } from './bike-tiers';
import { personalPacket } from './packet';
import { market } from './market';
import { COINS, MARKET, STALL, TILL_SHEET } from './market-pictures';
import { BUS_STOP, PUNCTURE, ROCK_POOL, TYRE_LEVER } from './pictures';
import { correctedRockPool, rockPool } from './rock-pool';
import { copiesOf, markingsOf, withReleased } from './survey-work';
import { HARBOUR_VOICE } from './voice';

function asset(name: string, mime: Asset['mime'], bytes: Uint8Array): Asset {
  return { id: `sha256-${bytesToHex(sha256(bytes))}`, mime, name, data: bytes };
}
const pictureAsset = (name: string, svg: string): Asset => asset(name, 'image/svg+xml', strToU8(svg));

const blankHandOut = (id: Id, family: Family, title: string, createdAt: string): HandOut =>
  newHandOut({ id, familyId: family.id, title, createdAt });

const lines = (versionId: Id, ...names: string[]) => names.map((n) => ({ learnerId: `l-${n}`, versionId }));

/** A local date and time some days from now, or on the Monday after where that is a weekend. */
function onSchoolDay(clock: Clock, days: number, hour: number): string {
  const at = clock.local(days, hour);
  const weekday = new Date(`${at.slice(0, 10)}T12:00:00Z`).getUTCDay();
  return weekday === 6 ? clock.local(days + 2, hour) : weekday === 0 ? clock.local(days + 1, hour) : at;
}

/** Days without school of the demo's year. */
const schoolDaysAt = (clock: Clock): SchoolDays => ({
  ...NO_DAYS_OFF,
  off: [
    { from: clock.local(25).slice(0, 10), until: clock.local(39).slice(0, 10), name: 'winter holidays' },
    { from: clock.local(60).slice(0, 10), until: clock.local(60).slice(0, 10), name: 'harbour day' },
  ],
});

const PHRASES: readonly Phrase[] = [
  { id: 'ph-seen', text: 'Well seen, [name].', family: '[name] looked closely and saw what matters.' },
  { id: 'ph-text', text: 'Look once more at the text, [name].', family: '[name] goes back to the text to check.' },
  { id: 'ph-why', text: 'Say why: begin with “because”.', family: '[name] is learning to give a reason.' },
  { id: 'ph-near', text: 'Nearly, [name]. One more try.', family: '' },
];

/** Kelp Bay School, as it stands some weeks into the term. Dates are laid around `nowMs`. */
export function demoWorkspace(nowMs: number): Workspace {
  const clock = clockAt(nowMs);
  const who = peopleAt(clock);
  const people = peopleIn(who, clock.local(0));
  const assets = [
    pictureAsset('rock-pool.svg', ROCK_POOL),
    pictureAsset('bus-stop.svg', BUS_STOP),
    pictureAsset('puncture.svg', PUNCTURE),
    pictureAsset('market.svg', MARKET),
    pictureAsset('till-sheet.svg', TILL_SHEET),
    pictureAsset('tyre-lever.svg', TYRE_LEVER),
    asset('to-the-harbour.mp3', 'audio/mpeg', fromBase64(HARBOUR_VOICE)),
    pictureAsset('stall.svg', STALL),
    pictureAsset('coins.svg', COINS),
  ];
  const [pool, stop, wheel, quay, till, lever, voice, stall, coins] = assets.map((a) => a.id) as [
    string,
    string,
    string,
    string,
    string,
    string,
    string,
    string,
    string,
  ];
  const firstPool = rockPool(clock, pool);
  const bus = busTiers(rightBus(clock, stop), voice, clock);
  const bike = punctureTiers(puncture(clock, wheel), lever, clock);
  const quayMarket = market(clock, quay, till, { stall, coins });

  const survey: HandOut = {
    ...blankHandOut('h-survey', firstPool, 'Rock-pool survey', clock.iso(-6)),
    note: 'Take your time. The picture on page 1 helps you on page 2.',
    classIds: ['c-heron'],
    lines: [
      ...lines('rp-sup', 'brannoc', 'ysolde', 'tamsin', 'corin'),
      ...lines('rp-oriel', 'oriel'),
      ...lines('rp-core', 'wilmot', 'demelza', 'jory', 'kerra', 'merryn', 'lamorna'),
      ...lines('rp-ext', 'perran', 'elowen', 'senara'),
    ],
    opensAt: clock.local(-4, 8),
    dueAt: onSchoolDay(clock, 3, 15),
    lookedAs: ['l-oriel', 'l-brannoc', 'l-perran'],
  };
  const given = giveOut(survey, firstPool, people, clock.iso(-4, 7));
  const busPlan: HandOut = {
    ...blankHandOut('h-bus', bus, 'Catching the right bus', clock.iso(-2)),
    classIds: ['c-kestrel'],
    lines: [
      ...lines('bus-sup', 'tegan', 'ansel', 'zennor'),
      ...lines('bus-core', 'nessa', 'bryok', 'hedra', 'cubert', 'talan'),
      ...lines('bus-ext', 'melyor'),
    ],
    opensAt: onSchoolDay(clock, 1, 9),
    dueAt: onSchoolDay(clock, 6, 15),
  };
  const bikePlan: HandOut = {
    ...blankHandOut('h-bike', bike, 'Mending a puncture', clock.iso(0, 7)),
    classIds: ['c-heron', 'c-kestrel'],
    lines: [
      ...lines('pun-sup', 'brannoc', 'ysolde', 'oriel', 'tegan', 'ansel'),
      ...lines(
        'pun-core',
        'wilmot',
        'demelza',
        'jory',
        'merryn',
        'perran',
        'elowen',
        'senara',
        'bryok',
        'hedra',
        'talan',
        'melyor',
      ),
    ],
    opensAt: onSchoolDay(clock, 5, 9),
    dueAt: onSchoolDay(clock, 9, 15),
  };
  const marketPlan: HandOut = {
    ...blankHandOut('h-market', quayMarket, 'Market day at the quay', clock.iso(-1, 6)),
    note: 'Do one page a day. You can look back at any time.',
    classIds: ['c-kestrel'],
    lines: CLASSES[1] ? CLASSES[1].learnerIds.map((learnerId) => ({ learnerId, versionId: null })) : [],
    opensAt: clock.local(-1, 8),
    dueAt: onSchoolDay(clock, 8, 15),
  };
  const onBus = giveOut(busPlan, bus, people, clock.iso(-1));
  const atMarket = giveOut(marketPlan, quayMarket, people, clock.iso(-1, 7));
  const words = shoreWords(clock);
  const earlier = earlierWork(words, people, clock);
  const copies = copiesOf(given.handOut, clock);
  const byId = <T extends { id: string }>(list: readonly T[]) => Object.fromEntries(list.map((x) => [x.id, x]));
  return {
    families: byId([
      correctedRockPool(firstPool, clock),
      bus,
      bike,
      personalPacket(quayMarket, [firstPool, bike], clock),
      words,
    ]),
    ...who,
    rosters: {},
    calendars: byId([schoolDaysAt(clock)]),
    handOuts: byId([given.handOut, onBus.handOut, atMarket.handOut, bikePlan, ...earlier.handOuts]),
    frozen: byId([...given.frozen, ...onBus.frozen, ...atMarket.frozen, ...earlier.frozen]),
    copies: byId([...copies, ...earlier.copies]),
    markings: byId([
      ...markingsOf(copies, clock).map((m) => withReleased(m, copies, given.handOut, byId(given.frozen))),
      ...earlier.markings,
    ]),
    assets: byId(assets),
    templates: {},
    objectives: {},
    recipes: {},
    phrases: byId(PHRASES),
    folders: byId(foldersAt(clock)),
    dismissed: {},
    chronicle: {},
    removed: {},
  };
}
