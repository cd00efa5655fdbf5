import { copyIdOf, type Response, type Slipped } from '@lorvet/core';
import type { DemoPlace } from './demo-place';

type Place = { readonly work: DemoPlace<unknown>['work'] };

/** What is said to the last go of a learner's survey in the demo. */
export const said = (place: Place, learner: string): Response | undefined =>
  place.work.markings()[copyIdOf('h-survey', learner)]?.responses.at(-1);
/** What of it is on the learner's slip. */
export const slip = (place: Place, learner: string): Slipped['said'] | undefined =>
  place.work.index().slips[learner]?.works['h-survey']?.said;
