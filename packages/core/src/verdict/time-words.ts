const HOURS = 'twelve one two three four five six seven eight nine ten eleven'.split(' ');
const ONES =
  'nought one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty'];

const minutesInWords = (n: number): string =>
  n < 20 ? (ONES[n] ?? '') : `${TENS[Math.floor(n / 10)] ?? ''}${n % 10 ? ` ${ONES[n % 10] ?? ''}` : ''}`;

/** The ways in which a time is said: 8:40 is "twenty to nine" and "eight forty". Empty where it is no time. */
export function timeInWords(time: string): string[] {
  const read = /^(\d{1,2})[:.](\d{2})$/.exec(time.trim());
  if (!read) return [];
  const [hour, minute] = [Number(read[1]), Number(read[2])];
  if (hour > 24 || minute > 59) return [];
  const [own = '', next = ''] = [HOURS[hour % 12], HOURS[(hour + 1) % 12]];
  if (minute === 0) return [`${own} o'clock`];
  const past = minutesInWords(minute);
  const to = minutesInWords(60 - minute);
  return [
    `${own} ${past}`,
    ...(minute === 15 ? [`quarter past ${own}`] : []),
    ...(minute === 30 ? [`half past ${own}`] : []),
    ...(minute === 45 ? [`quarter to ${next}`] : []),
    ...(minute <= 30 ? [`${past} past ${own}`, `${past} minutes past ${own}`] : []),
    ...(minute > 30 ? [`${to} to ${next}`, `${to} minutes to ${next}`] : []),
  ];
}
