import type { Period } from '@lorvet/core/evidence';

/** Spans of time that evidence is asked for, each from today's day (ISO). */
export const SPANS = [
  { id: 'term', name: 'This term' },
  { id: 'year', name: 'This school year' },
  { id: 'month', name: 'The last 30 days' },
  { id: 'all', name: 'All the time' },
  { id: 'own', name: 'From … until …' },
] as const;
export type SpanId = (typeof SPANS)[number]['id'];

/** First and last months of the terms, as most schools of the north have them: a school that has others says its own days. */
const TERMS = [
  [8, 12],
  [1, 3],
  [4, 7],
] as const;

const pad = (n: number): string => `${n}`.padStart(2, '0');
const lastDay = (year: number, month: number): number => new Date(Date.UTC(year, month, 0)).getUTCDate();

/** The days of a span, both included. */
export function periodOf(span: SpanId, today: string, own: Period): Period {
  const [year, month] = [Number(today.slice(0, 4)), Number(today.slice(5, 7))];
  switch (span) {
    case 'term': {
      const [from, until] = TERMS.find(([a, b]) => month >= a && month <= b) ?? [1, 12];
      return { from: `${year}-${pad(from)}-01`, until: `${year}-${pad(until)}-${pad(lastDay(year, until))}` };
    }
    case 'year': {
      const begins = month >= 8 ? year : year - 1;
      return { from: `${begins}-08-01`, until: `${begins + 1}-07-31` };
    }
    case 'month': {
      const from = new Date(`${today}T12:00:00Z`);
      from.setUTCDate(from.getUTCDate() - 30);
      return { from: from.toISOString().slice(0, 10), until: today };
    }
    case 'all':
      return { from: '', until: '' };
    case 'own':
      return own;
  }
}
