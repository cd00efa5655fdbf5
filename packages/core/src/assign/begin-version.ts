import type { Support } from '../learners/supports';
import type { Rule } from '../recipe/rules';
import { STARTERS } from '../adjust/sentence-starters';

/** The rules by which a version can be begun that has what another lacks; supports that no rule can make are the teacher's. */
export function rulesForSupports(missing: readonly Support[]): Rule[] {
  return missing.flatMap((s): Rule[] => {
    switch (s) {
      case 'word bank':
        return [{ rule: 'word-bank', distractors: 1 }];
      case 'hints':
        return [{ rule: 'hints', from: 'recall' }];
      case 'two or three choices':
        return [{ rule: 'fewer-choices', most: 3 }];
      case 'glossary':
        return [{ rule: 'glossary', most: 6 }];
      case 'steps to tick':
        return [{ rule: 'steps', least: 2 }];
      case 'sentence starters':
        return [{ rule: 'sentence-starters', starters: [...STARTERS] }];
      default:
        return [];
    }
  });
}

/** What a version that is begun for what others lack is called: "With hints, word bank". */
export const nameForSupports = (missing: readonly Support[]): string =>
  missing.length ? `With ${missing.join(', ')}`.slice(0, 120) : 'Another text';
