import { TestBed } from '@angular/core/testing';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import nlp from 'compromise/two';
import { type Comfort, PLAIN_COMFORT } from '@lorvet/core/desk';
import { wordTakes } from '../../platform/speech';
import { Reader } from './reader';
import { kindsOf } from '../../platform/word-kinds';
import { partsIn } from '../../platform/word-parts';
import { sentencesOf } from '../../platform/word-text';
import { languageOf, unitsIn } from '../../ui/readable';

/** Marks as a browser keeps them; jsdom has none. */
const marks = new Map<string, Range[]>();
const marked = (name: string) => marks.get(name)?.map(String) ?? [];

const PAGE = `
  <h2>Tides</h2>
  <p>The sea goes out. It <b>comes</b> back!</p>
  <p class="sr">page 1 of 2</p>
  <lv-learner-block>
    <p class="prompt">1 Which one?</p>
    <label><input type="radio"><span>A crab</span></label>
    <label>Your word <input type="text" value="a limpet"></label>
  </lv-learner-block>
  <p>البحر أزرق.</p>`;

let reader: Reader;
const say = (comfort: Partial<Comfort>) => reader.comfort.set({ ...PLAIN_COMFORT, ...comfort });
const wait = (ms: number) => jest.advanceTimersByTime(ms);
/** Lets it read for so long, and tells each word as it is marked. */
function heard(ms: number): string[] {
  const words: string[] = [];
  for (let t = 0; t < ms; t += 10) {
    wait(10);
    const [word] = marked('lv-said');
    if (word !== undefined && words.at(-1) !== word) words.push(word);
  }
  return words;
}

beforeEach(() => {
  jest.useFakeTimers();
  marks.clear();
  Object.assign(globalThis, {
    CSS: { highlights: marks },
    Highlight: class extends Array<Range> {},
  });
  TestBed.configureTestingModule({ providers: [Reader] });
  reader = TestBed.inject(Reader);
  document.body.innerHTML = `<main>${PAGE}</main>`;
  reader.reads(document.querySelector('main') as Element);
});
afterEach(() => {
  reader.close();
  jest.useRealTimers();
  document.body.innerHTML = '';
});

describe('what can be read', () => {
  const units = () => unitsIn(document.querySelector('main') as Element);

  it('is each part by itself, choices and what was written too, and nothing that is told to screen readers only', () => {
    expect(units().map((u) => u.text.trim())).toEqual([
      'Tides',
      'The sea goes out. It comes back!',
      '1 Which one?',
      'A crab',
      'Your word  a limpet',
      'البحر أزرق.',
    ]);
  });

  it('is in sentences, and in the language of its letters or of its mark', () => {
    expect(units().map((u) => sentencesOf(u).length)).toEqual([1, 2, 1, 1, 1, 1]);
    expect(units().at(-1)?.lang).toBe('ar');
    expect([languageOf('Море синє'), languageOf('sea')]).toEqual(['uk', 'en']);
    document.querySelector('h2')?.setAttribute('lang', 'fr');
    expect(units()[0]?.lang).toBe('fr');
  });
});

describe('reading aloud, where there is no voice', () => {
  it('marks word after word in its time, from the top to the end', () => {
    reader.open();
    expect(heard(20_000).join(' ')).toBe(
      'Tides The sea goes out It comes back 1 Which one A crab Your word البحر أزرق',
    );
    expect([reader.isPlaying(), reader.hasPlace()]).toEqual([false, false]);
    expect(marked('lv-said')).toEqual([]);
  });

  it('takes the time that a word needs, and half of it at twice the speed', () => {
    expect(wordTakes('harbour', 2)).toBe(wordTakes('harbour', 1) / 2);
    say({ speed: 2 });
    reader.open();
    wait(1);
    expect(marked('lv-said')).toEqual(['Tides']);
    wait(wordTakes('Tides', 2) + 1);
    expect(marked('lv-said')).toEqual(['The']);
  });

  it('pauses and goes on with the sentence, and goes a sentence on or back', () => {
    reader.open();
    reader.step(1);
    wait(wordTakes('The', 1) + 10);
    reader.pause();
    expect([marked('lv-said'), marked('lv-sentence')]).toEqual([['sea'], ['The sea goes out.']]);
    wait(5000);
    expect(marked('lv-said')).toEqual(['sea']);
    reader.step(1);
    expect([reader.isPlaying(), marked('lv-sentence')]).toEqual([false, ['It comes back!']]);
    reader.step(-1);
    reader.step(-1);
    expect(marked('lv-sentence')).toEqual(['Tides']);
    reader.play();
    expect(heard(700)).toEqual(['Tides', 'The']);
  });

  it.each([
    ['sentence', ['Tides'], ['The', 'sea', 'goes', 'out']],
    ['part', ['Tides'], ['The', 'sea', 'goes', 'out', 'It', 'comes', 'back']],
  ] as const)('reads one %s at a press, and the next at the next', (reads, first, second) => {
    say({ reads });
    reader.open();
    expect(heard(9000)).toEqual(first);
    reader.play();
    expect(heard(9000)).toEqual(second);
  });

  it('reads what stands there now: what was written meanwhile, and nothing of what is gone', () => {
    reader.open();
    document.querySelectorAll('main > p')[0]?.remove();
    const field = document.querySelector('input[type=text]') as HTMLInputElement;
    field.value = 'two mussels';
    field.dispatchEvent(new Event('input', { bubbles: true }));
    expect(heard(20_000).join(' ')).toBe('Tides 1 Which one A crab Your word البحر أزرق');
    expect(unitsIn(document.body).map((u) => u.text)).toContain('Your word  two mussels ');
  });

  it('stops when it is closed, and when the page is another', () => {
    reader.open();
    wait(100);
    reader.close();
    wait(9000);
    expect([marked('lv-said'), marked('lv-sentence'), reader.isPlaying()]).toEqual([[], [], false]);
  });
});

describe('words one by one', () => {
  it('are gone through by keys, over all parts and back, and read from there', () => {
    reader.help(true);
    const on = (by: 1 | -1) => {
      reader.pointOn(by);
      return reader.pointed()?.word;
    };
    expect([on(1), on(1), on(1), on(-1), on(-1), on(-1)]).toEqual(['Tides', 'The', 'sea', 'The', 'Tides', 'Tides']);
    const pointed = reader.pointed();
    if (pointed) reader.readFrom(pointed);
    expect([reader.isPlaying(), marked('lv-sentence')]).toEqual([true, ['Tides']]);
  });

  it('have parts, in the languages whose parts are known', async () => {
    expect((await partsIn('en'))?.('basket')).toEqual(['bas', 'ket']);
    expect((await partsIn('es-MX'))?.('biblioteca').join('')).toBe('biblioteca');
    expect(partsIn('ar')).toBeUndefined();
  });

  it('have kinds, each word one', () => {
    const text = 'The old crab walks quickly.';
    const kinds = kindsOf({ text, lang: 'en' }, nlp).map((k) => [text.slice(k.span.from, k.span.to), k.kind]);
    expect(kinds).toEqual([
      ['crab', 'noun'],
      ['walks', 'verb'],
      ['old', 'adjective'],
      ['quickly', 'adverb'],
    ]);
  });
});
