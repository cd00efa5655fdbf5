import { writeFileSync } from 'node:fs';
import { emptyWorkspace, writeBackup } from '../src/index';
import { largeFamily } from './large';

/** Writes a backup with one large family, for the browser to open: the file's name is the first argument. */
const workspace = { ...emptyWorkspace(), families: { large: largeFamily(40, 10, 30, 30) } };
const [, , name = 'large.zip'] = process.argv;
writeFileSync(name, writeBackup(workspace, '2026-01-01T00:00:00.000Z'));
