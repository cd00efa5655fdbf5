// Groups of like or mixed need: the problem, the search, and what a proposal costs in words.
export { evenSizes, type GroupingProblem, type Parting, type Wish, wishSchema } from './problem';
export { groupingInSteps, makeGroups, type GroupProposal } from './make-groups';
export { type Cost, placeAssistants, sayCost, weighGroups } from './weigh';
export { freeNames } from './names';
