import { recordSchemas } from '@lorvet/core/records';

/** What records are: read in a turn of its own (main.ts). */
export const KINDS = Object.keys(recordSchemas);
