import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { pictureUrl } from '../platform/files';
import { WorkspaceStore } from '../store/workspace';

/** A kept picture, with its description. */
@Component({
  selector: 'lv-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as src) {
      <img [src]="src" [alt]="alt()" />
    } @else {
      <p class="small">{{ assetId() ? 'This picture is not in this browser.' : 'No picture yet.' }}</p>
    }
  `,
  styles: `
    img {
      display: block;
      max-width: 100%;
      max-height: 340px;
      border-radius: 4px;
    }
  `,
})
export class Picture {
  readonly assetId = input.required<string>();
  readonly alt = input.required<string>();
  private readonly assets = inject(WorkspaceStore).assets;
  protected readonly url = computed(() => {
    const asset = this.assets()[this.assetId()];
    return asset ? pictureUrl(asset) : null;
  });
}
