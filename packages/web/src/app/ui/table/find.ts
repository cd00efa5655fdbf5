import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { InputText } from 'primeng/inputtext';

/** Words that the rows of a table are looked through for, over it: `<lv-find hint="title or state" [(words)]="sought" />`. */
@Component({
  selector: 'lv-find',
  imports: [InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="row small"
      >Find
      <input
        pInputText
        #find
        type="search"
        maxlength="100"
        [placeholder]="hint()"
        [value]="words()"
        (input)="words.set(find.value)"
    /></label>
  `,
})
export class Find {
  readonly hint = input('');
  readonly words = model('');
}
