import type { DemoPlace } from './demo-place';

/** In the demo's plan for the puncture: the suggestions that fit are accepted, the others are given one by hand. */
export async function everybodyHas(place: DemoPlace<unknown>): Promise<void> {
  await place.press(/^Accept 4 suggestions/);
  for (const id of ['l-tamsin', 'l-corin', 'l-zennor'])
    document.querySelectorAll<HTMLInputElement>(`[data-row="${id}"] input[type=radio]`)[1]?.click();
  await place.rest();
}
