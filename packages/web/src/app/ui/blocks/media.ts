import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { assetUrl } from '../../platform/files';
import { WorkspaceStore } from '../../store/workspace';

/** A kept sound or video, to be played. Nothing plays by itself. */
@Component({
  selector: 'lv-media',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as src) {
      @if (what() === 'sound') {
        <audio controls preload="metadata" [src]="src" [attr.aria-label]="label()"></audio>
      } @else {
        <video controls preload="metadata" [src]="src" [attr.aria-label]="label()"></video>
      }
    } @else {
      <p class="small">{{ assetId() ? 'This recording is not in this browser.' : 'No recording yet.' }}</p>
    }
  `,
  styles: `
    audio,
    video {
      display: block;
      width: 100%;
      max-width: 520px;
    }
    video {
      max-height: 340px;
      border-radius: 6px;
      background: var(--sunken);
    }
    @media print {
      :host {
        display: none;
      }
    }
  `,
})
export class Media {
  readonly assetId = input.required<string>();
  readonly what = input.required<'sound' | 'video'>();
  readonly label = input('');
  private readonly assets = inject(WorkspaceStore).assets;
  protected readonly url = computed(() => {
    const asset = this.assets()[this.assetId()];
    return asset ? assetUrl(asset) : null;
  });
}
