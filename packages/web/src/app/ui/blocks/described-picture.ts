import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { PictureField } from '../picture-field';

/** Which picture a block stands on, and what it is to those who cannot see it. */
@Component({
  selector: 'lv-described-picture',
  imports: [PictureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-picture-field
      [label]="assetId() ? 'Another picture' : 'Choose a picture'"
      (chosen)="changed.emit({ assetId: $event })"
    />
    <input
      class="input"
      #field
      [maxLength]="most()"
      aria-label="Description of the picture"
      placeholder="Describe the picture"
      [value]="alt()"
      (change)="changed.emit({ alt: field.value })"
    />
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 6px;
    }
    .input {
      flex: 1;
      min-height: 30px;
      padding: 2px 8px;
    }
  `,
})
export class DescribedPicture {
  readonly assetId = input.required<string>();
  readonly alt = input.required<string>();
  /** Letters of the description that fit. */
  readonly most = input.required<number>();
  readonly changed = output<{ assetId: string } | { alt: string }>();
}
