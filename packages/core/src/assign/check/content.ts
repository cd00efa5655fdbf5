import type { Id } from '../../activity/block';
import { findBlock } from '../../activity/activity';
import type { Family } from '../../activity/family';
import { derive } from '../../derive/derive';
import { numbersLeft } from '../../derive/numbers-left';
import { counted } from '../../counted';
import type { Learner } from '../../learners/learner';
import { type Finding, finding } from './finding';
import { plainTextOf } from '../../activity/plain-text';

/** What is wrong or unusual in one version that is given. */
export function checkContent(
  family: Family,
  versionId: Id | null,
  name: string,
  learners: readonly Learner[],
): Finding[] {
  const out: Finding[] = [];
  const of = { learners, versionId };
  const { content } = derive(family, versionId);
  const begins = (id: Id) => {
    const b = findBlock(content, id)?.block;
    return b ? `“${plainTextOf(b).replace(/\s+/g, ' ').trim().slice(0, 60)}”` : '';
  };
  const old = numbersLeft(family, versionId);
  if (old[0])
    out.push(
      finding(
        'confirm',
        'old-numbers',
        'bench',
        counted(
          old.length,
          'A question has other numbers, and words with it speak of the old ones',
          '{n} places speak of numbers that are others here',
        ),
        `In ${name}: ${begins(old[0])}. Look at its hint, its flap and the examples beside it.`,
        { ...of, about: old.join(',') },
      ),
    );
  return out;
}
