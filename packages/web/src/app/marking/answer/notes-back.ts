import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MOST_NOTES, type Note } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Textarea } from 'primeng/textarea';
import { whenIn } from '../../ui/when';

/** What was said back to a learner's notes, and a place to say more. The learner sees it at once, decided or not. */
@Component({
  selector: 'lv-notes-back',
  imports: [ButtonDirective, Textarea],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (n of notes(); track $index) {
      <p class="note">
        <span class="small">You, {{ whenIn(n.at) }}:</span> {{ n.text }}
      </p>
    }
    @if (notes().length < MOST_NOTES) {
      <label class="field"
        >A note back to {{ name() }}
        <textarea pTextarea #w rows="2" maxlength="2000"></textarea>
      </label>
      <button pButton severity="secondary" type="button" (click)="said.emit(w.value); w.value = ''">Give it now</button>
    } @else {
      <p class="small">There is no room for more notes here.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
    }
    .field {
      width: 100%;
    }
    .note {
      white-space: pre-wrap;
      overflow-wrap: anywhere;
    }
  `,
})
export class NotesBack {
  readonly name = input.required<string>();
  readonly notes = input.required<readonly Note[]>();
  readonly said = output<string>();
  protected readonly MOST_NOTES = MOST_NOTES;
  protected readonly whenIn = whenIn;
}
