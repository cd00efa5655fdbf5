import { inject, type Signal } from '@angular/core';
import type { Id } from '@lorvet/core';
import { Parts } from './parts';
import { wantFamily } from './wants';
import { WorkspaceStore } from './workspace';

/**
 * Holds a family for as long as the part that calls it stands: with the activities it takes parts from, and those whose
 * versions follow it. True once all of it has come.
 */
export function holdFamily(id: () => Id | null | undefined): Signal<boolean> {
  const work = inject(WorkspaceStore);
  return inject(Parts).hold(
    () => id() || null,
    (familyId, want) => {
      const followers = work.familyHeads().filter((h) => h.takesFrom.includes(familyId));
      return wantFamily(
        familyId,
        want,
        work.doc,
        followers.map((h) => h.id),
      );
    },
  );
}
