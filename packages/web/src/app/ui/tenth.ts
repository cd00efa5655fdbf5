const TENTHS = new Intl.NumberFormat('en-GB', {
  minimumFractionDigits: 1,
  maximumFractionDigits: 1,
  useGrouping: false,
  signDisplay: 'negative',
});

/** A figure to the tenth: "7.0"; a little below nothing is "0.0". */
export const tenth = (n: number): string => TENTHS.format(n);

/** A figure that a text may be too short for. */
export const figure = (n: number | undefined): string => (n === undefined ? '–' : tenth(n));
