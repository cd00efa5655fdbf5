import { type Remote, wrap } from 'comlink';
import { WORD_KINDS } from '../../platform/word-kinds';
import type { Span } from '../../platform/word-text';
import { makeWordsWorker } from '../../platform/workers/make-worker';
import type { WordsApi } from '../../platform/workers/words.worker';
import { rangeOf, type Unit } from '../../ui/readable';
import { mark, type MarkName } from '../../ui/word-mark';

/** Milliseconds of marking at once. */
const TURN = 8;

/** Marks on the words of a page: their parts and their kinds, found out in a worker. */
export class WordMarks {
  private worker: Worker | null = null;
  private api: Remote<WordsApi> | null = null;
  /** Which page was asked about last: what comes later of an earlier one is let go. */
  private asked = 0;

  async show(
    units: readonly Unit[],
    { parts, kinds }: { readonly parts: boolean; readonly kinds: boolean },
  ): Promise<void> {
    const asked = ++this.asked;
    const texts = units.map(({ text, lang }) => ({ text, lang }));
    this.worker ??= makeWordsWorker();
    this.api ??= wrap<WordsApi>(this.worker);
    const [partsOf, kindsIn] = await Promise.all([
      parts ? this.api.parts(texts) : null,
      kinds ? this.api.kinds(texts) : null,
    ]);
    if (asked !== this.asked) return;
    const spans = (unit: number, name: MarkName): readonly Span[] =>
      name === 'lv-part'
        ? (partsOf?.[unit] ?? [])
        : (kindsIn?.[unit] ?? []).flatMap(({ kind, span }) => (name === `lv-kind-${kind}` ? [span] : []));
    for (const name of NAMES) {
      const ranges: (Range | undefined)[] = [];
      let end = performance.now() + TURN;
      for (const [i, unit] of units.entries()) {
        for (const span of spans(i, name)) ranges.push(rangeOf(unit, span));
        if (performance.now() < end) continue;
        await new Promise((done) => setTimeout(done));
        if (asked !== this.asked) return;
        end = performance.now() + TURN;
      }
      mark(name, ranges);
    }
  }

  clear(): void {
    this.asked++;
    for (const name of NAMES) mark(name, []);
  }

  close(): void {
    this.clear();
    this.worker?.terminate();
  }
}

const NAMES: readonly MarkName[] = ['lv-part', ...WORD_KINDS.map(({ kind }): MarkName => `lv-kind-${kind}`)];
