import type { Injector } from '@angular/core';
import { indexChanges, partsToRemake } from '@lorvet/core';
import { ReducerManager } from '@ngrx/store';
import { learnAllRules } from '../platform/storage/all-rules';
import { EDITS } from './edits';
import { KeepingSync } from './keeping-sync';
import { Recording } from './recording';
import { FEATURE, reducerOf } from './reducer';

/** From now on all that a teacher does can be done here, and all that is kept can be read. */
export function teach(injector: Injector): void {
  learnAllRules();
  injector.get(ReducerManager).addReducer(FEATURE, reducerOf(EDITS));
  const sync = injector.get(KeepingSync);
  sync.follows = indexChanges;
  sync.remade = partsToRemake;
  injector.get(Recording).start();
}
