// What helps: figures over all that was given. With what marks, and with what measures.
export { type Drift, driftOf } from './helps/drift';
export {
  byVersion,
  FEW,
  goalsOverTime,
  itemFigures,
  type Move,
  moves,
  type OfItem,
  type OfSupport,
  type OfVersion,
  overTime,
  type Series,
  type Share,
  withSupports,
} from './helps/figures';
export { seenWork, type SeenWork } from './helps/seen';
export { measureFamily } from './measure/measure';
export { itemsOf } from './activity/activity';
export { questionNumbers } from './activity/numbering';
export { latest } from './activity/family';
export { type HelpSuggestion, helpSuggestions } from './helps/suggestions';
export { takeUp, type TakenUp } from './helps/take-up';
