import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A button that lets one choose a file. The same file can be chosen again at once: it may have been mended meanwhile. */
@Component({
  selector: 'lv-file-button',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label class="btn" [class.quiet]="quiet()"
    ><ng-content /><input #f class="sr" type="file" [accept]="accept()" (change)="take(f)"
  /></label>`,
  styles: `
    :host {
      display: contents;
    }
  `,
})
export class FileButton {
  /** Endings and kinds, as in an input's own `accept`. */
  readonly accept = input.required<string>();
  readonly quiet = input(false);
  readonly chosen = output<File>();

  protected take(field: HTMLInputElement): void {
    const [file] = field.files ?? [];
    field.value = '';
    if (file) this.chosen.emit(file);
  }
}
