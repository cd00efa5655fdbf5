import { Directive, inject, input, linkedSignal } from '@angular/core';
import type { Block, BlockKindName } from '@lorvet/core';
import { Clock } from '../../platform/clock';

export type BlockOf<K extends BlockKindName> = Extract<Block, { kind: K }>;

/** What every editor of a block kind is given: what the block holds besides its question and its notes. */
@Directive()
export abstract class EditorPart<B extends Block> {
  readonly given = input.required<B>({ alias: 'block' });
  /** The block with what was changed here a moment ago: two changes may come before the page is drawn anew. */
  readonly block = linkedSignal(() => this.given());
  /** Called with the block as it is now; set by the Bench. */
  readonly change = input<(block: Block) => void>(() => undefined);
  private readonly clock = inject(Clock);

  protected newId(): string {
    return this.clock.newId();
  }

  protected set(fields: Partial<B>): void {
    const next = { ...this.block(), ...fields };
    this.block.set(next);
    this.change()(next as Block);
  }
}

/** What a teacher types as several answers: parted by a slash. */
export const several = (text: string): string[] =>
  text
    .split('/')
    .map((t) => t.trim())
    .filter(Boolean);

/** A number as it is typed, within bounds; the old one where it is none. */
export function numberIn(text: string, old: number, low: number, high: number): number {
  const n = text.trim() === '' ? NaN : Number(text.replace(',', '.'));
  return Number.isFinite(n) ? Math.min(high, Math.max(low, n)) : old;
}
