import { groupingInSteps, type GroupingProblem, type GroupProposal } from '@lorvet/core';
import { expose } from 'comlink';

const api = {
  /** Proposals, the best first; `tell` is given the share that is done, from 0 to 1. */
  propose(problem: GroupingProblem, seed: number, tell: (share: number) => void): GroupProposal[] {
    const steps = groupingInSteps(problem, { seed });
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      tell(step.value);
    }
  },
};

export type GroupingApi = typeof api;
expose(api);
