import { inject, Injectable } from '@angular/core';
import type { Id } from '@lorvet/core';
import { Keeper } from '../platform/storage/keeper';
import { BringActions } from './actions';
import { KeepingSync } from './keeping-sync';
import { Parts } from './parts';
import { WorkspaceStore } from './workspace';

/** Clears what nothing uses any more, to make room. */
@Injectable({ providedIn: 'root' })
export class Clearing {
  private readonly work = inject(WorkspaceStore);
  private readonly parts = inject(Parts);
  private readonly keeper = inject(Keeper);
  private readonly sync = inject(KeepingSync);

  /** Files; one undo brings them back for as long as the page stands. */
  async clear(ids: readonly Id[]): Promise<void> {
    await this.parts.during(async (want) => {
      await want('assets', ids);
      this.work.dispatch(BringActions.assetsCleared({ ids }));
      await this.sync.flush();
    });
    this.keeper.tryAgain();
  }

  /** Activities as they were given out, with their sheets, that no hand-out speaks of any more. */
  async drop(frozen: readonly Id[]): Promise<void> {
    this.keeper.write(
      frozen.flatMap((id) =>
        (['frozen', 'sheets', 'flaps', 'keys'] as const).map((kind) => ({
          kind,
          id,
          before: undefined,
          after: undefined,
        })),
      ),
    );
    await this.keeper.flush();
  }
}
