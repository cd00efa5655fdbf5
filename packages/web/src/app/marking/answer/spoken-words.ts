import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import type { KeptAsset } from '../../platform/storage/kept-asset';
import { Media } from '../../ui/blocks/media';
import { Take } from '../../ui/blocks/take';

/** Words to a learner that are spoken: recorded, heard, taken away or said again. */
@Component({
  selector: 'lv-spoken-words',
  imports: [ButtonDirective, Media, Take],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (assetId(); as id) {
      <lv-media [assetId]="id" what="sound" [label]="'Your words to ' + name() + (about() ? ' on ' + about() : '')" />
      <button pButton severity="secondary" text type="button" (click)="removed.emit()">Take the recording away</button>
    } @else if (isOpen()) {
      <lv-take what="voice" (taken)="isOpen.set(false); kept.emit($event)" />
      <button pButton severity="secondary" text type="button" (click)="isOpen.set(false)">Not now</button>
    } @else {
      <button pButton severity="secondary" text type="button" (click)="isOpen.set(true)">
        {{ about() ? 'Say it on ' + about() : 'Say it to ' + name() + ' instead' }}
      </button>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
    }
  `,
})
export class SpokenWords {
  readonly name = input.required<string>();
  /** What the words are about; empty for the whole work. */
  readonly about = input('');
  readonly assetId = input.required<string>();
  readonly kept = output<KeptAsset>();
  readonly removed = output();
  protected readonly isOpen = signal(false);
}
