import { effect, inject, Injectable, signal, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { type Comfort, PLAIN_COMFORT, type Tool, TOOLS, type Used, usedTogether } from '@lorvet/core/desk';
import { fromEvent } from 'rxjs';
import { Clock } from '../../platform/clock';
import { SheetContext } from '../../ui/blocks/sheet-context';
import { Reader } from './reader';

/** What is used for no longer than this is not kept, in seconds: it was only tried. */
const LEAST = 2;

/**
 * What of the desk is used with one piece of work, and how long: of settings, what is other than plain while the sheet is
 * open; of reading aloud and word help, the time they are on. It is a fact about the work, kept with it.
 */
@Injectable()
export class Use {
  private readonly clock = inject(Clock);
  private readonly reader = inject(Reader);
  private readonly context = inject(SheetContext);
  /** What is on: since when, in ms, and whether it was counted as a time already. */
  private readonly on = new Map<Tool, { from: number; readonly isCounted: boolean }>();
  private used: Used = {};
  /** Nobody reads what cannot be seen. */
  private readonly isSeen = signal(!document.hidden);

  constructor() {
    fromEvent(document, 'visibilitychange')
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.isSeen.set(!document.hidden));
    effect(() => {
      const on = new Set<Tool>(this.isSeen() ? inUse(this.reader.comfort()) : []);
      if (this.isSeen() && this.reader.isPlaying()) on.add('aloud');
      if (this.isSeen() && this.reader.isHelping()) on.add('meaning');
      if (this.isSeen() && this.context.isSpoken()) on.add('speak');
      untracked(() => this.turn(on));
    });
  }

  /** What was used since this was asked last. What is still on goes on counting, and is one time. */
  take(): Used {
    const still = [...this.on.keys()];
    this.turn(new Set());
    const used = this.used;
    this.used = {};
    for (const tool of still) this.on.set(tool, { from: this.now(), isCounted: true });
    return used;
  }

  private turn(on: ReadonlySet<Tool>): void {
    for (const [tool, { from, isCounted }] of this.on) {
      if (on.has(tool)) continue;
      const seconds = Math.round((this.now() - from) / 1000);
      if (seconds >= LEAST) this.used = usedTogether(this.used, { [tool]: { times: isCounted ? 0 : 1, seconds } });
      this.on.delete(tool);
    }
    for (const tool of on) if (!this.on.has(tool)) this.on.set(tool, { from: this.now(), isCounted: false });
  }

  private now(): number {
    return this.clock.ms();
  }
}

/** The tools whose settings are other than plain. */
export function inUse(comfort: Comfort): Tool[] {
  const tools = (Object.keys(TOOLS) as Tool[]).filter((t) => t !== 'aloud');
  return tools.filter((t) => TOOLS[t].some((field: keyof Comfort) => comfort[field] !== PLAIN_COMFORT[field]));
}
