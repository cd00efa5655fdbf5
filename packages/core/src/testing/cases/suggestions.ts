import { suggest } from '../../assign/suggest';
import { demoWorkspace } from '../../demo/index';
import { EMPTY_NEEDS, type Learner, NO_PERSON } from '../../learners/learner';
import { agreed } from '../../learners/supports';
import { levelSchema } from '../../learners/levels';
import { type CaseSet, listOf } from './case-set';

const families = demoWorkspace(Date.UTC(2026, 10, 24)).families;

/** A learner with a card of a few words. */
const learnerOf = (reads: string, supports: readonly string[], wantsMore: boolean, interests: string[]): Learner => ({
  ...NO_PERSON,
  id: 'l',
  name: 'A learner',
  needs: {
    ...EMPTY_NEEDS,
    levels: reads ? [levelSchema.parse({ skill: 'reading', scale: 'grade', value: Number(reads) })] : [],
    supports: supports.map(agreed),
    wantsMore,
    interests,
  },
});

export const suggestions: CaseSet = {
  name: 'suggestions',
  file: 'suggestions.csv',
  says: (r) => {
    const family = families[r['activity'] ?? ''];
    if (!family) throw new Error(`docs/cases/suggestions.csv: there is no activity “${r['activity']}”.`);
    const list = (cell: string | undefined) => listOf(cell, ';').filter(Boolean);
    const learner = learnerOf(r['reads'] ?? '', list(r['supports']), r['wants more'] === 'yes', list(r['interests']));
    const [s] = suggest(family, [learner]);
    if (!s || s.fit === 'no opinion') return 'no opinion';
    const name = family.versions.find((v) => v.id === s.versionId)?.name ?? 'Master';
    return `${s.fit} ${name}${s.lacks.length ? `: ${s.lacks.join(', ')}` : ''}`;
  },
};
