import { afterNextRender, effect, Injector, inject, type Signal, untracked } from '@angular/core';
import { FormControl } from '@angular/forms';

/**
 * A control of one value that another part keeps: it shows what is kept, also after a change that was refused. `show` is
 * called when a change was told, and looks at what is kept once that has been drawn. Call it where something is injected.
 */
export function controlled<T>(
  kept: Signal<T>,
  disabled?: Signal<boolean>,
): { control: FormControl<T | null>; show: () => void } {
  const injector = inject(Injector);
  const control = new FormControl<T | null>(null);
  const show = () => {
    if (control.value !== untracked(kept)) control.setValue(untracked(kept), { emitEvent: false });
  };
  effect(() => {
    kept();
    untracked(show);
  });
  effect(() => {
    if (!disabled) return;
    if (disabled()) control.disable({ emitEvent: false });
    else control.enable({ emitEvent: false });
  });
  return { control, show: () => void afterNextRender(show, { injector }) };
}
