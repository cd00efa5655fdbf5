import type { Id } from '../../activity/block';
import type { Family } from '../../activity/family';
import type { Learner } from '../../learners/learner';
import type { People } from '../../learners/people';
import type { SchoolDays } from '../dates';
import type { HandOut } from '../hand-out';

/** Where a finding is put right. */
export type Mend =
  | 'who'
  | 'how'
  | 'when'
  | 'what'
  | 'row'
  | 'teams'
  | 'places'
  | 'suggestions'
  | 'all'
  | 'upkeep'
  | 'bench'
  | 'card'
  | 'title'
  | 'keeping';

/** What is found about a plan. An error must be put right before giving out; a warning may stay, with a reason; a note only says. */
export interface Finding {
  readonly code: string;
  /** The same for the same finding, however often it is looked for: a reason that was given belongs to it. */
  readonly key: string;
  readonly level: 'mend' | 'confirm' | 'note';
  readonly title: string;
  readonly detail: string;
  readonly mend: Mend;
  readonly learnerIds: readonly Id[];
  readonly versionId?: Id | null;
}

/** Another hand-out, as far as it can be taken for this one. */
export interface Beside {
  readonly id: Id;
  readonly title: string;
  readonly learnerIds: readonly Id[];
}

/** What a check knows. `now` is local, 'yyyy-MM-ddTHH:mm'. */
export interface CheckContext {
  readonly handOut: HandOut;
  /** The activity; undefined for a notice or a folder. */
  readonly family: Family | undefined;
  readonly people: People;
  /** Whom it is for. */
  readonly audience: readonly Learner[];
  readonly now: string;
  readonly days: SchoolDays;
  readonly others: readonly Beside[];
}

export const finding = (
  level: Finding['level'],
  code: string,
  mend: Mend,
  title: string,
  detail: string,
  of: { readonly learners?: readonly Learner[]; readonly versionId?: Id | null; readonly about?: string } = {},
): Finding => ({
  code,
  key: [code, of.about ?? '', of.versionId ?? ''].join(' ').slice(0, 200),
  level,
  title,
  detail,
  mend,
  learnerIds: (of.learners ?? []).map((l) => l.id),
  ...(of.versionId === undefined ? {} : { versionId: of.versionId }),
});

/** “Oriel P., Jory S. and 4 more”. */
export const named = (learners: readonly Learner[], most = 4): string =>
  learners.length <= most
    ? learners.map((l) => l.name).join(', ')
    : `${learners
        .slice(0, most)
        .map((l) => l.name)
        .join(', ')} and ${learners.length - most} more`;
