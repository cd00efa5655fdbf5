import { type ItemBlock, itemRules, keyWordsOf } from '../../activity/blocks';
import { itemsOf } from '../../activity/activity';
import { questionNumbers } from '../../activity/numbering';
import type { Frozen } from '../../assign/held/frozen';
import type { Go, ReleasedMark } from '../../work/copy';
import type { SaidToGo } from '../../work/said';
import { REPORT_WORDS, type ReportLanguage, type ReportWord } from './report-words';

/** One thing that a report says, from the top down. */
export type ReportPart =
  | { readonly is: 'title' | 'heading' | 'words' | 'said' | 'small'; readonly text: string }
  | { readonly is: 'list'; readonly lines: readonly string[] }
  | { readonly is: 'questions'; readonly questions: readonly ReportQuestion[] };
export interface ReportQuestion {
  readonly number: number;
  readonly asked: string;
  readonly answer: string;
  /** How it is marked, in a word or two; empty where it is not. */
  readonly mark: string;
  /** What the teacher says to it; empty for nothing. */
  readonly word: string;
  /** The right answer, where it is out; empty else. */
  readonly key: string;
}
/** What one learner, or their family, is told of one piece of work: words only, whatever they are printed with. */
export interface Report {
  readonly language: ReportLanguage;
  readonly title: string;
  readonly parts: readonly ReportPart[];
}

/** What a report is made of. */
export interface Reported {
  /** What the learner is called. */
  readonly name: string;
  readonly title: string;
  readonly frozen: Frozen;
  readonly go: Go;
  /** What the learner is told: marks and words only as far as they are to know them. */
  readonly said: SaidToGo;
  readonly decision: 'another go' | 'complete';
  /** What is said to the family. */
  readonly family: string;
  readonly withPoints: boolean;
  /** Whether it was done on paper: what was answered is on the sheet then. */
  readonly isOnPaper: boolean;
  /** Whether the answers are out to them. */
  readonly withKeys: boolean;
}

/** The learner's own report: question by question, as far as they are told. */
export function learnersReport(of: Reported, language: ReportLanguage): Report {
  const { t, day } = sayingIn(language);
  const marks = Object.values(of.said.marks);
  const marked = marks.filter((m) => m.verdict !== 'yours');
  const right = marked.filter((m) => m.verdict === 'right').length;
  const numbers = questionNumbers(of.frozen.content.pages);
  const questions = itemsOf(of.frozen.content).map((item): ReportQuestion => {
    const answer = answerOf(item, of.go);
    const mark = of.said.marks[item.id];
    return {
      number: numbers.get(item.id) ?? 0,
      asked: item.prompt,
      answer: answer ? t('wrote', { title: answer }) : of.isOnPaper ? '' : t('nothing'),
      mark: mark ? t(`is ${mark.verdict}`) : '',
      word: [of.said.comments[item.id] ?? '', ...(of.said.levels[item.id] ?? [])].filter(Boolean).join('\n'),
      key: of.withKeys ? keyOf(item, t) : '',
    };
  });
  const only = of.said.only.map((id) => numbers.get(id)).filter((n) => n !== undefined);
  return {
    language,
    title: of.title,
    parts: [
      { is: 'title', text: of.title },
      { is: 'words', text: t('yours', { name: of.name }) },
      ...doneOn(of, t, day),
      ...(marked.length
        ? [heading(t('well')), words(t('right', { n: `${right}`, of: `${marked.length}` })), ...pointsOf(of, marks, t)]
        : []),
      ...(of.said.comment ? [heading(t('says')), said(of.said.comment)] : []),
      heading(t('next')),
      words(t(of.decision === 'complete' ? 'complete' : 'again')),
      ...(only.length ? [words(t('only', { title: only.join(', ') }))] : []),
      heading(t('question')),
      { is: 'questions', questions },
    ],
  };
}

/** The family's report: what went well and what is left, by what the work is to teach; no single answer. */
export function familysReport(of: Reported, language: ReportLanguage): Report {
  const { t, day } = sayingIn(language);
  const marks = Object.entries(of.said.marks).filter(([, m]) => m.verdict !== 'yours');
  const right = marks.filter(([, m]) => m.verdict === 'right').length;
  const objectives = byObjective(of);
  const line = (o: (typeof objectives)[number]) => `${o.text}: ${t('nOf', { n: `${o.right}`, of: `${o.of}` })}`;
  const well = objectives.filter((o) => o.right * 2 > o.of);
  const left = objectives.filter((o) => o.right * 2 <= o.of);
  const title = t('theirs', { name: of.name });
  return {
    language,
    title,
    parts: [
      { is: 'title', text: title },
      words(t('work', { title: of.title })),
      ...doneOn(of, t, day),
      ...(of.family ? [heading(t('saysFamily')), said(of.family)] : []),
      ...(marks.length
        ? [
            heading(t('well')),
            words(t('right', { n: `${right}`, of: `${marks.length}` })),
            ...(well.length ? [list(well.map(line))] : []),
            ...(left.length ? [heading(t('left')), list(left.map(line))] : []),
          ]
        : []),
      ...(of.said.comment ? [heading(t('toThem', { name: of.name })), said(of.said.comment)] : []),
      heading(t('next')),
      words(of.decision === 'complete' ? t('complete') : t('againFamily', { name: of.name })),
    ],
  };
}

type Say = (word: ReportWord, put?: Readonly<Record<string, string>>) => string;

function sayingIn(language: ReportLanguage): { t: Say; day: (iso: string) => string } {
  const words = REPORT_WORDS[language];
  const t: Say = (word, put = {}) =>
    words[word].replace(/\{(\w+)\}/g, (_, slot: string) => (Object.hasOwn(put, slot) ? (put[slot] ?? '') : ''));
  const format = new Intl.DateTimeFormat(language, { day: 'numeric', month: 'long', year: 'numeric' });
  return { t, day: (iso) => format.format(new Date(iso)) };
}

const heading = (text: string): ReportPart => ({ is: 'heading', text });
const words = (text: string): ReportPart => ({ is: 'words', text });
const said = (text: string): ReportPart => ({ is: 'said', text });
const list = (lines: readonly string[]): ReportPart => ({ is: 'list', lines });

const doneOn = ({ go }: Reported, t: Say, day: (iso: string) => string): ReportPart[] =>
  go.submittedAt ? [{ is: 'small', text: t('done', { date: day(go.submittedAt) }) }] : [];

const hundredths = (n: number): number => Math.round(100 * n) / 100;

function pointsOf({ withPoints, said: { points } }: Reported, marks: readonly ReleasedMark[], t: Say): ReportPart[] {
  if (!withPoints) return [];
  const counted = points === null ? marks.filter((m) => m.verdict !== 'yours') : marks;
  const of = hundredths(counted.reduce((n, m) => n + m.outOf, 0));
  const n = points ?? hundredths(counted.reduce((sum, m) => sum + m.points, 0));
  return of ? [{ is: 'small', text: t('points', { n: `${n}`, of: `${of}` }) }] : [];
}

function answerOf(item: ItemBlock, go: Go): string {
  const answer = go.answers[item.id];
  const rules = itemRules(item);
  return answer && !rules.isEmpty(answer) ? rules.answerWords(item, answer) : '';
}

const keyOf = (item: ItemBlock, t: Say): string => {
  const [key] = keyWordsOf(item);
  return key ? t('key', { title: key }) : '';
};

/** How many questions of each objective are right, in the order of the objectives; those with no mark are left out. */
function byObjective({ frozen, said: { marks } }: Reported) {
  const items = itemsOf(frozen.content);
  return frozen.content.objectives.flatMap(({ id, text }) => {
    const own = items.filter((i) => i.objectiveId === id).flatMap((i) => marks[i.id] ?? []);
    const counted = own.filter((m) => m.verdict !== 'yours');
    return counted.length
      ? [{ text, right: counted.filter((m) => m.verdict === 'right').length, of: counted.length }]
      : [];
  });
}
