import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { type Comfort, PLAIN_COMFORT } from '@lorvet/core/desk';
import { Speech } from '../../platform/speech';
import { mark } from '../../ui/word-mark';
import { sentencesOf, type Span, wordsOf } from '../../platform/word-text';
import { placeIn, rangeOf, type Unit, unitsIn } from '../../ui/readable';

/** A word that somebody points at, and where it stands. */
export interface Pointed {
  readonly unit: Unit;
  readonly span: Span;
  readonly word: string;
}

/**
 * Reads a part of the page aloud, sentence by sentence, and marks the word that is said. It knows the page as it stands
 * at that moment: what is written meanwhile is read as it is then.
 */
@Injectable()
export class Reader {
  private readonly speech = inject(Speech);
  /** The part of the page that is read, and how its learner likes it. */
  private root: Element | null = null;
  readonly comfort = signal<Comfort>(PLAIN_COMFORT);
  /** What is on the page, until it changes: a long one takes a while to go through. */
  private known: readonly Unit[] | null = null;
  private readonly forget = () => (this.known = null);
  private readonly changes = new MutationObserver(this.forget);

  readonly isOpen = signal(false);
  readonly isPlaying = signal(false);
  /** Whether a press on a word asks what it means. */
  readonly isHelping = signal(false);
  readonly pointed = signal<Pointed | null>(null);
  /** Where the line that is read stands in the window, in px. */
  readonly line = signal<{ readonly top: number; readonly height: number } | null>(null);
  private readonly at = signal<{ readonly unit: Unit; readonly sentence: number } | null>(null);
  readonly hasPlace = computed(() => this.at() !== null);
  private followed: Range | undefined;
  private quiet: () => void = () => undefined;

  constructor() {
    // What is typed or chosen changes no element.
    document.addEventListener('input', this.forget, true);
    inject(DestroyRef).onDestroy(() => {
      this.close();
      this.changes.disconnect();
      document.removeEventListener('input', this.forget, true);
    });
  }

  /** What is read from now on. */
  reads(root: Element): void {
    if (root === this.root) return;
    this.stop();
    this.root = root;
    this.known = null;
    this.changes.disconnect();
    this.changes.observe(root, {
      childList: true,
      subtree: true,
      characterData: true,
      attributes: true,
      attributeFilter: ['hidden', 'style', 'class', 'aria-hidden', 'open', 'lang', 'alt'],
    });
  }

  /** Begins at the top again: another page is shown. */
  turned(): void {
    const was = this.isPlaying();
    this.stop();
    this.pointed.set(null);
    if (was) this.play();
  }

  open(): void {
    this.isOpen.set(true);
    this.play();
  }

  close(): void {
    this.stop();
    this.isOpen.set(false);
    this.help(false);
  }

  /** Reads on from where it stands, or from the top of what can be seen. */
  play(): void {
    const at = this.here() ?? this.first();
    if (at) this.sayFrom(at);
  }

  pause(): void {
    this.quiet();
    this.isPlaying.set(false);
  }

  /** The sentence after this one, or before. */
  step(by: 1 | -1): void {
    const at = this.here();
    const to = at ? this.beside(at, by) : this.first();
    if (!to) return;
    if (this.isPlaying()) this.sayFrom(to);
    else this.show(to);
  }

  /** Reads from the sentence in which a word stands. */
  readFrom({ unit, span }: Pointed): void {
    const sentence = sentencesOf(unit).findIndex((s) => s.to > span.from);
    this.pointed.set(null);
    this.sayFrom({ unit, sentence: Math.max(0, sentence) });
  }

  /** Says some words and nothing after them, and marks nothing. */
  sayOnly(words: string, lang: string): void {
    this.pause();
    const { speed, voice } = this.comfort();
    this.quiet = this.speech.say(words, { lang, speed, voice }, { word: () => undefined, end: () => undefined });
  }

  help(on: boolean): void {
    this.isHelping.set(on);
    if (on) this.pause();
    else this.point(null);
  }

  point(word: Pointed | null): void {
    this.pointed.set(word);
    mark('lv-pointed', [word ? rangeOf(word.unit, word.span) : undefined]);
    if (word) this.inSight(word.unit, word.span);
  }

  /** The word under a place of the window; null where there is none. */
  wordAt(x: number, y: number): Pointed | null {
    const caret = document.caretPositionFromPoint(x, y);
    if (!caret || !this.root?.contains(caret.offsetNode)) return null;
    for (const unit of this.units()) {
      const place = placeIn(unit, caret.offsetNode, caret.offset);
      const span = place === undefined ? undefined : wordsOf(unit).find((w) => w.from <= place && place <= w.to);
      const box = span && rangeOf(unit, span)?.getBoundingClientRect();
      // The caret goes to the nearest letter: only a press on the word itself counts.
      if (span && box && x >= box.left - 3 && x <= box.right + 3 && y >= box.top - 3 && y <= box.bottom + 3)
        return { unit, span, word: unit.text.slice(span.from, span.to) };
    }
    return null;
  }

  /** The word after the one that is pointed at, or before; the first where there is none. */
  pointOn(by: 1 | -1): void {
    const units = this.units();
    const now = this.pointed();
    let u = now ? units.findIndex((x) => x.element === now.unit.element) : -1;
    let unit = units[u];
    let w = unit && now ? wordsOf(unit).findIndex((s) => s.from === now.span.from) + by : 0;
    if (!unit) unit = units[(u = 0)];
    while (unit) {
      const span: Span | undefined = wordsOf(unit)[w];
      if (span && rangeOf(unit, span)) return this.point({ unit, span, word: unit.text.slice(span.from, span.to) });
      if (span) w += by;
      else {
        unit = units[(u += by)];
        w = unit && by < 0 ? wordsOf(unit).length - 1 : 0;
      }
    }
  }

  /** Everything that can be read on the page as it is now. */
  units(): readonly Unit[] {
    if (this.changes.takeRecords().length > 0) this.known = null;
    this.known ??= this.root ? unitsIn(this.root) : [];
    return this.known;
  }

  private stop(): void {
    this.pause();
    this.at.set(null);
    this.followed = undefined;
    this.line.set(null);
    mark('lv-said', []);
    mark('lv-sentence', []);
  }

  /** Where it stands, on the page as it is now. */
  private here(): { unit: Unit; sentence: number } | null {
    const at = this.at();
    const unit = at && this.units().find((u) => u.element === at.unit.element);
    return at && unit ? { unit, sentence: Math.min(at.sentence, sentencesOf(unit).length - 1) } : null;
  }

  private first(): { unit: Unit; sentence: number } | null {
    const [unit] = this.units();
    return unit ? { unit, sentence: 0 } : null;
  }

  private beside(at: { unit: Unit; sentence: number }, by: 1 | -1): { unit: Unit; sentence: number } | null {
    const next = at.sentence + by;
    if (next >= 0 && next < sentencesOf(at.unit).length) return { unit: at.unit, sentence: next };
    const units = this.units();
    const unit = units[units.findIndex((u) => u.element === at.unit.element) + by];
    return unit ? { unit, sentence: by > 0 ? 0 : sentencesOf(unit).length - 1 } : null;
  }

  private show(at: { unit: Unit; sentence: number }): Span | undefined {
    this.at.set(at);
    mark('lv-said', []);
    const span = sentencesOf(at.unit)[at.sentence];
    mark('lv-sentence', [span && rangeOf(at.unit, span)]);
    if (span) this.inSight(at.unit, span);
    return span;
  }

  private sayFrom(at: { unit: Unit; sentence: number }): void {
    this.quiet();
    const span = this.show(at);
    if (!span) return;
    this.isPlaying.set(true);
    const { speed, voice } = this.comfort();
    const words = wordsOf(at.unit);
    this.quiet = this.speech.say(
      at.unit.text.slice(span.from, span.to),
      { lang: at.unit.lang, speed, voice },
      {
        word: (letter) => {
          const word = words.find((w) => w.to > span.from + letter);
          const range = word && rangeOf(at.unit, word);
          mark('lv-said', [range]);
          if (word) this.follow(range);
        },
        end: () => this.goOn(at),
      },
    );
  }

  /** What comes after a sentence: the next, or a pause where no more was asked for. */
  private goOn(at: { unit: Unit; sentence: number }): void {
    const { reads } = this.comfort();
    const next = this.beside(at, 1);
    const isOver = reads === 'sentence' || (reads === 'part' && (!next || partOf(next.unit) !== partOf(at.unit)));
    if (!next || isOver) {
      this.isPlaying.set(false);
      mark('lv-said', []);
      if (next) this.at.set(next);
      else this.stop();
      return;
    }
    this.sayFrom(next);
  }

  /** Tells the ruler where the line is that is read; again where the page was scrolled meanwhile. */
  follow(range = this.followed): void {
    this.followed = range;
    // Of a sentence over several lines, its first.
    const [line] = range?.getClientRects ? range.getClientRects() : [];
    if (line?.height) this.line.set({ top: line.top, height: line.height });
  }

  /** Brings it to where it can be read, unless it is there already. */
  private inSight(unit: Unit, span: Span): void {
    const range = rangeOf(unit, span);
    const box = range?.getBoundingClientRect ? range.getBoundingClientRect() : undefined;
    if (box && (box.top < 110 || box.bottom > innerHeight - 190))
      unit.element.scrollIntoView({ block: 'center', behavior: this.comfort().calm ? 'auto' : 'smooth' });
    this.follow(range);
  }
}

/** The part of the page a unit stands in: a block with all its words, or the unit itself. */
const partOf = ({ element }: Unit): Element => element.closest('lv-learner-block') ?? element;
