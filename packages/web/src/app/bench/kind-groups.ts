import { BLOCK_KIND_NAMES, blockKinds, type BlockKindName } from '@lorvet/core';

const choices = (kinds: readonly BlockKindName[]) => kinds.map((kind) => ({ kind, label: blockKinds[kind].label }));
const isAnswer = (kind: BlockKindName) => blockKinds[kind].item !== null;

/** What a teacher adds most, one press away. */
export const FIRST_KINDS = choices([
  'heading',
  'text',
  'instruction',
  'picture',
  'teacher-note',
  'single-choice',
  'multiple-choice',
  'short-text',
  'long-text',
  'number',
  'gaps',
]);

/** Every kind, content and answers apart. */
export const KIND_GROUPS = [
  { label: 'Content', kinds: choices(BLOCK_KIND_NAMES.filter((k) => !isAnswer(k))) },
  { label: 'Ways to answer', kinds: choices(BLOCK_KIND_NAMES.filter(isAnswer)) },
];

/** What can sensibly be laid over a picture. */
export const LAID_KINDS = choices([
  'short-text',
  'number',
  'long-text',
  'single-choice',
  'multiple-choice',
  'drawing',
  'steps',
  'paper',
]);
