// The steps that start, test and the other commands share.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { wordParts } from './words.mjs';

export const root = fileURLToPath(new URL('..', import.meta.url));
const NPM = process.platform === 'win32' ? 'npm.cmd' : 'npm';

export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.error) throw done.error;
  return done.status ?? 1;
}

export function must(command, args, options) {
  const status = run(command, args, options);
  if (status !== 0) process.exit(status);
}

/** Runs several commands side by side; ends with the first that fails once all are done. */
export async function mustAll(commands) {
  const statuses = await Promise.all(
    commands.map(
      ([command, ...args]) =>
        new Promise((done, failed) => {
          spawn(command, args, { cwd: root, stdio: 'inherit' })
            .on('error', failed)
            .on('exit', (status) => done(status ?? 1));
        }),
    ),
  );
  const wrong = statuses.find((s) => s !== 0);
  if (wrong !== undefined) process.exit(wrong);
}

export const bin = (name) => join(root, 'node_modules', '.bin', name);

/** Installs the packages where the lock file has changed since they were. */
export function install() {
  const mark = join(root, 'node_modules', '.lorvet-lock');
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  console.log('Installing packages …');
  must(NPM, ['ci', '--no-audit', '--no-fund']);
  writeFileSync(mark, lock);
}

function* filesIn(path) {
  if (statSync(path).isFile()) {
    yield path;
    return;
  }
  for (const name of readdirSync(path).sort())
    if (!['node_modules', 'dist', '.angular'].includes(name)) yield* filesIn(join(path, name));
}

/** Fonts and decoders that pdf.js asks for while it reads, and fonts to write with: from their packages into what is served. */
export function pdfParts() {
  const from = join(root, 'node_modules/pdfjs-dist');
  const to = join(root, 'packages/web/public/pdf');
  for (const [folder, target, ending] of [
    ['standard_fonts', 'fonts', /\.(pfb|ttf)$/],
    ['cmaps', 'cmaps', /\.bcmap$/],
    ['wasm', 'wasm', /\.(wasm|js)$/],
  ]) {
    mkdirSync(join(to, target), { recursive: true });
    for (const name of readdirSync(join(from, folder)))
      if (ending.test(name) && !existsSync(join(to, target, name)))
        copyFileSync(join(from, folder, name), join(to, target, name));
  }
  // Letters of the PDFs that are written here.
  const letters = join(root, 'node_modules/@fontsource/andika/files');
  mkdirSync(join(to, 'andika'), { recursive: true });
  for (const name of readdirSync(letters))
    if (/^andika-(latin|latin-ext|cyrillic|vietnamese)-(400|700)-normal\.woff$/.test(name))
      copyFileSync(join(letters, name), join(to, 'andika', name));
}

/** The frame that charts are drawn in: a page of its own with what it runs and the letters it measures. */
export function chartRoom() {
  const from = join(root, 'packages/web/src/chart-room');
  const to = join(root, 'packages/web/public/charts');
  const letters =
    '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2';
  mkdirSync(to, { recursive: true });
  copyFileSync(join(from, 'room.html'), join(to, 'room.html'));
  copyFileSync(join(root, 'node_modules', letters), join(to, 'letters.woff2'));
  must(bin('esbuild'), [
    join(from, 'room.ts'),
    '--bundle',
    '--minify',
    '--format=iife',
    '--target=es2022',
    '--log-level=warning',
    `--outfile=${join(to, 'room.js')}`,
  ]);
}

/** The hub with what it takes of the core in one file; packages stay where they are installed. */
function buildHub() {
  const from = join(root, 'packages/hub');
  const { dependencies } = JSON.parse(readFileSync(join(from, 'package.json'), 'utf8'));
  const external = Object.keys(dependencies).filter((name) => !name.startsWith('@lorvet/'));
  must(bin('esbuild'), [
    join(from, 'src/main.ts'),
    join(from, 'src/roster.ts'),
    '--bundle',
    '--platform=node',
    '--target=node20',
    '--format=esm',
    '--log-level=warning',
    `--outdir=${join(from, 'dist')}`,
    ...external.map((name) => `--external:${name}`),
  ]);
}

/** Builds the application and the hub where anything they are made of has changed. */
export function build() {
  pdfParts();
  wordParts(root);
  chartRoom();
  const sources = [
    'package-lock.json',
    'packages/core/src',
    'packages/web',
    'packages/hub/src',
    'packages/hub/tsconfig.json',
  ];
  const hash = createHash('sha256');
  for (const source of sources)
    for (const file of filesIn(join(root, source))) {
      if (/\.spec\.ts$/.test(file)) continue;
      hash.update(file.slice(root.length)).update(readFileSync(file));
    }
  const now = hash.digest('hex');
  const mark = join(root, 'packages/web/dist/.built');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === now) return;
  console.log('Building …');
  must(bin('ng'), ['build'], { cwd: join(root, 'packages/web') });
  buildHub();
  must(process.execPath, ['scripts/press.mjs', 'packages/web/dist']);
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, now);
}

const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';

/** Debian's Chromium: installed where it is missing and may be, else a word on what to install. */
export function chromium() {
  if (existsSync(CHROMIUM)) return;
  const isRoot = process.getuid?.() === 0;
  const apt = existsSync('/usr/bin/apt-get');
  if (apt && isRoot) {
    console.log('Installing Chromium …');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    run('apt-get', ['update', '-qq'], { env });
    if (
      run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { env }) === 0 &&
      existsSync(CHROMIUM)
    )
      return;
  }
  console.error(
    `The interface tests need Chromium at ${CHROMIUM}. Install it ("sudo apt-get install chromium" on Debian), or name another: CHROMIUM=/path/to/chromium npm test`,
  );
  process.exit(1);
}

export const nodeVersion = () => {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Lorvet needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
    process.exit(1);
  }
};
