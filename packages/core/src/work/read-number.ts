import { onOneLine } from './formula';

/**
 * A number as a learner types it: spaces, the unit after it, a decimal comma or point,
 * a simple fraction ("1/2", "2 1/2", "2½"). Null where it is not one.
 */
export function readNumber(text: string, unit: string): number | null {
  let t = onOneLine(text).trim().toLowerCase();
  const u = onOneLine(unit).trim().toLowerCase();
  if (u && t.endsWith(u)) t = t.slice(0, -u.length).trim();
  const fraction = /^(-)?(?:(\d+) )?(\d+)\/(\d+)$/.exec(t);
  if (fraction) {
    const [, minus, whole, top, bottom] = fraction;
    if (Number(bottom) === 0) return null;
    const value = Number(whole ?? 0) + Number(top) / Number(bottom);
    return minus ? -value : value;
  }
  const grouped = t.replace(/(\d)[ \u00a0](?=\d{3}(\D|$))/g, '$1');
  if (!/^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(grouped)) return null;
  return Number(grouped.replace(',', '.'));
}
