import { BLOCK_KIND_NAMES } from '@lorvet/core/blocks';

/** What blocks are: read in a turn of its own (main.ts). */
export const KINDS = BLOCK_KIND_NAMES;
