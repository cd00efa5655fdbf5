import { Component, inject, input } from '@angular/core';
import { beforeEach, describe, expect, it } from '@jest/globals';
import {
  type Answer,
  answerIsEmpty,
  answerSchema,
  blockKinds,
  type Block,
  type BlockKindName,
  blockSchema,
  forLearner,
  isItem,
  type LearnerBlock,
  latest,
} from '@lorvet/core';
import { markItem } from '@lorvet/core/marking';
import { plainRich } from '@lorvet/core/rich';
import { demoWorkspace } from '@lorvet/core/demo';
import { wordsOf } from '../../platform/word-text';
import { rangeOf, unitsIn } from '../readable';
import { DemoPlace } from '../../testing/demo-place';
import { type BlockChange, MOST_SEVERAL } from './editor-part';
import { EDITOR_PARTS } from './editors';
import { LearnerBlockView } from './learner-block';
import { DESK_PARTS } from './registry';
import { SheetContext } from './sheet-context';

const blocks = Object.values(demoWorkspace(Date.UTC(2026, 10, 24)).families)
  .flatMap((f) => latest(f).content.pages)
  .flatMap((p) => p.blocks);
/** One block of each kind that the demo has; it has nearly all. */
const ONE_OF_EACH = [...new Map(blocks.map((b) => [b.kind, b])).values()];
/** Given by pen, camera or microphone, which jsdom has none of. */
const BY_DEVICE = new Set<BlockKindName>(['drawing', 'picture-writing', 'photo', 'voice', 'paper', 'spots']);

/** More than any field takes: cut to what it takes, as a browser does. */
const FULL = 'word '.repeat(20_001);
let place: DemoPlace<unknown>;
let given: Answer[];
async function show(block: Block, inputs: Record<string, unknown> = {}) {
  const opened = await DemoPlace.open(LearnerBlockView, {
    inputs: { block: forLearner(block) as LearnerBlock, number: 1, ...inputs },
  });
  opened.fixture.componentInstance.answered.subscribe((a) => {
    given.push(a);
    opened.fixture.componentRef.setInput('answer', a);
  });
  place = opened;
  return opened.fixture.nativeElement as HTMLElement;
}
const controls = (host: HTMLElement) =>
  [...host.querySelectorAll<HTMLElement>('input, textarea, select, button')].filter(
    (e) => !/^(A hint|Lift|Answer first)/.test(e.textContent?.trim() ?? ''),
  );

/** Does something with everything there is to do, as a learner who tries all of it. */
async function tryAll(host: HTMLElement): Promise<void> {
  for (const e of host.querySelectorAll<HTMLElement>('input, textarea, select')) {
    if (e instanceof HTMLSelectElement) e.value = e.options[1]?.value ?? '';
    else if (e instanceof HTMLInputElement && /radio|checkbox/.test(e.type)) e.click();
    else (e as HTMLInputElement).value = '3';
    e.dispatchEvent(new Event('input', { bubbles: true }));
    e.dispatchEvent(new Event('change', { bubbles: true }));
    if (e instanceof HTMLSelectElement || (e instanceof HTMLInputElement && /radio|checkbox/.test(e.type))) continue;
    // As much as the field takes.
    (e as HTMLInputElement).value = FULL.slice(0, (e as HTMLInputElement).maxLength);
    e.dispatchEvent(new Event('input', { bubbles: true }));
  }
  await place.rest();
  // A piece, then a place: whatever is pressed second takes what was pressed first.
  const piece = host.querySelector<HTMLElement>('lv-piece-button button, .pieces button, button');
  piece?.click();
  await place.rest();
  host.querySelector<HTMLElement>('lv-place button, lv-place [role=button], lv-place, .place button')?.click();
  for (const b of host.querySelectorAll<HTMLElement>('button')) b.click();
  await place.rest();
}

/** The words of a block that its learner gets, but for those that open by a press or stand in a field. */
function wordsForLearner(block: Block): string[] {
  const learners = JSON.stringify(forLearner(block));
  const shut = /^(hint|flap|transcript|under)/;
  return blockKinds[block.kind]
    .words(block as never)
    .filter(({ field, text }) => !shut.test(field) && learners.includes(JSON.stringify(text).slice(1, -1)))
    .flatMap(({ text }) => plainRich(text).split(/\n|\{\w+\}/))
    .map((text) => text.replace(/\s+/g, ' ').trim())
    .filter((text) => /\p{L}/u.test(text));
}

beforeEach(() => {
  given = [];
});

it('the demo shows nearly every kind that a learner can receive', () => {
  const kinds = new Set(ONE_OF_EACH.map((b) => b.kind));
  const missing = Object.keys(DESK_PARTS).filter((k) => !kinds.has(k as BlockKindName));
  expect(missing).not.toContain('gaps');
  expect(missing.length).toBeLessThan(10);
});

describe.each(
  ONE_OF_EACH.filter((b) => b.audience === 'learner' && b.kind in DESK_PARTS).map((b) => [b.kind, b] as const),
)('the learner’s form of %s', (kind, block) => {
  it('asks its question in words, once', async () => {
    const host = await show(block);
    if (!isItem(block) || !block.prompt) return;
    expect(host.textContent?.split(block.prompt)).toHaveLength(2);
  });

  it('can be heard in all its words, and each of them can be asked for', async () => {
    const host = await show(block);
    const units = unitsIn(host);
    const said = units.map((u) => u.text.replace(/\s+/g, ' ')).join(' | ');
    for (const words of wordsForLearner(block)) expect(said).toContain(words);
    // What stands in a text of its own is marked while it is read, and helped with when it is pressed.
    for (const unit of units)
      for (const word of wordsOf(unit)) {
        const inText = unit.pieces.some((p) => p.node && p.from <= word.from && p.to >= word.to);
        if (inText) expect(rangeOf(unit, word)?.toString()).toBe(unit.text.slice(word.from, word.to));
      }
  });

  it('has a name for every control', async () => {
    const host = await show(block);
    for (const c of controls(host)) {
      const name =
        c.getAttribute('aria-label') ??
        c.getAttribute('aria-labelledby') ??
        c.closest('label')?.textContent ??
        c.textContent;
      expect(name?.trim()).toBeTruthy();
    }
  });

  it('takes nothing once it is locked', async () => {
    const host = await show(block, { locked: true });
    for (const e of host.querySelectorAll<HTMLInputElement>('input, textarea, select'))
      expect([e.name, e.disabled || e.readOnly]).toEqual([e.name, true]);
    for (const e of host.querySelectorAll<HTMLElement>('button, [role=button], lv-place')) e.click();
    await place.rest();
    expect(given).toEqual([]);
  });

  if (isItem(block) && !BY_DEVICE.has(kind))
    it('gives answers that can be kept and marked', async () => {
      const host = await show(block);
      await tryAll(host);
      expect(given.length).toBeGreaterThan(0);
      for (const a of given) {
        expect(answerSchema.parse(a)).toEqual(a);
        const mark = markItem(block, a);
        expect(mark.points).toBeLessThanOrEqual(mark.outOf);
      }
      expect(given.some((a) => !answerIsEmpty(a))).toBe(true);
    });
});

@Component({
  selector: 'lv-on-paper',
  imports: [LearnerBlockView],
  providers: [SheetContext],
  template: `<lv-learner-block [block]="block()" [number]="1" />`,
})
class OnPaper {
  readonly block = input.required<LearnerBlock>();
  constructor() {
    inject(SheetContext).paper.set(true);
  }
}

const count = (host: HTMLElement, selector: string) => host.querySelectorAll(selector).length;
const box = (host: HTMLElement) => count(host, 'input:enabled');
const ruled = (host: HTMLElement) => count(host, 'lv-ruled i');
const places = (host: HTMLElement) => count(host, 'lv-place .place');
const sheet = (host: HTMLElement) => count(host, '.sheet, .board');
/** What an answer is written on or into, on paper, and how many of it a block of each kind has at least. */
const TO_WRITE_ON: {
  [K in BlockKindName]?: (host: HTMLElement, b: Extract<LearnerBlock, { kind: K }>) => [has: number, needs: number];
} = {
  'single-choice': (h, b) => [box(h), b.options.length],
  'multiple-choice': (h, b) => [box(h), b.options.length],
  'short-text': (h) => [box(h), 1],
  number: (h) => [box(h), 1],
  'long-text': (h) => [ruled(h), 3],
  notes: (h) => [ruled(h), 3],
  paper: (h) => [ruled(h), 3],
  voice: (h) => [ruled(h), 3],
  photo: (h) => [count(h, '.frame'), 1],
  drawing: (h) => [sheet(h), 1],
  'picture-writing': (h) => [sheet(h), 1],
  spots: (h) => [sheet(h), 1],
  steps: (h, b) => [box(h), b.steps.length],
  ordering: (h, b) => [count(h, '.box:empty'), b.entries.length],
  sorting: (h, b) => [places(h), b.groups.length],
  matching: (h, b) => [places(h), b.left.length],
  labels: (h, b) => [places(h), b.spots.length],
  pieces: (h) => [places(h), 2],
  gaps: (h, b) => [count(h, '.written, .options'), b.gaps.length],
  'table-fill': (h) => [box(h), 2],
};

describe('on paper', () => {
  it.each(ONE_OF_EACH.filter(isItem).map((b) => [b.kind, b] as const))(
    'there is something to write the answer to %s on, and its hint stands open',
    async (kind, block) => {
      const seen = forLearner({ ...block, hint: 'Look at the picture.' }) as LearnerBlock;
      const opened = await DemoPlace.open(OnPaper, { inputs: { block: seen } });
      const host = opened.fixture.nativeElement as HTMLElement;
      const look = TO_WRITE_ON[kind] as ((h: HTMLElement, b: LearnerBlock) => [number, number]) | undefined;
      const [has, needs] = look?.(host, seen) ?? [0, 1];
      expect(needs).toBeGreaterThan(0);
      expect(has).toBeGreaterThanOrEqual(needs);
      expect(host.textContent).toContain('A hint: Look at the picture.');
    },
  );
});

describe.each(ONE_OF_EACH.filter((b) => b.kind in EDITOR_PARTS).map((b) => [b.kind, b] as const))(
  'the editor of %s',
  (_, block) => {
    it('writes only what the block may be, whatever is typed', async () => {
      const editor = EDITOR_PARTS[block.kind as keyof typeof EDITOR_PARTS];
      if (!editor) return;
      const changed: Block[] = [];
      place = await DemoPlace.open(editor, { inputs: { block, change: (to: BlockChange) => changed.push(to(block)) } });
      const host = place.fixture.nativeElement as HTMLElement;
      for (const text of ['Other words', '', '-7', '9999999', 'a / b\nc = d', FULL]) {
        for (const e of host.querySelectorAll<HTMLInputElement>('input:not([type=file]), textarea')) {
          if (/radio|checkbox/.test(e.type)) e.click();
          else e.value = e.maxLength === MOST_SEVERAL ? text.slice(0, 99) : text.slice(0, e.maxLength);
          e.dispatchEvent(new Event('input', { bubbles: true }));
          e.dispatchEvent(new Event('change', { bubbles: true }));
        }
        await place.rest();
      }
      for (const b of changed) {
        const read = blockSchema.safeParse(b);
        expect(read.success ? [] : read.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`)).toEqual([]);
        expect([b.id, b.kind]).toEqual([block.id, block.kind]);
      }
    });
  },
);

describe('counters in a frame', () => {
  it('none can be the answer, and the first counter takes that back', async () => {
    const frame = blocks.find((b) => b.kind === 'pieces' && b.board.on === 'frames') as Block;
    await show(frame);
    await place.press('None: that is my answer');
    expect(given.at(-1)).toEqual({ kind: 'choice', chosen: ['none'] });
    expect(markItem({ ...frame, count: 0 } as never, given.at(-1)).verdict).toBe('right');
    await place.press('Put one on');
    expect(given.at(-1)).toEqual({ kind: 'choice', chosen: ['c1'] });
  });
});
