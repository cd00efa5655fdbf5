/** What of pdf.js is needed to read a page, so that the reading can be tried without a worker. */
export interface PdfTools {
  readonly OPS: Readonly<Record<string, number>>;
}

export type Matrix = readonly [number, number, number, number, number, number];
export const UNIT: Matrix = [1, 0, 0, 1, 0, 0];

/** `b` applied before `a`, as pdf.js composes transforms. */
export const times = (a: Matrix, b: Matrix): Matrix => [
  a[0] * b[0] + a[2] * b[1],
  a[1] * b[0] + a[3] * b[1],
  a[0] * b[2] + a[2] * b[3],
  a[1] * b[2] + a[3] * b[3],
  a[0] * b[4] + a[2] * b[5] + a[4],
  a[1] * b[4] + a[3] * b[5] + a[5],
];

export const asMatrix = (list: ArrayLike<number>): Matrix => [
  list[0] ?? 1,
  list[1] ?? 0,
  list[2] ?? 0,
  list[3] ?? 1,
  list[4] ?? 0,
  list[5] ?? 0,
];
