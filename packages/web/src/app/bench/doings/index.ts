import { type Draft, isDraft, type Proposal } from '@lorvet/core';
import { ANSWERS } from './answers';
import type { Doing } from './doing';
import { HELP } from './help';
import { LOOKS } from './looks';

export { type Doing, type Field, type Selection, type Tools, type Values } from './doing';

/** Everything that can be done with what is chosen. */
export const DOINGS: readonly Doing[] = [...HELP, ...ANSWERS, ...LOOKS];

/** What a doing's proposals come to: the drafts, and in words what was passed over. */
export function settled(proposals: readonly Proposal[]): { drafts: Draft[]; why: string[] } {
  return {
    drafts: proposals.filter(isDraft),
    why: [...new Set(proposals.flatMap((p) => (isDraft(p) ? [] : [p.why])))],
  };
}

/** "fewer choices in 4 items": what undo calls it. */
export function actName(d: Doing, drafts: readonly Draft[]): string {
  const name = d.label.charAt(0).toLowerCase() + d.label.slice(1);
  return drafts.length > 1 ? `${name} in ${drafts.length} places` : name;
}
