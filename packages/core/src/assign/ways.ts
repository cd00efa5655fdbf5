import { itemsOf } from '../activity/activity';
import type { Id } from '../activity/block';
import type { Family } from '../activity/family';
import { derive } from '../derive/derive';
import type { People } from '../learners/people';
import type { HandOut, WayToGive } from './hand-out';
import { recipientsOf } from './recipients';
import { linesNow } from './rules';

/** Whether a way to give suits what is given, to whom; why not, in words. */
export interface WayFit {
  readonly way: WayToGive;
  readonly fits: boolean;
  /** Empty where it fits. */
  readonly why: string;
}

/** What holds one thing only: who comes last takes the place of what was there. */
const ONE_THING: ReadonlySet<string> = new Set(['drawing', 'picture-writing', 'photo', 'voice']);

/** Every way to give with whether it suits the blocks and the audience, the safest first. */
export function waysToGive(handOut: HandOut, family: Family, people: People): WayFit[] {
  const lines = linesNow(handOut, people);
  const versions = new Set<Id | null>(handOut.way === 'per-group' ? handOut.teams.map((t) => t.versionId) : []);
  for (const l of lines) versions.add(l.versionId);
  if (versions.size === 0) versions.add(null);
  const contents = [...versions].map((v) => derive(family, v).content);
  const items = contents.flatMap(itemsOf);
  const audience = recipientsOf(handOut, people).length;
  const asks = items.length > 0;
  const alone = items.find((i) => ONE_THING.has(i.kind));
  const nothing = 'There is nothing to answer in it.';
  const few = audience === 1 ? 'It is for one learner.' : '';
  const shared = contents.map((c) => c.pages.map((p) => p.id));
  const common = (shared[0] ?? []).filter((id) => shared.every((ids) => ids.includes(id)));
  const ways: readonly (readonly [WayToGive, string])[] = [
    ['one-each', asks ? '' : nothing],
    ['per-group', !asks ? nothing : few],
    ['place-each', !asks ? nothing : common.length ? '' : 'The versions have no page that is in all of them.'],
    [
      'together',
      !asks
        ? nothing
        : few ||
          (new Set(lines.map((l) => l.versionId)).size > 1
            ? 'The plan gives several versions, and one sheet for all has one.'
            : alone
              ? `“${alone.prompt.slice(0, 50)}” holds one answer: who comes last takes the place of what was there.`
              : ''),
    ],
    ['to-read', asks ? 'It asks questions, and nobody could answer them.' : ''],
  ];
  return ways.map(([way, why]) => ({ way, fits: why === '', why }));
}

/** The way to begin with: everybody their own, and only to read where nothing is asked. */
export const safestWay = (ways: readonly WayFit[]): WayToGive => ways.find((w) => w.fits)?.way ?? 'to-read';
