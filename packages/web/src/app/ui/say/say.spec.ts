import { describe, expect, it } from '@jest/globals';
import { TestBed } from '@angular/core/testing';
import { Say } from './say';
import { EN } from './en';
import { type Said, TABLES } from './tables';

const forms = (said: Said): string[] => (typeof said === 'string' ? [said] : Object.values(said));
const places = (text: string): string[] => [...text.matchAll(/\{(\w+)\}/g)].map((m) => m[1] ?? '').sort();

describe('the words of the desk', () => {
  it.each(['es', 'fr', 'ar', 'uk'] as const)(
    'are whole in %s: each plural form, each place, no text left in English',
    async (code) => {
      const table = await TABLES[code]();
      const categories = new Intl.PluralRules(code).resolvedOptions().pluralCategories.toSorted();
      const same: string[] = [];
      for (const [text, said] of Object.entries<Said>(table)) {
        if (places(text).includes('count')) expect(Object.keys(said).toSorted()).toEqual(categories);
        else expect(typeof said).toBe('string');
        for (const form of forms(said)) {
          // Of one or two a language may say how many by the word itself.
          const left = (list: string[]) => list.filter((p) => p !== 'count');
          expect([text, left(places(form))]).toEqual([text, left(places(text))]);
          if (form === text) same.push(text);
        }
      }
      // What is the same word in both.
      expect(same.length).toBeLessThan(14);
      expect(Object.keys(EN).filter((text) => !(text in table))).toEqual([]);
    },
  );

  it('are said in the language that is chosen, with its plural form, and in its direction', async () => {
    const say = TestBed.inject(Say);
    expect([1, 3].map((count) => say.text('{count} questions.', { count }))).toEqual(['1 question.', '3 questions.']);
    await say.speak('uk');
    expect([1, 3, 5, 21].map((count) => say.text('{count} questions.', { count }))).toEqual([
      '1 запитання.',
      '3 запитання.',
      '5 запитань.',
      '21 запитання.',
    ]);
    await say.speak('ar');
    expect(document.documentElement.dir).toBe('rtl');
    expect([2, 4, 11].map((count) => say.text('{count} pages', { count }))).toEqual([
      'صفحتان',
      '\u20684\u2069 صفحات',
      '\u206811\u2069 صفحة',
    ]);
    // A later wish makes an earlier one’s answer void.
    await Promise.all([say.speak('fr'), say.speak('en')]);
    expect([say.text('Hear it'), document.documentElement.lang, document.documentElement.dir]).toEqual([
      'Hear it',
      'en',
      'ltr',
    ]);
  });
});
