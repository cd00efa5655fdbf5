import { inject, Injectable, signal } from '@angular/core';
import { BOXES } from './boxes-token';
import { Generation } from './generation';
import { Keeper } from './keeper';
import { exchangeOf, Opener, type Opened } from './opening';
import { type Earlier, endTurns, newGeneration, readGenerations, writeGenerations } from './root';

/**
 * Puts another workspace in the place of what is kept: it is written beside it and exchanged for it when it is whole, so
 * that whatever happens meanwhile, one of the two is kept and never a mixture. What was there is put away and can be had
 * back until it is let go.
 */
@Injectable({ providedIn: 'root' })
export class Exchange {
  private readonly boxes = inject(BOXES);
  private readonly keeper = inject(Keeper);
  private readonly opener = inject(Opener);
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('lorvet-exchange');
  /** Workspaces that were put away, the newest first. */
  readonly earlier = signal<readonly Earlier[]>([]);

  /** Another tab has exchanged the workspace. */
  onExchanged(listener: () => void): void {
    this.channel?.addEventListener('message', listener);
  }

  async list(): Promise<void> {
    this.earlier.set((await readGenerations(this.boxes))?.earlier ?? []);
  }

  /**
   * Another workspace in place of what is kept. `says` is what is there now, in words; empty where there is nothing worth
   * putting away. Where `fill` fails, all is as it was.
   */
  async with(fill: (generation: Generation) => Promise<void>, says: string): Promise<Opened> {
    await this.keeper.flush();
    const id = newGeneration(Date.now(), crypto.randomUUID().slice(0, 8));
    const generation = new Generation(this.boxes, id);
    await this.boxes.alone(exchangeOf(id), async () => {
      try {
        await fill(generation);
      } catch (error) {
        await generation.drop().catch(() => undefined);
        throw error;
      }
      await this.point(id, says);
      // Only now: until then nothing may take it for what is kept.
      await generation.finish().catch(() => undefined);
    });
    return await this.changed(id);
  }

  /** A workspace that was put away, in place of what is kept; what is kept is put away in its turn. */
  async back(generation: string, says: string): Promise<Opened> {
    await this.keeper.flush();
    await this.point(generation, says);
    return await this.changed(generation);
  }

  /** Lets go of a workspace that was put away, for good. */
  async drop(generation: string): Promise<void> {
    await this.boxes.alone('write', async () => {
      const now = await readGenerations(this.boxes);
      if (!now || now.current === generation) return;
      await writeGenerations(this.boxes, {
        ...now,
        earlier: now.earlier.filter((e) => e.generation !== generation),
      });
    });
    await this.boxes.drop(generation);
    await this.list();
  }

  private async point(to: string, says: string): Promise<void> {
    await this.boxes.alone('write', async () => {
      const now = await readGenerations(this.boxes);
      const earlier = (now?.earlier ?? []).filter((e) => e.generation !== to);
      const left: Earlier[] =
        now && says ? [{ generation: now.current, at: new Date().toISOString(), says }, ...earlier] : earlier;
      await writeGenerations(this.boxes, { current: to, earlier: left });
      await endTurns(this.boxes);
      if (now && !says) await this.boxes.drop(now.current).catch(() => undefined);
    });
  }

  private async changed(id: string): Promise<Opened> {
    this.channel?.postMessage(id);
    const opened = await this.opener.openGeneration(id);
    await this.list();
    return opened;
  }
}
