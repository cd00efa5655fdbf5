import { computed, DestroyRef, effect, inject, type Signal, signal } from '@angular/core';
import { type Row } from '../row';

/** From so many rows on only those near what is in sight are drawn, so many at once; each is as high as the others then. */
export const MANY = 40;
const AT_ONCE = 3;

export interface Chunk {
  readonly key: string;
  readonly from: number;
  readonly rows: readonly Row[];
}

/**
 * The rows of the grid in pieces that are drawn or not: what is near comes on the page one piece a frame, so that no frame
 * is long; of few rows all are near. Made where things are injected.
 */
export class GridPieces {
  private readonly near = signal<ReadonlySet<string>>(new Set());
  private readonly drawn = signal<ReadonlySet<string>>(new Set(['0']));

  constructor(
    private readonly rows: Signal<readonly Row[]>,
    /** Whether pieces may come. */
    mayCome: () => boolean,
    /** Whose piece is drawn wherever it is. */
    private readonly chosen: () => string,
  ) {
    let order = '';
    effect(() => {
      const rows = this.rows();
      const now = rows.map((r) => r.learnerId).join(' ');
      // In another order all of them would be another at once: they come one a frame, as when they come in sight.
      if (order && order !== now && rows.length > MANY) this.drawn.set(new Set());
      order = now;
    });
    let frame = 0;
    inject(DestroyRef).onDestroy(() => cancelAnimationFrame(frame));
    effect(() => {
      if (!mayCome()) return;
      const wanted = this.all().filter((k) => this.rows().length <= MANY || this.near().has(k.key));
      const next = wanted.find((k) => !this.drawn().has(k.key));
      cancelAnimationFrame(frame);
      if (!next) return;
      frame = requestAnimationFrame(() => this.drawn.update((all) => new Set([...all, next.key])));
    });
  }

  readonly all = computed((): Chunk[] => {
    const rows = this.rows();
    return Array.from({ length: Math.ceil(rows.length / AT_ONCE) }, (_, i) => ({
      key: `${i}`,
      from: i * AT_ONCE,
      rows: rows.slice(i * AT_ONCE, (i + 1) * AT_ONCE),
    }));
  });

  isDrawn(k: Chunk): boolean {
    return this.drawn().has(k.key) || k.rows.some((r) => r.learnerId === this.chosen());
  }

  see(key: string, isIn: boolean): void {
    if (this.near().has(key) === isIn) return;
    const turned = (all: ReadonlySet<string>) => {
      const now = new Set(all);
      if (isIn) now.add(key);
      else now.delete(key);
      return now;
    };
    this.near.update(turned);
    if (!isIn && this.rows().length > MANY) this.drawn.update(turned);
  }
}
