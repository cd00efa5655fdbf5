import { computed, DestroyRef, effect, inject, type Signal, signal, untracked } from '@angular/core';
import { Parts } from '../store/parts';
import { WorkspaceStore } from '../store/workspace';
import { AssetUrls } from './asset-urls';

/** What is known of an asset that is to be shown: null where it is not in this browser, undefined until that is known. */
export type Shown = string | null | undefined;

/**
 * The address of a kept asset for as long as the part that calls it stands, where it is of the kind wanted: `begins` is
 * how its type has to begin.
 */
export function shownAsset(id: Signal<string>, begins: string): Signal<Shown> {
  const urls = inject(AssetUrls);
  const assets = inject(WorkspaceStore).assets;
  const ready = inject(Parts).hold(
    () => id() || null,
    (asset, want) => want('assets', [asset]),
  );
  const asset = computed(() => {
    const all = assets();
    const one = Object.hasOwn(all, id()) ? all[id()] : undefined;
    return one?.mime.startsWith(begins) ? one : undefined;
  });
  const url = signal<string | null>(null);
  let held = '';
  const release = () => {
    if (held) urls.release(held);
    held = '';
  };
  effect(() => {
    const now = asset();
    untracked(() => {
      const before = held;
      held = now?.id ?? '';
      url.set(now ? urls.hold(now) : null);
      if (before) urls.release(before);
    });
  });
  inject(DestroyRef).onDestroy(release);
  return computed(() => url() ?? (asset() || (id() && !ready()) ? undefined : null));
}
