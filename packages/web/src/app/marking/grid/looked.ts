import { z } from '@lorvet/core';
import { keepSmall, keptOrLetGo } from '../../ui/kept-or-let-go';

const KEY = 'lorvet-looked';
/** Hand-outs that it is known of. */
const MOST = 200;
const KEPT = z.record(z.string(), z.string());

function kept(): Record<string, string> {
  const found = localStorage.getItem(keptOrLetGo(KEY, KEPT));
  return found === null ? {} : KEPT.parse(JSON.parse(found));
}

/** When the work of a hand-out was last looked at on this machine (an ISO instant); empty for never. */
export const lookedAt = (handOutId: string): string => {
  const all = kept();
  return Object.hasOwn(all, handOutId) ? (all[handOutId] ?? '') : '';
};

/** Remembers that it is looked at now. */
export function looked(handOutId: string, now: string): void {
  const { [handOutId]: _, ...rest } = kept();
  keepSmall(KEY, JSON.stringify(Object.fromEntries([...Object.entries(rest).slice(1 - MOST), [handOutId, now]])));
}
