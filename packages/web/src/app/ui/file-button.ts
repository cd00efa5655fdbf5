import { booleanAttribute, ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { ButtonDirective } from 'primeng/button';

/**
 * The one way to choose a file: a button over the browser's own field. The same file can be chosen again at once: it may
 * have been mended meanwhile. (PrimeNG's upload sends files to a server; here they are only read.)
 */
@Component({
  selector: 'lv-file-button',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label pButton [severity]="main() ? undefined : 'secondary'" [text]="quiet()"
    ><ng-content /><input #f class="sr" type="file" [accept]="accept()" [multiple]="several()" (change)="take(f)"
  /></label>`,
  styles: `
    :host {
      display: contents;
    }
    label {
      position: relative;
    }
  `,
})
export class FileButton {
  /** Endings and kinds, as in an input's own `accept`. */
  readonly accept = input.required<string>();
  readonly quiet = input(false, { transform: booleanAttribute });
  /** The one thing to do here. */
  readonly main = input(false, { transform: booleanAttribute });
  readonly several = input(false, { transform: booleanAttribute });
  readonly chosen = output<File>();
  /** All that were chosen together. */
  readonly all = output<readonly File[]>();

  protected take(field: HTMLInputElement): void {
    const files = [...(field.files ?? [])];
    field.value = '';
    const [file] = files;
    if (!file) return;
    this.chosen.emit(file);
    this.all.emit(files);
  }
}
