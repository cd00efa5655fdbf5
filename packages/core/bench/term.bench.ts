import { closeSync, openSync, writeSync } from 'node:fs';
import { type Asset, BackupWriter, COLLECTIONS } from '../src/index';
import { countAnswers, term } from './term';

/**
 * Writes a backup of a term: its file's name and how many schools are the arguments, 0 for one learner with one piece of
 * work. Says how many answers it holds.
 */
const [, , name = 'term.zip', times = '1'] = process.argv;
const workspace = times === '0' ? term(1, { learners: 1, handOuts: [39] }) : term(Number(times));
const file = openSync(name, 'w');
const writer = new BackupWriter('2026-11-24T09:00:00.000Z', (bytes) => writeSync(file, bytes));
for (const c of COLLECTIONS)
  for (const record of Object.values(workspace[c]))
    if (c === 'assets') writer.addAsset(record as Asset);
    else writer.add(c, record);
writer.end();
closeSync(file);
console.log(countAnswers(workspace));
