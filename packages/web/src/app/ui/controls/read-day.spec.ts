import { describe, expect, it } from '@jest/globals';
import { format } from 'date-fns';
import { ownForm } from './own-form';
import { readDay } from './read-day';

const read = (text: string, pattern = 'dd/mm/yy', none: string | null = '23:59') => {
  const day = readDay(text, pattern, none);
  return day ? format(day, 'yyyy-MM-dd HH:mm') : undefined;
};

describe('a day as it is typed', () => {
  it.each([
    ['26/11/2026 14:30', '2026-11-26 14:30'],
    ['26.11.26 14.30', '2026-11-26 14:30'],
    ['6-1-2027, 9 am', '2027-01-06 09:00'],
    ['6/1/2027 12:05 AM', '2027-01-06 00:05'],
    ['6/1/2027 12 pm', '2027-01-06 12:00'],
    ['2026-11-26T14:30', '2026-11-26 14:30'],
    ['26/11/2026', '2026-11-26 23:59'],
    ['26.11.26', '2026-11-26 23:59'],
  ])('%s', (text, meant) => {
    expect(read(text)).toBe(meant);
  });
  it('stands in the order of the place', () => {
    expect(read('11/26/2026', 'mm/dd/yy')).toBe('2026-11-26 23:59');
    expect(read('2026. 11. 26.', 'yy.mm.dd')).toBe('2026-11-26 23:59');
  });
  it('is understood in words: a weekday is the next that comes', () => {
    const thursday = new Date(2026, 10, 26, 10);
    const said = (text: string) => {
      const day = readDay(text, 'dd/mm/yy', '23:59', thursday);
      return day && `${day.getDate()}/${day.getMonth() + 1} ${day.getHours()}:${day.getMinutes()}`;
    };
    expect(['Monday 09:00', 'mon', 'Thursday', 'next fri 2.30 pm', 'tomorrow', 'today 14:30'].map(said)).toEqual([
      '30/11 9:0',
      '30/11 23:59',
      '3/12 23:59',
      '27/11 14:30',
      '27/11 23:59',
      '26/11 14:30',
    ]);
  });
  it('is refused where there is none, never moved to another', () => {
    for (const text of [
      '31/6/2026',
      '26/13/2026',
      'someday',
      'mo 9:00',
      '26/11',
      '26/11/2026 25:00',
      '26/11/2026 14:75',
      '1/1/126',
    ])
      expect([text, read(text)]).toEqual([text, undefined]);
    expect(read('26/11/2026 14:30', 'dd/mm/yy', null)).toBeUndefined();
  });
});

it.each([
  ['en-GB', 'dd/mm/yy', '24', 1],
  ['en-US', 'mm/dd/yy', '12', 0],
  ['de-DE', 'dd.mm.yy', '24', 1],
  ['sv-SE', 'yy-mm-dd', '24', 1],
])('what is shown in %s is read back', (language, day, hours, first) => {
  const own = ownForm(language);
  expect([own.day, own.hours]).toEqual([day, hours]);
  // Where the machine keeps no record of weeks, Monday stands.
  expect([first, 1]).toContain(own.words.firstDayOfWeek);
  expect(read(own.example(true), own.day)).toBe('2026-11-26 14:30');
  expect(read(own.example(false), own.day)).toBe('2026-11-26 23:59');
});
