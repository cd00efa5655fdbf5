import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { shownAsset } from './shown-asset';

/** A kept picture, with its description. */
@Component({
  selector: 'lv-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as src) {
      <img [src]="src" [alt]="alt()" />
    } @else if (url() === null) {
      <p class="small">{{ assetId() ? 'This picture is not in this browser.' : 'No picture yet.' }}</p>
    }
  `,
  styles: `
    img {
      display: block;
      max-width: 100%;
      max-height: var(--picture-height, 340px);
      border-radius: 4px;
    }
  `,
})
export class Picture {
  readonly assetId = input.required<string>();
  readonly alt = input.required<string>();
  protected readonly url = shownAsset(this.assetId, 'image/');
}
