import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { shownAsset } from '../shown-asset';
import { saying } from '../say/say';

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
    } @else if (url() === null) {
      <p class="small">{{ t(assetId() ? 'This recording is not in this browser.' : 'No recording yet.') }}</p>
    }
  `,
  styles: `
    /* Where it stands among things that are as wide as they need to be, it has a width of its own. */
    :host {
      display: block;
      min-width: min(300px, 100%);
    }
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
  protected readonly t = saying();
  readonly assetId = input.required<string>();
  readonly what = input.required<'sound' | 'video'>();
  readonly label = input('');
  private readonly sound = shownAsset(this.assetId, 'audio/');
  private readonly video = shownAsset(this.assetId, 'video/');
  // A recording of a voice may be kept as a video without pictures.
  protected readonly url = computed(() => this.sound() ?? this.video());
}
