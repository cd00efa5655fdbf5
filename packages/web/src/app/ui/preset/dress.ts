import { inject } from '@angular/core';
import { Base } from 'primeng/base';
import { PrimeNG } from 'primeng/config';
import { LorvetPreset } from './preset';

/**
 * PrimeNG's parts in Lorvet's clothes: called by what stands at the head of each of the teacher's places, so that the
 * desk loads none of it. Call it where something is injected, before the first part is made.
 */
export function dressParts(): void {
  // Light and dark are switched by our own tokens; in a layer, so that our own styles have the last word.
  inject(PrimeNG).setConfig({
    overlayAppendTo: 'body',
    theme: {
      preset: LorvetPreset,
      options: { darkModeSelector: false, cssLayer: { name: 'primeng', order: 'base, primeng' } },
    },
  });
  // The theme never changes, so what was written of a part's styles stays known. Without this each part that is made
  // forgets them all, and the next one writes them anew: half of its cost.
  Base.clearLoadedStyleNames = () => undefined;
}
