import { countAnswers, term } from './term';
import { writeBackupTo } from './write-backup';

/**
 * Writes a backup of a term: its file's name and how many schools are the arguments, 0 for one learner with one piece of
 * work. Says how many answers it holds.
 */
const [, , name = 'term.zip', times = '1'] = process.argv;
const workspace = times === '0' ? term(1, { learners: 1, handOuts: [39] }) : term(Number(times));
writeBackupTo(name, workspace);
console.log(countAnswers(workspace));
