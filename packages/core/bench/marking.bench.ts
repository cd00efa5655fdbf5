import { findBlock, isItem } from '../src/index';
import { gatherAlike, type Gathered, markItem } from '../src/marking';
import { workToMark } from './marking';
import { writeBackupTo } from './write-backup';

/** Writes a backup with work to mark; the name of its file is the argument. Says what it takes to gather 400 answers. */
const [, , name = 'marking.zip'] = process.argv;
const workspace = workToMark();
writeBackupTo(name, workspace);

const MOST_MS = 100;
const rows = ['many-q1', 'many-q13'].map((id) => {
  const given = Object.values(workspace.copies).flatMap((copy): Gathered[] => {
    const frozen = workspace.frozen[copy.frozen];
    const item = frozen && copy.handOutId === 'many' ? findBlock(frozen.content, id)?.block : undefined;
    const answer = copy.goes[0]?.answers[id];
    if (!item || !answer || !isItem(item)) return [];
    return [{ key: copy.learnerId, item, answer, verdict: markItem(item, answer).verdict }];
  });
  const times = Array.from({ length: 7 }, () => {
    const from = performance.now();
    gatherAlike(given);
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return {
    figure: `gathering ${given.length} answers to ${id === 'many-q1' ? 'a short text' : 'a longer text'}, to ${MOST_MS} ms`,
    ratio: Number(((times[3] ?? 0) / MOST_MS).toFixed(2)),
    'at most': 1,
  };
});
console.log(JSON.stringify(rows));
