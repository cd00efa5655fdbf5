import { linkedSignal, type Signal, type WritableSignal } from '@angular/core';

/** Rows that are chosen together: those that are gone, or out of sight by what is looked for, are chosen no more. */
export function stillThere<T extends { readonly id: string }>(shown: Signal<T[]>): WritableSignal<T[]> {
  return linkedSignal<T[], T[]>({
    source: shown,
    computation: (rows, before) => {
      const kept = new Set(before?.value.map((r) => r.id));
      return rows.filter((r) => kept.has(r.id));
    },
  });
}
