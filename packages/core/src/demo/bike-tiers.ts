import type { Block } from '../activity/blocks';
import { type Family, latest } from '../activity/family';
import { draftChooseItems, draftFlap, draftOtherAnswer, draftSteps } from '../adjust/drafts';
import { pictureIn } from '../adjust/replace-picture';
import { b, type Clock, page } from './build';
import { blockIn, freshVersion, Later } from './later';

const EXTENDED = {
  id: 'pun-ext',
  name: 'Extended',
  swatch: { pattern: 'dots', colour: 'b', letter: 'H' },
  purpose: 'For those who mend bicycles already',
} as const;
const further: Block = {
  ...b.long(
    'pun-x1',
    'A tube loses air, and no bubbles show. Where would you look next, and in what order?',
    'The valve first, then the seam, then a longer test under pressure.',
    { o: 'pun-o3', points: 2 },
  ),
};
const kit = page(
  'pun-p3',
  'Your own repair kit',
  b.tell('pun-i3', 'It must fit under a saddle.'),
  b.long(
    'pun-x2',
    'Which five things would you pack, and what is each for?',
    'Levers, patches, glue, pump, rough paper.',
    {
      o: 'pun-o2',
    },
  ),
);

/** The puncture: steps to tick, flaps, fewer questions, a closer picture, larger print; and for some a page more. */
export function punctureTiers(bike: Family, closerId: string, clock: Clock): Family {
  const later = new Later(clock);
  let f = later.change(bike, 'pun-sup', [draftSteps(blockIn(bike, 'pun-t1'), 2, later.newId)], 'One step at a time');
  f = later.change(
    f,
    'pun-sup',
    ['pun-q1', 'pun-q2'].map((id) => draftFlap(blockIn(bike, id))),
    'Checks own answers',
    'flap to check in 2 places',
  );
  const was = pictureIn(blockIn(bike, 'pun-pic'));
  const now = { assetId: closerId, alt: 'Close to the rim: a lever lifts the tyre over it.' };
  if (was)
    f = later.change(f, 'pun-sup', [{ kind: 'replace-picture', target: 'pun-pic', was, now }], 'One thing to look at');
  f = later.change(f, 'pun-sup', [draftChooseItems(latest(f).content, [], 4)], 'Four questions in one lesson');
  const print = { size: 1.2, spacing: 1.2, font: '' as const, colours: '' as const };
  f = later.change(f, 'pun-sup', [{ kind: 'larger-print', print }], 'Larger print agreed in the plan');
  f = later.change(f, 'pun-sup', [{ kind: 'mix-up', targets: ['pun-q3'] }], 'Knew the order of the choices by heart');
  f = later.change(
    f,
    'pun-core',
    [draftOtherAnswer(blockIn(bike, 'pun-q4'), 'voice', [])],
    'Says it better than writes it',
  );
  f = { ...f, versions: [...f.versions, freshVersion(f, EXTENDED)] };
  f = later.change(
    f,
    'pun-ext',
    [{ kind: 'extension-item', page: 'pun-p2', after: 'pun-q5', block: further }],
    'Asked for more',
  );
  f = later.change(f, 'pun-ext', [{ kind: 'insert-page', after: 'pun-p2', page: kit }], 'Plans a ride of their own');
  return later.change(f, 'pun-ext', [{ kind: 'goes', most: 2 }], 'May better the plan once');
}
