/** What teachers ask for, by the words they use, and where it is done: also found where it cannot be done at once. */
export interface KnownTask {
  readonly name: string;
  /** Other words for it. */
  readonly also: string;
  /** Where it is done, in words and as an address. */
  readonly where: string;
  readonly path: string;
}

export const KNOWN_TASKS: readonly KnownTask[] = [
  {
    name: 'New master',
    also: 'begin write activity worksheet task lesson create',
    where: 'on the Shelf',
    path: '/shelf',
  },
  {
    name: 'New version',
    also: 'make copy variant tier differentiate create personal',
    where: 'on the Bench',
    path: '/bench',
  },
  {
    name: 'Make tiers by recipes',
    also: 'levels three groups easier harder quick',
    where: 'on the Bench',
    path: '/bench',
  },
  {
    name: 'Easier or shorter text',
    also: 'simplify reword reading level grade sentences',
    where: 'on the Bench',
    path: '/bench',
  },
  { name: 'Fewer choices', also: 'less options answers reduce', where: 'on the Bench', path: '/bench' },
  {
    name: 'Add a hint, word bank or glossary',
    also: 'help support scaffold words',
    where: 'on the Bench',
    path: '/bench',
  },
  { name: 'More time', also: 'extra minutes clock', where: 'on the Bench', path: '/bench' },
  {
    name: 'Decide what waits',
    also: 'upkeep merge changed conflict correction',
    where: 'on the Bench',
    path: '/bench',
  },
  { name: 'Print on paper', also: 'pdf printer sheet hard copy', where: 'on the Bench, under Look', path: '/bench' },
  {
    name: 'Bring in material',
    also: 'import file word pdf document scan upload docx',
    where: 'under Bring in',
    path: '/bring-in',
  },
  {
    name: 'Find a question used before',
    also: 'search bank item reuse material resources',
    where: 'in the Bank',
    path: '/bank',
  },
  {
    name: 'My list of objectives',
    also: 'standards curriculum framework case goals',
    where: 'in the Bank',
    path: '/bank',
  },
  { name: 'Add a learner', also: 'pupil student child new name', where: 'under Learners', path: '/learners' },
  {
    name: 'Import a class list',
    also: 'csv pupils students roster upload spreadsheet',
    where: 'under Learners',
    path: '/learners',
  },
  { name: 'Needs card', also: 'support accommodation plan profile agreed', where: 'under Learners', path: '/learners' },
  {
    name: 'Plan a hand-out',
    also: 'assign give out distribute new set schedule date due',
    where: 'under Hand-outs',
    path: '/hand-outs',
  },
  { name: 'Mark work', also: 'grade correct check answers results points', where: 'under Marking', path: '/marking' },
  { name: 'Save a backup', also: 'export keep safe download copy', where: 'under Keeping', path: '/keeping' },
  {
    name: 'Bring back what was removed',
    also: 'restore deleted trash bin undo',
    where: 'under Keeping',
    path: '/keeping',
  },
  { name: 'Set the lock', also: 'password passphrase pin hand machine over', where: 'under Keeping', path: '/keeping' },
];
