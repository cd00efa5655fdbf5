import { indexSchemas, recordSchemas } from '@lorvet/core';

/** What records are, read before everything else is: taken in together they would hold the page for too long at once. */
export const KINDS_READY = Object.keys(recordSchemas).length + Object.keys(indexSchemas).length;
