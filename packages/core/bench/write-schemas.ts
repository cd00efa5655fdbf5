import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { SCHEMAS } from './schemas';

/** Writes the published schemas; the folder is the argument. */
for (const [name, schema] of Object.entries(SCHEMAS)) writeFileSync(join(process.argv[2] ?? '.', name), schema());
