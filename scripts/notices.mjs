// Writes THIRD-PARTY.md from the packages that ship with the application: node scripts/notices.mjs
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './steps.mjs';

const manifest = (folder) => JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
const seen = new Map();

function visit(name, from) {
  let folder = from;
  while (!existsSync(join(folder, 'node_modules', name))) {
    const up = join(folder, '..');
    if (up === folder) return;
    folder = up;
  }
  folder = join(folder, 'node_modules', name);
  const { version, license, dependencies = {} } = manifest(folder);
  if (seen.has(`${name}@${version}`) || name.startsWith('@lorvet/')) return;
  const file = readdirSync(folder).find((f) => /^licen[cs]e(\.\w+)?$/i.test(f));
  const text = file ? readFileSync(join(folder, file), 'utf8') : '';
  const holder = /^.*copyright (?:\(c\)|©|\d{4}).*$/im.exec(text)?.[0].trim() ?? '';
  seen.set(`${name}@${version}`, {
    name,
    version,
    license: /SEE LICENSE/.test(license ?? '') ? 'MIT (community version)' : license,
    holder,
  });
  for (const d of Object.keys(dependencies)) visit(d, folder);
}

for (const room of ['core', 'web', 'hub'])
  for (const name of Object.keys(manifest(join(root, 'packages', room)).dependencies))
    visit(name, join(root, 'packages', room));

const rows = [...seen.values()].sort((a, b) => a.name.localeCompare(b.name));
const clean = (s) =>
  s
    .replace(/[|<>*]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
writeFileSync(
  join(root, 'THIRD-PARTY.md'),
  `# Third-party notices

What ships with the application or serves it, each under its own licence; the full texts are in the packages, and those of
the browser part are gathered at build in \`packages/web/dist/3rdpartylicenses.txt\`. The fonts are under the SIL Open Font
License 1.1. The word list of \`dale-chall\` is that of the 1995 formula. The meanings and simpler words are made from WordNet 3.1,
Copyright 2011 by Princeton University, under its own licence; the pictures of words are from OpenMoji 17
(openmoji.org, the open-source emoji and icon project), under CC BY-SA 4.0.

| package | version | licence | notice |
|---|---|---|---|
${rows.map((r) => `| ${r.name} | ${r.version} | ${clean(String(r.license))} | ${clean(r.holder)} |`).join('\n')}
`,
);
console.log(`${rows.length} packages`);
