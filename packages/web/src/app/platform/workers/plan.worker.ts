import { type Family, type Learner, lookOver, type PlanFinding } from '@lorvet/core';
import { coverage, suggest, type Suggestion } from '@lorvet/core/measures';
import { expose } from 'comlink';

export interface PlanChecked {
  readonly found: readonly PlanFinding[];
  /** What stands in the sheets that may not be meant for learners. */
  readonly shown: ReturnType<typeof lookOver>;
}

let family: Family | undefined;

const api = {
  /** The activity that is spoken of from now on; undefined for a notice or a folder. */
  take(now: Family | undefined): void {
    family = now;
  },
  check(
    handOut: Parameters<typeof coverage>[0],
    people: Parameters<typeof coverage>[2],
    now: string,
    more: Parameters<typeof coverage>[4],
  ): PlanChecked {
    return {
      found: coverage(handOut, family, people, now, more),
      shown: family ? lookOver(handOut, family, people) : [],
    };
  },
  suggest(learners: readonly Learner[], today: string): Suggestion[] {
    return family ? suggest(family, learners, today) : [];
  },
};

export type PlanApi = typeof api;
expose(api);
