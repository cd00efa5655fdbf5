import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { InSight } from '../../ui/focused';
import { saying } from '../../ui/say/say';

/** A question by its number, and the page it stands on. */
export interface Blank {
  readonly id: string;
  readonly page: number;
  readonly number: number;
}

/** Asks before a sheet is submitted: what is empty is named, and one press away. */
@Component({
  selector: 'lv-submit-ask',
  imports: [InSight],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section
      role="alertdialog"
      aria-labelledby="ask-title"
      aria-describedby="ask-says"
      [lvInSight]="true"
      (keydown.escape)="closed.emit()"
    >
      <h2 id="ask-title">{{ t(blanks().length ? 'Some places are still empty' : 'Ready to submit?') }}</h2>
      @if (blanks().length) {
        <p id="ask-says">{{ t('You can go back and fill them, or submit as it is.') }}</p>
        <ul>
          @for (b of blanks(); track b.id) {
            <li>
              <button class="btn" type="button" (click)="asked.emit(b)">
                {{ t('Question {number}', { number: b.number }) }}
              </button>
            </li>
          }
        </ul>
      } @else {
        <p id="ask-says">{{ t('Every question has an answer. Your teacher sees it when you submit it.') }}</p>
      }
      <div class="row">
        <button class="btn" type="button" (click)="closed.emit()">{{ t('Not yet') }}</button><button
          class="btn main"
          type="button"
          (click)="submitted.emit()"
        >
          {{ t('Submit now') }}
        </button>
      </div>
    </section>
  `,
  styleUrl: './part.css',
  styles: `
    section {
      scroll-margin: 90px 0 110px;
      display: grid;
      gap: 12px;
      padding: 18px 20px;
      border: 2px solid var(--accent);
      border-radius: 10px;
      background: var(--paper);
    }
    h2 {
      font-size: 1.15em;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
  `,
})
export class SubmitAsk {
  readonly blanks = input.required<readonly Blank[]>();
  readonly asked = output<Blank>();
  readonly closed = output();
  readonly submitted = output();
  protected readonly t = saying();
}
