import { Directive, inject, input } from '@angular/core';
import { type Block, type BlockKindName, mostIn } from '@lorvet/core';
import { Clock } from '../../platform/clock';

export type BlockOf<K extends BlockKindName> = Extract<Block, { kind: K }>;
/** What is to become of a block, whatever it is by then: a change never carries words of an older block along. */
export type BlockChange<B extends Block = Block> = (block: B) => B;

/** What every editor of a block kind is given: what the block holds besides its question and its notes. */
@Directive()
export abstract class EditorPart<B extends Block> {
  readonly block = input.required<B>();
  /** Called with what is to become of the block; set by the Bench. */
  readonly change = input<(change: BlockChange) => void>(() => undefined);
  private readonly clock = inject(Clock);

  protected newId(): string {
    return this.clock.newId();
  }

  protected edit(change: BlockChange<B>): void {
    const { kind } = this.block();
    this.change()((b) => (b.kind === kind ? change(b as B) : b));
  }

  /** Gives fields other values, or those that follow from the block; nothing happens where they have them. */
  protected set(fields: Partial<B> | ((block: B) => Partial<B>)): void {
    this.edit((b) => {
      const to = typeof fields === 'function' ? fields(b) : fields;
      return (Object.keys(to) as (keyof B)[]).every((k) => b[k] === to[k]) ? b : { ...b, ...to };
    });
  }

  /** Changes one of the block's lists. */
  protected list<P>(field: keyof B, change: (rows: readonly P[]) => readonly P[]): void {
    this.set((b) => ({ [field]: change(b[field] as readonly P[]) }) as Partial<B>);
  }

  /** How many letters a field holds, by its path in the block ('*': an entry of a list). */
  protected most(...path: string[]): number {
    return mostIn(this.block().kind, ...path);
  }
}

/** What a teacher types as several answers: with a slash between them. */
export const several = (text: string): string[] =>
  text
    .split('/')
    .map((t) => t.trim())
    .filter(Boolean);
/** Letters that a field for several answers takes; each answer has an end of its own. */
export const MOST_SEVERAL = 4000;

/** A number as it is typed, within bounds; the old one where it is none. */
export function numberIn(text: string, old: number, low: number, high: number): number {
  const n = text.trim() === '' ? NaN : Number(text.replace(',', '.'));
  return Number.isFinite(n) ? Math.min(high, Math.max(low, n)) : old;
}
