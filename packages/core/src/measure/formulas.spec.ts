import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Family, latest } from '../activity/family';
import { demoWorkspace } from '../demo/index';
import { derive } from '../derive/derive';
import { masters } from '../testing/random-family';
import { measure, measureFamily, measureInSteps, measurePages } from './measure';
import { addCounts, countText, type FormulaId, FORMULAS, type Readability, readability } from './readability';
import { wordsIn } from './words';

/** Counted by hand: 3 sentences, 33 words, 40 syllables, 150 letters; every word is on both lists but "limpet". */
const TEXT =
  'The little limpet walks over the rock at night and eats the green weed. When the sea goes out it comes home again. Then it sits down in the same place and waits.';
const COUNTED = { sentences: 3, words: 33 };

describe('a text', () => {
  it('is counted as a person counts it', () => {
    const c = countText(TEXT);
    expect([c.sentences, c.words, c.hardWords]).toEqual([COUNTED.sentences, COUNTED.words, ['limpet']]);
    expect(c.letters).toBe(TEXT.replace(/[^a-z]/gi, '').length);
  });

  it('counts a field that is filled for each learner as one easy word', () => {
    const open = countText('[chosen name], look at the crab.');
    const filled = countText('you, look at the crab.');
    expect({ ...open }).toEqual({ ...filled });
    expect(open.hardWords).toEqual([]);
  });

  it('adds up: two texts together are the two counted alone', () => {
    const sentence = fc
      .array(fc.constantFrom('crab', 'limpet', 'walks', 'seventy', 'beautiful', 'sea'), { minLength: 1, maxLength: 9 })
      .map((w) => `${w.join(' ')}.`);
    fc.assert(
      fc.property(sentence, sentence, (a, b) => {
        const sum = addCounts([countText(a), countText(b)]);
        const whole = countText(`${a}\n${b}`);
        expect({ ...sum, hardWords: [...sum.hardWords].sort(), unfamiliar: [...sum.unfamiliar].sort() }).toEqual({
          ...whole,
          hardWords: [...whole.hardWords].sort(),
          unfamiliar: [...whole.unfamiliar].sort(),
        });
      }),
    );
  });
});

describe('the formulas', () => {
  const c = countText(TEXT);
  const perSentence = c.words / c.sentences;
  const published: Record<FormulaId, number> = {
    kincaid: 0.39 * perSentence + 11.8 * (c.syllables / c.words) - 15.59,
    ease: 206.835 - 1.015 * perSentence - 84.6 * (c.syllables / c.words),
    // Below five hundredths of hard words nothing is added.
    'dale-chall': 0.1579 * ((100 * c.hard) / c.words) + 0.0496 * perSentence,
    spache: 0.121 * perSentence + 0.082 * ((100 * c.unfamiliar.length) / c.words) + 0.659,
    'coleman-liau': 0.0588 * ((100 * c.letters) / c.words) - 0.296 * ((100 * c.sentences) / c.words) - 15.8,
    automated: 4.71 * (c.characters / c.words) + 0.5 * perSentence - 21.43,
    fog: 0.4 * (perSentence + (100 * c.long) / c.words),
    smog: 1.043 * Math.sqrt(c.long * (30 / c.sentences)) + 3.1291,
    wiener:
      0.1935 * ((100 * c.long) / c.words) +
      0.1672 * perSentence +
      0.1297 * ((100 * c.wide) / c.words) -
      0.0327 * ((100 * c.short) / c.words) -
      0.875,
    huerta: 206.84 - 60 * (c.syllables / c.words) - 1.02 * perSentence,
    'kandel-moles': 207 - 1.015 * perSentence - 73.6 * (c.syllables / c.words),
    lix: perSentence + (100 * c.wide) / c.words,
  };
  it.each(FORMULAS.map((f) => [f.name, f] as const))('%s is computed as it was published', (_, f) => {
    expect(f.of(c)).toBeCloseTo(published[f.id], 1);
    expect(f.source).toMatch(/\d{4}/);
    expect(f.limits).toMatch(/\.$/);
  });

  it.each(FORMULAS.map((f) => [f.name, f] as const))('%s gives no figure below the text it needs', (_, f) => {
    const words = (n: number) => Array.from({ length: n }, () => 'crab').join(' ');
    const enough = Array.from({ length: f.leastSentences }, () =>
      words(Math.ceil(f.leastWords / f.leastSentences)).replace('crab', 'Crab'),
    ).join('. ');
    const [language] = f.languages;
    expect(readability(`${enough}.`, language).figures[f.id]).toBeDefined();
    expect(readability(`${words(f.leastWords - 1)}.`, language).figures[f.id]).toBeUndefined();
    // And none for a language it was not made for.
    expect(readability(`${enough}.`, 'other').figures[f.id]).toBeUndefined();
  });

  it('call longer sentences of longer words harder', () => {
    const hard = `${'Extraordinary invertebrates occasionally accumulate considerable quantities of nutrition '.repeat(4)}.`;
    const easy = 'The crab sits. The sea is wet. It hid. We saw it go in. It ate a weed. We had a look at it. '.repeat(
      2,
    );
    const figures = (t: string): Readability['figures'] => readability(t).figures;
    for (const id of ['kincaid', 'dale-chall', 'spache', 'coleman-liau', 'automated'] as const)
      expect(figures(hard)[id]).toBeGreaterThan(figures(easy)[id] ?? 0);
    expect(figures(hard).ease).toBeLessThan(figures(easy).ease ?? 0);
  });
});

describe('measures', () => {
  it('of the pages add up to those of the whole', () => {
    fc.assert(
      fc.property(masters, (content) => {
        const whole = measure(content);
        const pages = content.pages.map((p) => measurePages([p], content.objectives));
        const sum = (of: (m: (typeof pages)[number]) => number) => pages.reduce((n, m) => n + of(m), 0);
        expect(sum((m) => m.words)).toBe(whole.words);
        expect(sum((m) => m.items)).toBe(whole.items);
        expect(sum((m) => m.pages)).toBe(whole.pages);
        expect(sum((m) => m.minutes)).toBeCloseTo(whole.minutes, 6);
        const kept = new Set(pages.flatMap((m) => m.objectivesKept.map((o) => o.id)));
        expect([...kept].sort()).toEqual(whole.objectivesKept.map((o) => o.id).sort());
      }),
    );
  });

  it('counted in steps are the same, and need no step a second time', () => {
    fc.assert(
      fc.property(masters, (content) => {
        const fresh = { ...content, pages: content.pages.map((p) => ({ ...p })) };
        const steps = measureInSteps(fresh);
        let n = 0;
        let step = steps.next();
        for (; !step.done; step = steps.next()) n++;
        expect(n).toBe(content.pages.length);
        expect(step.value).toEqual(measure(content));
        expect(measureInSteps(fresh).next().done).toBe(true);
      }),
    );
  });

  const demo = demoWorkspace(Date.UTC(2026, 10, 24)).families;
  it('of a family stand in the order of its tree, the master first', () => {
    const all = measureFamily(demo['rock-pool'] as Family);
    expect(all.map((m) => m.versionId)).toEqual([null, 'rp-sup', 'rp-oriel', 'rp-core', 'rp-ext']);
    expect(all[1]?.measures.readability.figures.kincaid).toBeLessThan(
      all[0]?.measures.readability.figures.kincaid ?? 0,
    );
    expect(all[2]?.measures.items).toBeLessThan(all[1]?.measures.items ?? 0);
  });

  it('see every support that a version adds', () => {
    const supports = (family: string, id: string) => measure(derive(demo[family] as Family, id).content).supports;
    expect(supports('right-bus', 'bus-sup')).toEqual(
      expect.arrayContaining([
        'sentence starters',
        'worked example',
        'glossary',
        'spoken instructions',
        'short sentences',
      ]),
    );
    const { shares } = measure(derive(demo['right-bus'] as Family, 'bus-sup').content);
    expect(shares.hints?.has).toBeGreaterThan(0);
    expect(supports('puncture', 'pun-sup')).toEqual(expect.arrayContaining(['word bank', 'steps to tick']));
    expect(supports('rock-pool', 'rp-ext')).toEqual(['pictures']);
  });

  it('give more minutes where extra time is agreed', () => {
    const bus = demo['right-bus'] as Family;
    const content = derive(bus, 'bus-sup').content;
    const { extraTime: _, ...settings } = content.settings ?? {};
    const plain = measure({ ...content, settings });
    expect(measure(content).minutes).toBeCloseTo(plain.minutes * 1.25, 6);
    expect(latest(bus).content.settings).toBeUndefined();
  });

  it('count words as they are written: with apostrophes and hyphens as one, numbers too', () => {
    expect(wordsIn("The crab's half-open claw, 3 cm wide – isn’t it?")).toEqual([
      'The',
      "crab's",
      'half-open',
      'claw',
      '3',
      'cm',
      'wide',
      'isn’t',
      'it',
    ]);
  });
});
