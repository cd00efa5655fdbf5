import type { Learner } from '../learners/learner';
import type { Evidence } from './evidence';

/** In place of the learner's name, and of any other learner's. */
export const THE_LEARNER = 'the learner';
export const ANOTHER = 'another learner';
/** Who made an adjustment has a name too. */
const THE_TEACHER = 'the teacher';

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const wordsOf = (name: string): string[] => name.split(/[\s,]+/).filter(Boolean);
/** A part of a name that stands for somebody wherever it is written as names are. */
const isTelling = (word: string): boolean => /^[\p{Lu}\p{Lo}][\p{L}\p{M}'’-]+$/u.test(word);
const initialsOf = (name: string): string[] => {
  const letters = wordsOf(name).flatMap((w) => /^\p{L}/u.exec(w)?.[0].toUpperCase() ?? []);
  if (letters.length < 2) return [];
  return [letters.map((l) => `${l}.`).join(' '), letters.map((l) => `${l}.`).join(''), letters.join('')];
};

const EDGE_BEFORE = '(?<![\\p{L}\\p{M}\\p{N}])';
const EDGE_AFTER = '(?![\\p{L}\\p{M}\\p{N}])';
const flat = (text: string): string => text.trim().replace(/\s+/g, ' ');
/** Any of these texts as a word; longer ones first, so that no part is left. Spaces are any spaces: a line may end there. */
function anyOf(texts: Iterable<string>, flags: string): RegExp | null {
  const all = [...texts].sort((a, b) => b.length - a.length);
  const one = (t: string) => `${escaped(t).replace(/ /g, '\\s+')}${/\p{L}$/u.test(t) ? EDGE_AFTER : ''}`;
  return all.length ? new RegExp(`${EDGE_BEFORE}(?:${all.map(one).join('|')})`, flags) : null;
}

type Named = Pick<Learner, 'id' | 'name' | 'chosenName'>;
/** Takes names out of texts. */
export type Unnamed = (text: string) => string;

/**
 * Puts “the learner” in place of every name, called name, part of a name and initials of one learner's, and “another
 * learner” in place of those of all others. Whole names count in any case, parts and initials as names are written.
 */
export function unnaming(learners: readonly Named[]): (learnerId: string) => Unnamed {
  const whole = new Map<string, Set<string>>();
  const parts = new Map<string, Set<string>>();
  const note = (map: Map<string, Set<string>>, text: string, id: string) => {
    if (text) map.set(text, (map.get(text) ?? new Set()).add(id));
  };
  for (const l of learners)
    for (const name of [flat(l.name), flat(l.chosenName)]) {
      note(whole, name.toLowerCase(), l.id);
      for (const p of wordsOf(name).filter(isTelling)) {
        note(parts, p, l.id);
        if (p.length > 2) note(parts, p.toUpperCase(), l.id);
      }
      for (const i of initialsOf(name)) note(parts, i, l.id);
    }
  const [ofWhole, ofParts] = [anyOf(whole.keys(), 'giu'), anyOf(parts.keys(), 'gu')];
  return (learnerId) => {
    const says = (of: ReadonlySet<string> | undefined) => (of?.has(learnerId) ? THE_LEARNER : ANOTHER);
    return (text) => {
      const out = ofWhole ? text.replace(ofWhole, (m) => says(whole.get(flat(m).toLowerCase()))) : text;
      return ofParts ? out.replace(ofParts, (m) => says(parts.get(flat(m)))) : out;
    };
  };
}

/** Ids tell names too: each is another number here, the same one wherever it stands. */
function numbering(): (id: string) => string {
  const known = new Map<string, string>();
  return (id) => {
    if (!id) return '';
    const n = known.get(id) ?? `n${known.size + 1}`;
    known.set(id, n);
    return n;
  };
}

/** The evidence with nobody's name in it, nor an id or address that could tell one; photographs are left out. */
export function withoutNames(evidence: Evidence, unnamed: Unnamed): Evidence {
  const numbered = numbering();
  const id = (text: string) => numbered(text);
  return {
    ...evidence,
    learner: { id: id(evidence.learner.id), name: THE_LEARNER, called: THE_LEARNER, classes: [] },
    goals: evidence.goals.map((g) => ({ ...g, id: id(g.id), text: unnamed(g.text), measure: unnamed(g.measure) })),
    supports: evidence.supports.map((s) => ({
      ...s,
      what: unnamed(s.what),
      note: unnamed(s.note),
      given: s.given.map((g) => ({ ...g, handOutId: id(g.handOutId), title: unnamed(g.title) })),
      lacking: s.lacking.map((g) => ({ ...g, handOutId: id(g.handOutId), title: unnamed(g.title) })),
    })),
    works: evidence.works.map((w) => ({
      ...w,
      handOutId: id(w.handOutId),
      title: unnamed(w.title),
      familyId: id(w.familyId),
      activity: unnamed(w.activity),
      versionId: w.versionId === null ? null : id(w.versionId),
      versionName: unnamed(w.versionName),
      sheet: id(w.sheet),
      adjustments: w.adjustments.map((a) => ({
        ...a,
        adjustmentId: id(a.adjustmentId),
        versionId: id(a.versionId),
        versionName: unnamed(a.versionName),
        name: unnamed(a.name),
        sentence: unnamed(a.sentence),
        why: unnamed(a.why),
        overruled: a.overruled && { ...a.overruled, reason: unnamed(a.overruled.reason) },
        reason: unnamed(a.reason),
        goal: a.goal && { id: id(a.goal.id), text: unnamed(a.goal.text) },
        author: a.author && THE_TEACHER,
      })),
      sides: w.sides.map((s) => ({
        ...s,
        blockId: id(s.blockId),
        page: unnamed(s.page),
        master: unnamed(s.master),
        learner: unnamed(s.learner),
        adjustmentIds: s.adjustmentIds.map(id),
        answer: unnamed(s.answer),
      })),
      goes: w.goes.map((g) => ({ ...g, comment: unnamed(g.comment) })),
    })),
    notes: evidence.notes.flatMap((n) =>
      n.text ? [{ ...n, id: id(n.id), text: unnamed(n.text), assetId: '', handOutId: id(n.handOutId) }] : [],
    ),
    reviews: evidence.reviews.map((r) => ({ ...r, said: unnamed(r.said), changes: r.changes.map(unnamed) })),
    stressed: evidence.stressed.map((key) =>
      key
        .split('/')
        .map((part) => (part === 'note' ? part : id(part)))
        .join('/'),
    ),
  };
}
