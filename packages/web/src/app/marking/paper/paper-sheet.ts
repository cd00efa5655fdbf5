import { booleanAttribute, ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Image } from 'primeng/image';
import { shownAsset } from '../../ui/shown-asset';

/** One photograph or scan of a sheet; pressed, it opens large, to be turned and looked at closely. */
@Component({
  selector: 'lv-paper-sheet',
  imports: [Image],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as src) {
      @if (plain()) {
        <img [src]="src" [alt]="alt()" />
      } @else {
        <p-image [src]="src" [alt]="alt()" [preview]="true" appendTo="body" [pt]="says()" />
      }
    } @else if (url() === null) {
      <p class="small">This picture is not in this browser.</p>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    :host ::ng-deep .p-image {
      display: block;
    }
    :host > img,
    :host ::ng-deep .p-image > img {
      display: block;
      width: 100%;
      max-height: var(--sheet-height, 66vh);
      object-fit: contain;
      border: 1px solid var(--line);
      border-radius: var(--r);
      background: #fff;
    }
    /* What stands on the sheet is read: nothing is laid over it. */
    :host ::ng-deep .p-image-preview-mask {
      background: transparent;
      cursor: zoom-in;
    }
    :host ::ng-deep .p-image-preview-icon {
      display: none;
    }
    :host([small]) {
      width: 52px;
    }
    :host([small]) > img,
    :host([small]) ::ng-deep .p-image > img {
      height: 52px;
      object-fit: cover;
    }
  `,
})
export class PaperSheet {
  readonly assetId = input.required<string>();
  readonly alt = input.required<string>();
  /** Only shown, where something else is pressed. */
  readonly plain = input(false, { transform: booleanAttribute });
  /** The button says which picture it opens, and the large one what it shows. */
  protected readonly says = computed(() => ({
    previewMask: { 'aria-label': `Look at it large: ${this.alt()}` },
    original: { alt: this.alt() },
  }));
  protected readonly url = shownAsset(this.assetId, 'image/');
}
