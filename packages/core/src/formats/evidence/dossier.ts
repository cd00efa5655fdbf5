import { pieceKey, noteKey } from '../../evidence/folder';
import type { Adjusted, Evidence, EvidenceWork, GoOf, Side } from '../../evidence/evidence';
import { counted } from '../../counted';
import { textChanges } from '../../upkeep/merge-text';
import type { Category } from '../../adjust/category';
import type { ReportLanguage } from '../report/report-words';
import type { DocumentPart, PrintedDocument } from './document';
import { FAMILY_WORDS } from './family-words';

/** Everything; for the family, in plain words; or with nobody's name. What is without names was put so before it comes here. */
export type Privacy = 'full' | 'family' | 'without names';

export interface DossierOptions {
  readonly privacy: Privacy;
  /** The language at home, for the family's words. */
  readonly home: ReportLanguage;
  /** A day (ISO) as the reader writes days. */
  readonly day: (iso: string) => string;
  /** What tools of the desk are called. */
  readonly tools: Readonly<Record<string, string>>;
}

const COUNTS_AS: Readonly<Record<Adjusted['countsAs'], string>> = {
  accommodation: 'Accommodation',
  modification: 'Modification',
  addition: 'Addition',
  'to judge': 'To judge',
  '': 'Not known',
};
const PLAINLY: typeof COUNTS_AS = {
  accommodation: 'The same goal, another way',
  modification: 'Another goal',
  addition: 'Something more',
  'to judge': 'Not decided yet',
  '': '',
};
/** Practice categories, as a family reads them. */
const CATEGORY_PLAINLY: Readonly<Record<Category, string>> = {
  presentation: 'how it looks and sounds',
  response: 'how it is answered',
  timing: 'how long there is',
  setting: 'where it is done',
  content: 'what is asked',
  support: 'what helps',
  challenge: 'what goes further',
};
const VERDICTS: Readonly<Record<Side['verdict'], string>> = {
  right: 'Right',
  partly: 'Partly right',
  'not-yet': 'Not yet',
  empty: 'Nothing given',
  yours: 'To be judged',
  '': '',
};

export const workAnchor = (handOutId: string): string => `work-${handOutId}`;

export const words = (text: string): DocumentPart => ({ is: 'words', text });
export const small = (text: string): DocumentPart => ({ is: 'small', text });
export const heading = (level: 1 | 2 | 3, text: string, anchor?: string): DocumentPart =>
  anchor === undefined ? { is: 'heading', level, text } : { is: 'heading', level, text, anchor };
const facts = (all: readonly (readonly [string, string])[]): DocumentPart[] => {
  const known = all.filter(([, value]) => value);
  return known.length ? [{ is: 'facts', facts: known }] : [];
};
const joined = (...parts: readonly string[]): string => parts.filter(Boolean).join(', ');

/** One learner's evidence as a document. */
export function dossier(e: Evidence, options: DossierOptions): PrintedDocument {
  const { privacy } = options;
  const title =
    privacy === 'family' ? `How school helped ${e.learner.called}` : `What was adjusted for ${e.learner.name}`;
  return {
    language: 'en',
    title,
    foot: `${title} · ${periodSaid(e, options)}`,
    parts: [
      { is: 'title', text: title },
      small(joined(e.learner.classes.join(', '), periodSaid(e, options))),
      words(summary(e, options)),
      { is: 'contents', text: 'Contents' },
      ...supportsOf(e, options),
      ...goalsOf(e, options),
      heading(1, privacy === 'family' ? 'The work, one by one' : 'What was given'),
      ...(e.works.length ? e.works.flatMap((w) => workOf(e, w, options)) : [words('Nothing was given in this time.')]),
      ...notesOf(e, options),
      ...reviewsOf(e, options),
      ...glossaryOf(options),
      ...signaturesOf(options),
    ],
  };
}

export function periodSaid(
  { period: { from, until } }: Pick<Evidence, 'period'>,
  { day }: Pick<DossierOptions, 'day'>,
): string {
  if (from && until) return `${day(from)} to ${day(until)}`;
  if (from) return `from ${day(from)}`;
  return until ? `until ${day(until)}` : 'all that was given';
}

/** What the whole comes to, in a sentence or two. */
export function summary(e: Evidence, { privacy }: Pick<DossierOptions, 'privacy'>): string {
  const all = e.works.flatMap((w) => w.adjustments);
  const are = (what: Adjusted['countsAs']) => all.filter((a) => a.countsAs === what).length;
  const kinds = privacy === 'family' ? FAMILY_COUNTS : TRADE_COUNTS;
  const parts = kinds.flatMap(([what, one, other]) => (are(what) ? [counted(are(what), one, other)] : []));
  const works = counted(e.works.length, '1 piece of work', '{n} pieces of work');
  const gaps = e.supports.filter((s) => s.lacking.length).length;
  const lacking =
    privacy === 'family'
      ? counted(
          gaps,
          ' One agreed support was not there every time.',
          ' {n} agreed supports were not there every time.',
        )
      : counted(gaps, ' One agreed support lacked at least once.', ' {n} agreed supports lacked at least once.');
  return `${works}, ${counted(all.length, '1 adjustment', '{n} adjustments')}${
    parts.length ? `: ${parts.join(', ')}` : ''
  }.${gaps ? lacking : ''}`;
}
const TRADE_COUNTS = [
  ['accommodation', '1 accommodation', '{n} accommodations'],
  ['modification', '1 modification', '{n} modifications'],
  ['addition', '1 addition', '{n} additions'],
  ['to judge', '1 to be judged', '{n} to be judged'],
] as const;
const FAMILY_COUNTS = [
  ['accommodation', '1 with the same goal and another way', '{n} with the same goal and another way'],
  ['modification', '1 with another goal', '{n} with another goal'],
  ['addition', '1 with something more', '{n} with something more'],
] as const;

function supportsOf(e: Evidence, o: DossierOptions): DocumentPart[] {
  if (!e.supports.length) return [];
  const since = (s: Evidence['supports'][number]) =>
    joined(
      o.privacy === 'family' ? CATEGORY_PLAINLY[s.category] : s.category,
      s.from ? `from ${o.day(s.from)}` : '',
      s.until ? `until ${o.day(s.until)}` : '',
      s.reviewOn ? `review on ${o.day(s.reviewOn)}` : '',
      s.note,
    );
  const said = (s: Evidence['supports'][number]) => {
    if (!s.canTell) return 'The work cannot tell whether it was given.';
    const of = s.given.length + s.lacking.length;
    if (of === 0) return 'Nothing was given while it was agreed that could tell.';
    const lacks = s.lacking.length ? ` Not in: ${s.lacking.map(lackSaid).join(', ')}.` : '';
    return `Given in ${s.given.length} of ${counted(of, '1 piece of work', '{n} pieces of work')}.${lacks}`;
  };
  return [
    heading(1, 'Agreed supports, and where they were given'),
    {
      is: 'index',
      entries: e.supports.map((s) => ({
        name: s.what,
        says: [since(s), said(s)].filter(Boolean).join('. '),
        at: s.given.map((g) => ({ name: `${g.title} (${g.seen})`, anchor: workAnchor(g.handOutId) })),
      })),
    },
  ];
}

const lackSaid = (l: Evidence['supports'][number]['lacking'][number]): string =>
  l.seen ? `${l.title} (${l.seen})` : l.title;

function goalsOf(e: Evidence, o: DossierOptions): DocumentPart[] {
  if (!e.goals.length) return [];
  return [
    heading(1, 'Goals'),
    {
      is: 'list',
      lines: e.goals.map((g) => {
        const served = e.works.filter((w) => w.adjustments.some((a) => a.goal?.id === g.id)).map((w) => w.title);
        const aim = g.target === null ? g.measure : `${g.target} ${g.measure}`.trim();
        return [joined(g.text, aim, g.by ? `by ${o.day(g.by)}` : ''), served.length ? `In: ${served.join(', ')}` : '']
          .filter(Boolean)
          .join('. ');
      }),
    },
  ];
}

function workOf(e: Evidence, w: EvidenceWork, o: DossierOptions): DocumentPart[] {
  const isFamily = o.privacy === 'family';
  const tools = w.used.map((u) => {
    const name = Object.hasOwn(o.tools, u.tool) ? (o.tools[u.tool] ?? u.tool) : u.tool;
    return `${name} (${counted(u.times, 'once', '{n} times')}${u.seconds >= 60 ? `, ${Math.round(u.seconds / 60)} min` : ''})`;
  });
  const stressed = e.stressed.includes(pieceKey(w.handOutId));
  const notes = e.notes.filter((n) => n.handOutId === w.handOutId);
  return [
    heading(2, w.title, workAnchor(w.handOutId)),
    ...(stressed ? [words('Stressed by the teacher.')] : []),
    ...facts([
      ['Given', o.day(w.givenAt) + (w.takenBack ? ', taken back later' : '')],
      ['Version', isFamily ? '' : `${w.versionName}, of revision ${w.revision}${versionSaid(w)}`],
      ['Together', w.together ? 'The work was done by several together.' : ''],
      ['Due', w.dueAt && joined(o.day(w.ownDueAt || w.dueAt), w.moreTime)],
      ['Goes', goesSaid(w)],
      ['Used at the desk', tools.join(', ')],
      ['Sheet', isFamily ? '' : w.sheet.slice(0, 16)],
    ]),
    ...w.goes.map((g) => words(goSaid(g, o))),
    ...w.goes.flatMap((g): DocumentPart[] => (g.comment ? [{ is: 'said', text: g.comment }] : [])),
    ...adjustmentsOf(e, w, o),
    ...notes.flatMap((n) => noteOf(n, o)),
  ];
}

const versionSaid = (w: EvidenceWork): string => {
  if (w.countsAs === 'same') return ', as in the master';
  return w.countsAs ? `: ${COUNTS_AS[w.countsAs].toLowerCase()} as a whole` : '';
};

function goesSaid(w: EvidenceWork): string {
  const used = counted(w.goes.length, '1 used', '{n} used');
  return w.goesAllowed ? `${used} of ${w.goesAllowed}` : w.goes.length ? used : 'Not begun';
}

export function goSaid(g: GoOf, { day, privacy }: Pick<DossierOptions, 'day' | 'privacy'>): string {
  const when = g.submittedAt ? `submitted ${day(g.submittedAt)}` : 'not submitted';
  const marks = g.of ? `${g.right} of ${counted(g.of, '1 marked question', '{n} marked questions')} right` : '';
  const points = g.outOf && privacy !== 'family' && !g.open ? `${g.points} of ${g.outOf} points` : '';
  const open = g.open ? counted(g.open, '1 to be judged', '{n} to be judged') : '';
  const decision = g.decision === '' ? '' : g.decision === 'complete' ? 'complete' : 'another go was asked for';
  return `Go ${g.n}: ${joined(when, g.onPaper ? 'on paper' : '', marks, points, open, decision)}.`;
}

function adjustmentsOf(e: Evidence, w: EvidenceWork, o: DossierOptions): DocumentPart[] {
  if (!w.adjustments.length) return [words('It was given as it stands for all.')];
  const shown = new Set<Side>();
  return w.adjustments.flatMap((a, i): DocumentPart[] => {
    const sides = w.sides.filter((s) => s.adjustmentIds.includes(a.adjustmentId) && !shown.has(s));
    sides.forEach((s) => shown.add(s));
    const again = w.sides.filter((s) => s.adjustmentIds.includes(a.adjustmentId) && !sides.includes(s));
    return [
      heading(3, `${i + 1}. ${a.sentence}`),
      ...(e.stressed.includes(pieceKey(w.handOutId, a.adjustmentId)) ? [words('Stressed by the teacher.')] : []),
      ...facts(o.privacy === 'family' ? plainFacts(a) : tradeFacts(a, o)),
      ...sides.map((s) => sideOf(s, o)),
      ...(again.length ? [small(`Also in: ${again.map(placeOf).join('; ')} (shown above).`)] : []),
    ];
  });
}

const resultSaid = (a: Adjusted): string =>
  a.result
    ? `${a.result.right} of ${counted(a.result.of, '1 question it speaks of', '{n} questions it speaks of')} right`
    : '';

const plainFacts = (a: Adjusted): (readonly [string, string])[] => [
  ['What it means', PLAINLY[a.countsAs]],
  ['It is about', a.category && CATEGORY_PLAINLY[a.category]],
  ['Why', a.reason],
  ['For the goal', a.goal?.text ?? ''],
  ['Was it used', a.used],
  ['How it went', resultSaid(a)],
];

function tradeFacts(a: Adjusted, { day }: DossierOptions): (readonly [string, string])[] {
  const dates = joined(a.from ? `from ${day(a.from)}` : '', a.until ? `until ${day(a.until)}` : '');
  return [
    ['Category', a.category],
    ['Counts as', a.countsAs ? joined(COUNTS_AS[a.countsAs], a.overruled ? 'by the teacher’s judgement' : '') : ''],
    ['Computed', a.overruled ? `${COUNTS_AS[a.overruled.was]}: ${a.why}` : a.why],
    ['Overruled because', a.overruled?.reason ?? ''],
    ['Reason', a.reason],
    ['Goal', a.goal?.text ?? ''],
    ['In force', dates],
    ['Made', a.at ? joined(day(a.at), a.author, `in “${a.versionName}”`) : `in “${a.versionName}”`],
    ['Used', a.used],
    ['Result', resultSaid(a)],
  ];
}

const placeOf = (s: Side): string => joined(s.number ? `question ${s.number}` : s.is, s.page && `page “${s.page}”`);

function sideOf(s: Side, o: DossierOptions): DocumentPart {
  const changes = textChanges(s.master, s.learner);
  const answered = s.answer ? `Answered: ${s.answer}` : '';
  return {
    is: 'sides',
    about: joined(s.number ? `Question ${s.number}` : s.is, s.page && `page “${s.page}”`, s.number ? s.is : ''),
    heads: o.privacy === 'family' ? ['For all', 'For your child'] : ['Master', 'Learner’s'],
    master: changes.filter((c) => c.kind !== 'new'),
    learner: changes.filter((c) => c.kind !== 'gone'),
    below: [answered, VERDICTS[s.verdict]].filter(Boolean).join(' · '),
  };
}

function notesOf(e: Evidence, o: DossierOptions): DocumentPart[] {
  const known = new Set(e.works.map((w) => w.handOutId));
  const rest = e.notes.filter((n) => !n.handOutId || !known.has(n.handOutId));
  return rest.length ? [heading(1, 'Observations'), ...rest.flatMap((n) => noteOf(n, o, e))] : [];
}

const reviewsOf = (e: Evidence, { day }: DossierOptions): DocumentPart[] =>
  e.reviews.length
    ? [
        heading(1, 'Reviews'),
        ...e.reviews.flatMap((r): DocumentPart[] => [
          heading(2, `Review of ${day(r.on)}`),
          ...(r.said ? [{ is: 'said' as const, text: r.said }] : []),
          r.changes.length ? { is: 'list', lines: r.changes } : words('Everything stayed as it was.'),
        ]),
      ]
    : [];

function noteOf(n: Evidence['notes'][number], { day }: DossierOptions, e?: Evidence): DocumentPart[] {
  return [
    ...(n.text ? [{ is: 'said' as const, text: `${n.on ? `${day(n.on)}: ` : ''}${n.text}` }] : []),
    ...(e?.stressed.includes(noteKey(n.id)) ? [words('Stressed by the teacher.')] : []),
    ...(n.assetId ? [{ is: 'picture' as const, assetId: n.assetId, alt: n.text || 'Photograph' }] : []),
  ];
}

function glossaryOf({ privacy, home }: DossierOptions): DocumentPart[] {
  if (privacy !== 'family') return [];
  const rows = FAMILY_WORDS.map((w) => {
    const own = w.home[home];
    return own ? [w.term, own[0], own[1]] : [w.term, '', w.plain];
  });
  return [
    heading(1, 'What the words mean'),
    home === 'en'
      ? { is: 'facts', facts: FAMILY_WORDS.map((w) => [w.term, w.plain] as const) }
      : { is: 'table', says: 'What the words mean', head: ['Word', 'At home', ''], rows },
  ];
}

const signaturesOf = ({ privacy }: DossierOptions): DocumentPart[] => [
  { is: 'new page' },
  heading(1, 'Signatures'),
  words('Looked at together and agreed:'),
  {
    is: 'signatures',
    heads: ['Who', 'Name', 'Signature', 'Day'],
    roles: ['Teacher', ...(privacy === 'without names' ? ['Learner'] : ['Learner', 'Family', 'Family']), 'School'],
  },
];
