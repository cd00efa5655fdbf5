import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { assetsOf, type Content, derive, Problem } from '@lorvet/core';
import { type PictureFile, writeQtiPackage } from '@lorvet/core/intake';
import { ButtonDirective } from 'primeng/button';
import { download } from '../platform/download';
import { KeptAssets } from '../store/kept-assets';
import { AssetUrls } from '../ui/asset-urls';
import { FOLD } from '../ui/controls/fold';
import { Notice } from '../ui/notice';
import { BenchView } from './bench-view';

/** The questions of the master or of a version, out as a QTI 3 package; what the standard cannot say is named. */
@Component({
  selector: 'lv-qti-out',
  imports: [ButtonDirective, LucideDynamicIcon, ...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button pButton severity="secondary" text type="button" (click)="write()">
      <svg lucideIcon="download"></svg>Questions as QTI 3
    </button>
    @if (left().length) {
      <lv-fold name="Not written" [open]="true">
        @for (l of left(); track $index) {
          <p>{{ l }}</p>
        }
      </lv-fold>
    }
  `,
})
export class QtiOut {
  private readonly view = inject(BenchView);
  private readonly notice = inject(Notice);
  private readonly assets = inject(KeptAssets);
  private readonly urls = inject(AssetUrls);
  protected readonly left = signal<readonly string[]>([]);

  protected async write(): Promise<void> {
    const family = this.view.family();
    const version = this.view.version();
    const content: Content | undefined = version && family ? derive(family, version.id).content : this.view.master();
    if (!content) return;
    try {
      const written = writeQtiPackage(content, await this.pictures(content));
      this.left.set(written.left);
      download(
        new Blob([written.zip as BlobPart], { type: 'application/zip' }),
        `${content.title.slice(0, 60)}.qti.zip`,
      );
      this.notice.done(`${written.items} questions written`, written.left.length ? 'What could not be is listed.' : '');
    } catch (error) {
      this.notice.wrong(
        'Nothing was written',
        error instanceof Problem ? error.message : 'The package could not be made.',
      );
    }
  }

  private async pictures(content: Content): Promise<Map<string, PictureFile>> {
    const out = new Map<string, PictureFile>();
    for (const asset of await this.assets.all(assetsOf(content))) {
      if (!asset.mime.startsWith('image/')) continue;
      const img = new Image();
      img.src = this.urls.hold(asset);
      await img.decode().catch(() => undefined);
      this.urls.release(asset.id);
      out.set(asset.id, {
        bytes: new Uint8Array(await asset.data.arrayBuffer()),
        ending: asset.mime === 'image/svg+xml' ? 'svg' : (asset.mime.split('/')[1] ?? 'png'),
        width: img.naturalWidth || 1000,
        height: img.naturalHeight || 1000,
      });
    }
    return out;
  }
}
