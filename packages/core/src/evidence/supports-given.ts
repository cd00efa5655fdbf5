import type { Content } from '../activity/activity';
import type { Frozen } from '../assign/held/frozen';
import { type AgreedSupport, EXTRA_TIME, SUPPORTS, type Support } from '../learners/supports';
import { isOnDay } from '../learners/days';
import { measure } from '../measure/measure';
import type { Used } from '../learners/comfort';
import type { SupportGiven } from './evidence';

/** What can be seen of one work: the sheet, what of the desk was used, and the time there was. */
export interface SeenWork {
  readonly handOutId: string;
  readonly title: string;
  /** The day it was given, as an ISO date. */
  readonly on: string;
  readonly frozen: Frozen;
  readonly used: Used;
  /** Why its date is later for this learner; empty where it is not. */
  readonly moreTime: string;
  /** Whether it was done on paper: then the desk tells nothing of it. */
  readonly onPaper: boolean;
}

const isSeen = (what: string): what is Support => SUPPORTS.some((s) => s === what);

const print = ({ settings }: Content): number => settings?.print?.size ?? 1;
const times = (n: number): string => (n === 1 ? 'used once' : `used ${n} times`);

/**
 * Supports that show in something else than the words of a sheet: where it shows, in words, or nothing. Undefined is that
 * the work cannot tell.
 */
const ELSEWHERE: Readonly<Record<string, (w: SeenWork) => string | undefined>> = {
  [EXTRA_TIME]: (w) => {
    const { extraTime } = w.frozen.content.settings ?? {};
    return w.moreTime || (extraTime && (extraTime.days || extraTime.percent) ? 'more time on the sheet' : '');
  },
  'large print': (w) =>
    print(w.frozen.content) > 1 ? 'larger print on the sheet' : w.used.size?.times ? 'set at the desk' : '',
  'text read aloud': (w) =>
    w.used.aloud?.times ? `read aloud at the desk, ${times(w.used.aloud.times)}` : w.onPaper ? undefined : '',
  'answers by voice': (w) =>
    w.used.speak?.times ? `spoken at the desk, ${times(w.used.speak.times)}` : w.onPaper ? undefined : '',
  breaks: (w) =>
    w.frozen.record?.adjustments.some((a) => a.kind === 'chunk' && a.status === 'applied')
      ? 'divided into short pages'
      : '',
};

/** Where a support shows in a work, in words; empty for nowhere; undefined where the work cannot tell. */
export function supportIn(what: string, work: SeenWork): string | undefined {
  const own = Object.hasOwn(ELSEWHERE, what) ? ELSEWHERE[what] : undefined;
  if (own) return own(work);
  if (!isSeen(what)) return undefined;
  return measure(work.frozen.content).supports.includes(what) ? 'on the sheet' : '';
}

/** Of a support that is not enough on a sheet, how much of it is there, in words; empty for none. */
function partly(what: string, { frozen }: SeenWork): string {
  if (!isSeen(what)) return '';
  const share = measure(frozen.content).shares[what];
  return share?.has ? `in ${share.has} of ${share.of}` : '';
}

/** Agreed supports against what was given while they were agreed, in the order of the card. */
export function supportsGiven(supports: readonly AgreedSupport[], works: readonly SeenWork[]): SupportGiven[] {
  return supports.map((s): SupportGiven => {
    const meant = works.filter((w) => isOnDay(s, w.on));
    const seen = meant.map((w) => ({ handOutId: w.handOutId, title: w.title, seen: supportIn(s.what, w) }));
    return {
      ...{ what: s.what, category: s.category, from: s.from, until: s.until, reviewOn: s.reviewOn, note: s.note },
      canTell: isSeen(s.what) || Object.hasOwn(ELSEWHERE, s.what),
      given: seen.flatMap((x) => (x.seen ? [{ ...x, seen: x.seen }] : [])),
      lacking: meant.flatMap((w) =>
        supportIn(s.what, w) === '' ? [{ handOutId: w.handOutId, title: w.title, seen: partly(s.what, w) }] : [],
      ),
    };
  });
}
