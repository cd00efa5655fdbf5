import { z } from '@lorvet/core/desk';
import type { Boxes } from './boxes';
import { Generation } from './generation';

/** A workspace that another took the place of: it can be had back until it is let go. */
const earlierSchema = z.object({ generation: z.string(), at: z.string(), says: z.string() });
export type Earlier = z.infer<typeof earlierSchema>;

const generationsSchema = z.object({ current: z.string(), earlier: z.array(earlierSchema) });
export type Generations = z.infer<typeof generationsSchema>;

const GENERATIONS = 'generations';
const WRITER = 'writer';

/** Which generation is read and written; null where nothing was ever kept here. One record, so that it is exchanged at once. */
export async function readGenerations(boxes: Boxes): Promise<Generations | null> {
  const kept = await boxes
    .root()
    .get(GENERATIONS)
    .catch(() => null);
  const read = generationsSchema.safeParse(kept);
  return read.success ? read.data : await foundAgain(boxes);
}

/** Without that record, or where it is damaged: the newest generation that was written whole stands, and none is let go. */
async function foundAgain(boxes: Boxes): Promise<Generations | null> {
  const all = (await boxes.generations().catch(() => [])).sort().reverse();
  const isWhole = await Promise.all(all.map((g) => new Generation(boxes, g).isWhole().catch(() => false)));
  const whole = all.filter((_, i) => isWhole[i]);
  // Before there was a word for it, only the record itself says that there was a whole one.
  const wasKept = async () => (await boxes.root().keys()).includes(GENERATIONS);
  const found = whole.length === 0 && (await wasKept().catch(() => true)) ? all : whole;
  const [current, ...others] = found;
  const earlier = others.map((generation) => ({ generation, at: '', says: 'found again' }));
  return current === undefined ? null : { current, earlier };
}

export async function writeGenerations(boxes: Boxes, generations: Generations): Promise<void> {
  await boxes.root().set(GENERATIONS, generations);
}

/**
 * Takes the turn of writing: true where nobody else has written since this tab last did, so that all it knows is as it
 * is kept. The caller holds the lock of writing.
 */
export class Turns {
  /** What stands there where this tab wrote last; nothing before its first turn. */
  private mine: string | null = null;
  constructor(
    private readonly boxes: Boxes,
    private readonly tab: string,
  ) {}

  async take(): Promise<boolean> {
    const last = await this.boxes
      .root()
      .get(WRITER)
      .catch(() => '');
    const alone = this.mine !== null && last === this.mine;
    if (!alone) {
      this.mine = this.tab;
      await this.boxes.root().set(WRITER, this.tab);
    }
    return alone;
  }
}

/** Whoever writes next looks first at what was done meanwhile. */
export const endTurns = (boxes: Boxes): Promise<void> => boxes.root().set(WRITER, '');

/** Names of generations sort by their age. */
export const newGeneration = (now: number, chance: string): string => `${now.toString(36).padStart(9, '0')}-${chance}`;
