import { ChangeDetectionStrategy, Component, computed, input, model, output } from '@angular/core';
import { answerIsEmpty } from '@lorvet/core/desk';
import { saying } from '../../ui/say/say';
import type { Tries } from '../desk-work';

/** The goes at a sheet: which is looked at, what was answered before, taking back what is submitted, and another go. */
@Component({
  selector: 'lv-goes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let is = tries();
    @if (is.goes.length > 1) {
      <div class="word" role="group" [attr.aria-label]="t('Your goes')">
        @for (n of is.goes; track n) {
          <button class="btn" type="button" [attr.aria-pressed]="n === is.go" (click)="chosen.emit(n)">
            {{ t('Go {number}', { number: n }) }}
          </button>
        }
      </div>
    }
    @if (canWrite() && hasBefore()) {
      <button class="btn" type="button" data-quiet [attr.aria-pressed]="isBeside()" (click)="isBeside.set(!isBeside())">
        {{ t('Show what I answered before') }}
      </button>
    }
    @if (canWrite() && is.only.length) {
      <p class="word">{{ t('Only some questions are open now. The others stay as they are.') }}</p>
    }
    @if (is.mayTakeBack) {
      <div class="word">
        <p class="grow">{{ t('This is submitted. You can take it back until your teacher begins to look at it.') }}</p>
        <button class="btn" type="button" (click)="takenBack.emit()">{{ t('Take it back') }}</button>
      </div>
    }
    @if (is.again; as why) {
      <div class="word">
        <p class="grow">
          {{
            t(
              why === 'asked'
                ? 'Your teacher asks for another go. What you wrote stays there as a start.'
                : why === 'sheet'
                  ? 'There is a new sheet for you. This one stays as it is, and what fits comes along.'
                  : 'This is submitted. You may have another go; this one stays.'
            )
          }}
        </p>
        <button class="btn main" type="button" (click)="begunAgain.emit()">
          {{ t(why === 'sheet' ? 'To the new sheet' : 'Begin another go') }}
        </button>
      </div>
    }
  `,
  styleUrl: './part.css',
  styles: `
    :host {
      display: grid;
      gap: 14px;
      justify-items: start;
    }
    .word {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
      width: 100%;
    }
  `,
})
export class GoesStrip {
  readonly tries = input.required<Tries>();
  readonly canWrite = input(false);
  /** Whether what was answered before stands beside the answers. */
  readonly isBeside = model(false);
  readonly chosen = output<number>();
  readonly takenBack = output();
  readonly begunAgain = output();
  protected readonly t = saying();
  protected readonly hasBefore = computed(() => Object.values(this.tries().before).some((a) => !answerIsEmpty(a)));
}
