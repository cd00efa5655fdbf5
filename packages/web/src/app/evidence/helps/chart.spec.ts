import { signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { ChartRoom } from '../../platform/chart-room';
import { Theme } from '../../ui/theme';
import { ChartView } from './chart';
import type { Chart } from './figure';

const CHART: Chart = {
  ...{ title: 'By version', says: 'Two versions.', is: 'dots', across: true, percent: true },
  ...{ xTitle: 'reached', yTitle: '' },
  series: [{ name: '', x: [0.8, 0.6], y: ['Core', 'Supported'], text: ['Core: 80 %', 'Supported: 60 %'] }],
  table: {
    head: ['Version', 'Reached'],
    rows: [
      ['Core', '80 %'],
      ['Supported', '60 %'],
    ],
  },
};

/** What the room was asked to draw, and how each is answered. */
let asked: { readonly words: readonly (readonly string[])[]; width: number; answer: (svg: string | Error) => void }[];
let fixture: ComponentFixture<ChartView>;
let widen: (width: number) => void;

beforeEach(async () => {
  asked = [];
  // Each chart is near what is seen, and as wide as a test says.
  globalThis.IntersectionObserver = class {
    constructor(private readonly seen: (all: unknown[]) => void) {}
    observe(): void {
      this.seen([{ isIntersecting: true }]);
    }
    disconnect(): void {}
  } as never;
  globalThis.ResizeObserver = class {
    constructor(seen: (all: unknown[]) => void) {
      widen = (width) => seen([{ contentRect: { width } }]);
    }
    observe(): void {}
    disconnect(): void {}
  } as never;
  const room: Pick<ChartRoom, 'draw'> = {
    draw: (_traces, { width }, words) =>
      new Promise((done, failed) => {
        const answer = (svg: string | Error) => {
          if (typeof svg !== 'string') return failed(svg);
          const drawn = document.createRange().createContextualFragment(svg);
          done(drawn);
        };
        asked.push({ words, width, answer });
      }),
  };
  TestBed.configureTestingModule({
    providers: [
      { provide: ChartRoom, useValue: room },
      { provide: Theme, useValue: { dark: signal(false) } },
    ],
  });
  fixture = TestBed.createComponent(ChartView);
  fixture.componentRef.setInput('chart', CHART);
  await rest();
});
async function rest(): Promise<void> {
  await new Promise((done) => setTimeout(done));
  await fixture.whenStable();
}
const page = () => fixture.nativeElement as HTMLElement;

describe('a chart', () => {
  it('is drawn once it has a width, and each dot says its values', async () => {
    expect(asked).toHaveLength(0);
    widen(500);
    await rest();
    expect(asked.map((a) => [a.width, a.words])).toEqual([[500, [['Core: 80 %', 'Supported: 60 %']]]]);
    asked[0]?.answer('<svg class="first"></svg>');
    await rest();
    expect(page().querySelector('[role=img] .first')).not.toBeNull();
  });

  it('that changes while it is drawn is drawn once more, as it is then', async () => {
    widen(500);
    await rest();
    widen(400);
    await rest();
    widen(300);
    await rest();
    asked[0]?.answer('<svg class="wide"></svg>');
    await rest();
    expect(page().querySelector('.wide')).toBeNull();
    expect(asked.map((a) => a.width)).toEqual([500, 300]);
    asked[1]?.answer('<svg class="narrow"></svg>');
    await rest();
    expect(page().querySelector('.narrow')).not.toBeNull();
  });

  it('that cannot be drawn says so, and has its numbers open', async () => {
    widen(500);
    await rest();
    asked[0]?.answer(new Error('no answer'));
    await rest();
    expect(page().textContent).toContain('The drawing could not be shown');
    expect(page().querySelector('table')?.textContent).toContain('Supported');
  });
});
