import { evidenceIn } from '../src/testing/evidence-of';
import { dossier } from '../src/formats/evidence/dossier';
import { evidenceOf, Gathering } from '../src/evidence/gather';
import { copyIdOf, type Learner, listOf, type Workspace } from '../src/index';
import { term } from './term';
import { writeBackupTo } from './write-backup';

/**
 * Writes backups of a term with adjustments (the name of its file is the argument), and says what evidence of all learners
 * costs with ten times the answers.
 */
const [, , name = 'evidence.zip'] = process.argv;
const PERIOD = { from: '', until: '' };
const day = (iso: string) => iso.slice(0, 10);

/** Learners at once, as the application gathers them. */
const PORTION = 30;

/** Milliseconds for the evidence of everybody, hand-out by hand-out as the application gathers it, and as documents. */
function all(w: Workspace): number {
  const from = performance.now();
  const everybody = listOf(w.learners);
  let parts = 0;
  for (let at = 0; at < everybody.length; at += PORTION) parts += documentsOf(w, everybody.slice(at, at + PORTION));
  if (parts === 0) throw new Error('nothing was put together');
  return performance.now() - from;
}

function documentsOf(w: Workspace, learners: readonly Learner[]): number {
  const works = new Map(learners.map((l) => [l.id, [] as NonNullable<ReturnType<Gathering['of']>>[]]));
  for (const handOut of listOf(w.handOuts)) {
    if (!learners.some((l) => Object.hasOwn(handOut.given, l.id))) continue;
    const gathering = new Gathering({ handOut, family: w.families[handOut.familyId], frozen: w.frozen }, day);
    for (const l of learners) {
      const id = copyIdOf(handOut.id, l.id);
      const one = gathering.of(l, { copy: w.copies[id], marking: w.markings[id] });
      if (one) works.get(l.id)?.push(one);
    }
  }
  const options = { privacy: 'full', home: 'en', day, tools: {} } as const;
  let parts = 0;
  for (const learner of learners) {
    const e = evidenceOf({ learner, classes: [], period: PERIOD, works: works.get(learner.id) ?? [], at: '' });
    parts += dossier(e, options).parts.length;
  }
  return parts;
}

const one = term(1, { isAdjusted: true });
writeBackupTo(name, one);
// The engine compiles what it meets often before it counts.
evidenceIn(one, 's0l0');
all(one);
const [, single = 0] = [all(one), all(one), all(one)].sort((a, b) => a - b);
const ten = all(term(10, { isAdjusted: true }));
console.log(
  JSON.stringify([
    {
      figure: 'evidence of all with ten times the answers, to that of a term',
      ratio: Number((ten / single).toFixed(2)),
      'at most': 12,
    },
  ]),
);
