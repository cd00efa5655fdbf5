// Presses what is served once, when it is built, as small as it goes: node scripts/press.mjs FOLDER
import { readdirSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';

const press = promisify(brotliCompress);
const params = { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY };

const folder = process.argv[2];
const files = ['.', 'charts']
  .flatMap((part) => readdirSync(join(folder, part)).map((f) => join(part, f)))
  .filter((f) => /\.(js|css|svg)$/.test(f));
await Promise.all(
  files.map(async (f) => {
    const whole = await readFile(join(folder, f));
    const pressed = await press(whole, { params });
    if (pressed.length < whole.length) await writeFile(join(folder, `${f}.br`), pressed);
  }),
);
