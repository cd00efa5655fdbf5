import { beforeEach, describe, expect, it } from '@jest/globals';
import { propose, readHtml } from '@lorvet/core/intake';
import { Review } from './review';

/** A sheet whose foot is taken for the teacher's, with two keys; and a page of its own before it. */
const HTML = `<h1>Rock pools</h1><p>1. What does a limpet hold on to? ______</p>
<h2>Two</h2><p>2. Name a thing that floats. ______</p><p>3. Name a thing that sinks. ______</p>
<h2>Answers</h2><p>2. cork</p><p>3. a stone</p>`;
const { material } = readHtml(HTML, 'pools.html');
let n = 0;
const newId = () => `n${++n}`;
const proposed = (turned?: Parameters<typeof propose>[2]) => propose(material, newId, turned);
let review: Review;
const reading = () => ({ name: 'pools.html', proposed: proposed(), pictures: [], left: [], sizes: {}, canTurn: true });
const decisions = () => review.pages().flatMap((p) => p.decided ?? []);
const words = () =>
  review
    .asTaken(review.taken(), new Map(), 'pools.html', newId)
    .map((p) => [p.audience ?? 'learner', p.blocks.filter((b) => 'prompt' in b).length]);

beforeEach(() => {
  review = new Review();
  review.begin(reading());
});

describe('what is looked over', () => {
  it('begins with all that is proposed, keys counted where they were set', () => {
    expect(review.counted()).toEqual({ all: 3, accepted: 3, keyed: 2 });
    expect(words()).toEqual([
      ['learner', 3],
      ['key', 0],
    ]);
  });

  it('what is not accepted comes in as words, and a page left out not at all', () => {
    review.acceptAll(false);
    expect(review.counted()).toEqual({ all: 3, accepted: 0, keyed: 0 });
    const [page] = review.asTaken(review.taken(), new Map(), 'pools.html', newId);
    expect(JSON.stringify(page)).toContain('What does a limpet hold on to?');
    const [first, key] = review.pages();
    review.change(key?.n ?? 0, { as: 'leave' });
    expect(review.taken()).toEqual([first]);
    review.change(first?.n ?? 0, { as: 'leave' });
    expect([review.taken(), words()]).toEqual([[], []]);
  });

  it('a page comes in as a picture where one was drawn, and as blocks where none could be', () => {
    const page = review.pages()[0];
    if (!page) throw new Error('no page');
    review.change(page.n, { as: 'picture' });
    const taken = (drawn: Map<number, string>) => review.asTaken([page], drawn, 'x', newId)[0]?.fixed?.assetId;
    expect(taken(new Map([[page.n, 'sha256-page']]))).toBe('sha256-page');
    expect(taken(new Map())).toBeUndefined();
  });

  it('turned round, what was chosen stays chosen, and turned back all is as it was', () => {
    const [page] = review.pages();
    const second = page?.proposals.find((p) => 'prompt' in p.block && JSON.stringify(p.block).includes('floats'));
    if (!page || !second) throw new Error('no question');
    review.accept(page.n, second.id, false);
    const before = { pages: words(), counted: review.counted(), at: review.at() };
    const [d] = decisions();
    if (!d) throw new Error('nothing was decided');

    const turned = review.turnedWith(d);
    expect([...turned]).toEqual([[d.id, 'learner']]);
    review.goOn(proposed(turned), turned);
    expect(review.isTurned(d)).toBe(true);
    expect(words().every(([audience]) => audience === 'learner')).toBe(true);

    const back = review.turnedWith(d);
    expect(back.size).toBe(0);
    review.goOn(proposed(back), back);
    expect({ pages: words(), counted: review.counted(), at: review.at() }).toEqual(before);
  });

  it('with another file nothing of the one before is left', () => {
    const [d] = decisions();
    if (!d) throw new Error('nothing was decided');
    review.goOn(proposed(review.turnedWith(d)), review.turnedWith(d));
    review.at.set(1);
    review.begin(null);
    expect([review.pages(), review.taken(), review.at(), review.isTurned(d)]).toEqual([[], [], 0, false]);
    review.begin(reading());
    expect(review.counted()).toEqual({ all: 3, accepted: 3, keyed: 2 });
  });
});
