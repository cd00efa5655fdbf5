import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { WorkspaceStore } from '../../store/workspace';
import { shownAsset } from '../../ui/shown-asset';
import { saying } from '../../ui/say/say';

/** A picture, recording, video or document that goes with something. */
@Component({
  selector: 'lv-companion-file',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as href) {
      @switch (sort()) {
        @case ('image') {
          <figure>
            <img [src]="href" [alt]="title()" />
            <figcaption>{{ title() }}</figcaption>
          </figure>
        }
        @case ('audio') {
          <p>{{ title() }}</p>
          <audio controls preload="metadata" [src]="href" [attr.aria-label]="title()"></audio>
        }
        @case ('video') {
          <p>{{ title() }}</p>
          <video controls preload="metadata" [src]="href" [attr.aria-label]="title()"></video>
        }
        @default {
          <a class="btn" [href]="href" target="_blank" rel="noopener"
            ><svg lucideIcon="file-input"></svg>{{ t('Open {title}', { title: title() }) }}</a
          >
        }
      }
    } @else if (url() === null) {
      <p>{{ t('{title} is not in this browser. Tell your teacher.', { title: title() }) }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 4px;
    }
    img,
    video {
      max-width: 100%;
      max-height: 420px;
    }
    audio {
      width: min(100%, 420px);
    }
    .btn {
      min-height: 46px;
      justify-self: start;
    }
  `,
})
export class CompanionFile {
  protected readonly t = saying();
  readonly assetId = input.required<string>();
  readonly title = input.required<string>();
  private readonly assets = inject(WorkspaceStore).assets;
  protected readonly url = shownAsset(this.assetId, '');
  protected readonly sort = computed(() => this.assets()[this.assetId()]?.mime.split('/')[0] ?? '');
}
