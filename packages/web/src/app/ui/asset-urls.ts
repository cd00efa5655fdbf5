import { Injectable } from '@angular/core';
import type { KeptAsset } from '../platform/storage/kept-asset';

/** Addresses of kept assets in this page, one for each however often it is shown, given up when nobody shows it. */
@Injectable({ providedIn: 'root' })
export class AssetUrls {
  private readonly held = new Map<string, { readonly url: string; holders: number }>();

  /** The address of an asset; to be released as often as it was held. Only ever the source of an image, a player or a download. */
  hold(asset: KeptAsset): string {
    let one = this.held.get(asset.id);
    if (!one) this.held.set(asset.id, (one = { url: URL.createObjectURL(asset.data), holders: 0 }));
    one.holders++;
    return one.url;
  }

  release(id: string): void {
    const one = this.held.get(id);
    if (!one || --one.holders > 0) return;
    // A little later: the same may be shown again at once.
    setTimeout(() => {
      if (one.holders > 0) return;
      URL.revokeObjectURL(one.url);
      if (this.held.get(id) === one) this.held.delete(id);
    }, 1000);
  }
}
