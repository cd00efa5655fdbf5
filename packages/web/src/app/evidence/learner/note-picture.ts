import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { shownAsset } from '../../ui/shown-asset';

/** A photograph beside an observation. */
@Component({
  selector: 'lv-note-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (address(); as url) {
      <img [src]="url" [alt]="alt() || 'Photograph'" />
    } @else if (address() === null) {
      <p class="small">The photograph is not in this browser.</p>
    }
  `,
  styles: `
    img {
      display: block;
      max-width: 100%;
      max-height: 180px;
      border-radius: var(--r);
    }
  `,
})
export class NotePicture {
  readonly assetId = input.required<string>();
  readonly alt = input('');
  protected readonly address = shownAsset(this.assetId, 'image/');
}
