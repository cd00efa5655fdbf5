import type { Entry } from '../../keep/chronicle';
import { csvWritten } from '../csv-written';

/** The record, or a part of it, as a table: with the hashes, so that the chain can be checked without Lorvet. */
export const chronicleCsv = (entries: readonly Entry[]): string =>
  csvWritten(
    ['Number', 'When', 'By', 'What', 'In words', 'Records', 'Hash before', 'Hash'],
    entries.map((e) => [
      ...[e.n, e.at, e.by, e.did, e.says, e.of.map((o) => `${o.in}/${o.id}`).join(' '), e.before, e.hash],
    ]),
  );
