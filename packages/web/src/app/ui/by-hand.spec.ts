import { NO_ERRORS_SCHEMA } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { type Answer, type Block, freshBlock, type Rect } from '@lorvet/core';
import { DrawingPad } from './blocks/drawing-pad';
import { TableEditor } from './blocks/table/editor';
import { MessageService } from 'primeng/api';
import { OnPicture } from './on-picture';
import { Picture } from './picture';
import { RectBoard } from './rect-board';

const host = (f: ComponentFixture<unknown>) => f.nativeElement as HTMLElement;
const key = (on: Element | null, init: KeyboardEventInit) =>
  on?.dispatchEvent(new KeyboardEvent('keydown', { bubbles: true, cancelable: true, ...init }));
/** jsdom has no pointers and lays nothing out: a sheet of 200 by 100, at the top left. */
function onSheet(sheet: Element): (type: string, x: number, y: number, target?: Element) => void {
  sheet.getBoundingClientRect = () => ({ left: 0, top: 0, width: 200, height: 100 }) as DOMRect;
  return (type, x, y, target = sheet) => {
    (target as HTMLElement).setPointerCapture ??= () => undefined;
    const event = new MouseEvent(type, { clientX: x, clientY: y, button: 0, bubbles: true, cancelable: true });
    target.dispatchEvent(Object.assign(event, { pointerId: 1, pressure: 0.5 }));
  };
}

beforeEach(() => {
  for (const part of [RectBoard, DrawingPad])
    TestBed.overrideComponent(part, {
      remove: { imports: [OnPicture, Picture] },
      add: { schemas: [NO_ERRORS_SCHEMA] },
    });
});

describe('places on a picture', () => {
  let board: ComponentFixture<RectBoard>;
  let drawn: Rect[];
  let changed: { id: string; rect: Rect }[];
  let removed: string[];
  beforeEach(() => {
    board = TestBed.createComponent(RectBoard);
    board.componentRef.setInput('assetId', 'a');
    board.componentRef.setInput('rects', [{ id: 'r', name: 'Place', x: 10, y: 10, w: 20, h: 20 }]);
    [drawn, changed, removed] = [[], [], []];
    board.componentInstance.drawn.subscribe((r) => drawn.push(r));
    board.componentInstance.changed.subscribe((c) => changed.push(c));
    board.componentInstance.removed.subscribe((id) => removed.push(id));
    board.detectChanges();
  });
  const rect = () => host(board).querySelector('[data-rect]');

  it('move and grow by keys, never off the picture, and say where they are', () => {
    key(rect(), { key: 'ArrowRight' });
    key(rect(), { key: 'ArrowDown', shiftKey: true });
    const [moved, grown] = changed.map((c) => c.rect);
    expect(moved).toMatchObject({ y: 10, w: 20, h: 20 });
    expect(moved?.x).toBeGreaterThan(10);
    expect(grown).toMatchObject({ x: 10, y: 10, w: 20 });
    expect(grown?.h).toBeGreaterThan(20);
    board.detectChanges();
    expect(host(board).querySelector('[role=status]')?.textContent).toMatch(/10 across, 10 down, 20 wide/);
    board.componentRef.setInput('rects', [{ id: 'r', name: 'Place', x: 80, y: 0, w: 20, h: 20 }]);
    board.detectChanges();
    for (const k of ['ArrowRight', 'ArrowUp']) key(rect(), { key: k, ctrlKey: true });
    for (const c of changed.slice(-2)) expect(c.rect.x + c.rect.w <= 100 && c.rect.y >= 0).toBe(true);
  });

  it('go by their key, and no other key does anything', () => {
    key(rect(), { key: 'Delete' });
    key(rect(), { key: 'a' });
    expect([removed, changed]).toEqual([['r'], []]);
  });

  it('are drawn by pulling from any corner; a press alone draws none', () => {
    const sheet = host(board).querySelector('.board') as Element;
    const point = onSheet(sheet);
    point('pointerdown', 180, 80);
    point('pointermove', 100, 40);
    point('pointerup', 100, 40);
    expect(drawn).toMatchObject([{ x: 50, y: 40, w: 40, h: 40 }]);
    point('pointerdown', 100, 50);
    point('pointerup', 100, 50);
    expect(drawn).toHaveLength(1);
  });
});

describe('a sheet to draw on', () => {
  let pad: ComponentFixture<DrawingPad>;
  let last: Extract<Answer, { kind: 'drawing' }> | undefined;
  beforeEach(() => {
    pad = TestBed.createComponent(DrawingPad);
    last = undefined;
    pad.componentInstance.drawn.subscribe((d) => (last = d));
    pad.detectChanges();
  });
  const button = (name: RegExp) => {
    const found = [...host(pad).querySelectorAll('button')].find((b) =>
      name.test(b.getAttribute('aria-label') ?? b.textContent ?? ''),
    );
    found?.click();
    pad.detectChanges();
  };
  const point = (type: string, x: number, y: number) =>
    onSheet(host(pad).querySelector('.sheet') as Element)(
      type,
      x,
      y,
      host(pad).querySelector('svg.strokes') as Element,
    );

  it('keeps a stroke in hundredths of the sheet, in the chosen colour, and takes the last one back', () => {
    button(/Green/);
    point('pointerdown', 20, 20);
    point('pointermove', 100, 50);
    point('pointerup', 100, 50);
    pad.detectChanges();
    expect(last?.strokes).toMatchObject([{ colour: 'moss' }]);
    // Across, down and pressure, one after the other.
    expect(last?.strokes[0]?.points.filter((_, i) => i % 3 < 2)).toEqual([10, 20, 50, 50]);
    button(/Take back/);
    expect(last?.strokes).toEqual([]);
  });

  it('words are set down, written and moved by keys alone, and stay on the sheet', () => {
    button(/Words/);
    const field = () => host(pad).querySelector<HTMLInputElement>('.words input');
    const input = field();
    if (!input) throw new Error('there is no place for words');
    input.value = 'my crab';
    input.dispatchEvent(new Event('input'));
    key(input, { key: 'ArrowRight', altKey: true });
    key(input, { key: 'ArrowRight' });
    expect(last?.words).toEqual([{ x: 42, y: 40, text: 'my crab' }]);
    for (let i = 0; i < 60; i++) key(input, { key: 'ArrowUp', altKey: true });
    expect(last?.words[0]?.y).toBe(0);
    pad.detectChanges();
    button(/^Take away: my crab/);
    expect(last?.words).toEqual([]);
  });

  it('locked, takes nothing', () => {
    pad.componentRef.setInput('locked', true);
    pad.detectChanges();
    point('pointerdown', 20, 20);
    point('pointerup', 20, 20);
    expect(last).toBeUndefined();
    expect(host(pad).querySelectorAll('button')).toHaveLength(0);
  });
});

describe('a table that is written', () => {
  let made: Extract<Block, { kind: 'table' }>;
  const change = jest.fn((edit: (b: Block) => Block) => (made = edit(made) as typeof made));
  let table: ComponentFixture<TableEditor>;
  beforeEach(() => {
    let n = 0;
    TestBed.configureTestingModule({ providers: [MessageService] });
    made = freshBlock('table', 't', () => `c${++n}`) as typeof made;
    table = TestBed.createComponent(TableEditor);
    table.componentRef.setInput('block', made);
    table.componentRef.setInput('change', change);
    table.detectChanges();
  });
  const words = () => made.rows.map((r) => r.cells.map((c) => c.text));
  const paste = (row: number, column: number, text: string) => {
    const field = host(table).querySelector(`[aria-label="Row ${row}, column ${column}"]`);
    const event = new Event('paste', { bubbles: true, cancelable: true });
    field?.dispatchEvent(Object.assign(event, { clipboardData: { getData: () => text } }));
    table.detectChanges();
    return event;
  };

  it('takes cells of a spreadsheet from where they are pasted, and grows to hold them', () => {
    const old = made.rows[0]?.cells[0]?.id;
    paste(1, 2, 'Legs\tColour\r\n10\tred\n8\tbrown\n0\tgrey\n');
    const rows = words();
    expect(rows[0]?.slice(1)).toEqual(['Legs', 'Colour']);
    expect(rows[3]?.slice(1)).toEqual(['0', 'grey']);
    expect(new Set(rows.map((r) => r.length))).toEqual(new Set([3]));
    expect(made.rows[0]?.cells[0]?.id).toBe(old);
    const ids = made.rows.flatMap((r) => r.cells.map((c) => c.id));
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('one word pasted is pasted as ever', () => {
    const before = words();
    expect(paste(1, 1, 'crab').defaultPrevented).toBe(false);
    expect(words()).toEqual(before);
  });
});
