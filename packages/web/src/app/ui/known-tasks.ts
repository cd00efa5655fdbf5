/** What teachers ask for, by the words they use, and where it is done: also found where it cannot be done at once. */
export interface KnownTask {
  readonly name: string;
  /** Other words for it. */
  readonly also: string;
  /** Where it is done, in words and as an address. */
  readonly where: string;
  readonly path: string;
  /** What is pressed there, or filled in, by its name; without it, the place itself is what was meant. */
  readonly press?: string;
  /** Done to the master, whichever version is open. */
  readonly master?: boolean;
}

const at =
  (where: string, path: string) =>
  (name: string, also: string, press?: string, more = ''): KnownTask => ({
    name,
    also,
    where: where + more,
    path,
    ...(press && { press }),
    ...(more === MASTER && { master: true }),
  });

const MASTER = ', at the master';
const VERSION = ', at a version';
const BLOCK = ': open a version, choose a block';
const shelf = at('on the Shelf', '/shelf');
const bench = at('on the Bench', '/bench');
const bank = at('in the Bank', '/bank');
const learners = at('under Learners', '/learners');
const handOuts = at('under Hand-outs', '/hand-outs');
const keeping = at('under Keeping', '/keeping');

export const KNOWN_TASKS: readonly KnownTask[] = [
  shelf('New master', 'begin write activity worksheet task lesson create', 'New master'),
  shelf('Family from a file', 'import open zip take in colleague', 'Family from a file'),
  bench('New version', 'make copy variant tier differentiate create personal', 'New version'),
  bench('Make tiers by recipes', 'levels three groups easier harder quick', 'Make tiers by recipes'),
  bench('History and picture', 'revisions earlier restore tree family', 'History and picture'),
  bench('Answer sheet', 'letters key bubble questions pdf', 'Answer sheet', MASTER),
  bench('New page', 'add sheet', 'New page', MASTER),
  bench('Recipes', 'rules apply run keep', 'Recipes', VERSION),
  bench('Compare with another version', 'differences side by side', 'Compare with another version', VERSION),
  bench('From another activity', 'take over reuse page block', 'Do with the whole version', VERSION),
  bench('Easier or shorter text', 'simplify reword reading level grade sentences', undefined, BLOCK),
  bench('Fewer choices', 'less options answers reduce', undefined, BLOCK),
  bench('Add a hint, word bank or glossary', 'help support scaffold words', undefined, BLOCK),
  bench('More time', 'extra minutes clock', undefined, VERSION),
  bench('Decide what waits', 'upkeep merge changed conflict correction', 'Open upkeep'),
  bench('Print on paper', 'pdf printer sheet hard copy', undefined, ', under Look'),
  at('under Bring in', '/bring-in')(
    'Bring in material',
    'import file word pdf document scan upload docx',
    'Choose a file',
  ),
  bank('Find a question used before', 'search bank item reuse material resources'),
  bank('My list of objectives', 'standards curriculum framework case goals', 'Objectives'),
  learners('New learner', 'add pupil student child name', 'New learner'),
  learners('Import a class list', 'csv pupils students roster upload spreadsheet', 'Import a class list'),
  learners('Make groups', 'team pair partner mixed ability alike sort', 'Make groups …'),
  learners('The school’s list', 'roster classes service follow oneroster import export', 'The school’s list'),
  learners('New audience', 'rule named choice everyone with'),
  learners('Needs card', 'support accommodation plan profile agreed'),
  handOuts('Plan a hand-out', 'assign give out distribute new set schedule date due', 'New hand-out'),
  at('under Marking', '/marking')('Mark work', 'grade correct check answers results points'),
  keeping('Save a backup', 'export keep safe download copy', 'Save a backup'),
  keeping('Restore a backup', 'import bring back zip other computer', 'Backup file'),
  keeping('Take in answers', 'file desk hand in import', 'File of answers'),
  keeping('Bring back what was removed', 'restore deleted trash bin undo', 'Removed things'),
  keeping('Set the lock', 'password passphrase pin hand machine over', 'Set the lock'),
  keeping('Picture codes', 'sign in login little ones', 'Picture codes'),
  keeping('See what takes the room', 'storage space full size', 'See what takes the room'),
  keeping('Lay out the demo', 'example sample try anew', 'Lay out the demo'),
];
