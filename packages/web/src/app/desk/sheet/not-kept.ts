import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { saying } from '../../ui/say/say';

/** Why what a learner wrote is not kept: no room, the browser cannot write, or it cannot be kept as it is. */
export type Trouble = 'full' | 'failing' | 'refused' | null;

/** What a learner must know of what is not kept, and what to press then. */
@Component({
  selector: 'lv-not-kept',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (trouble(); as why) {
      <div class="word trouble" role="alert">
        <p>
          <strong>{{ t('Your work is not saved yet.') }}</strong>
          {{ t('It is still here: keep this page open and tell your teacher.') }}
          {{
            t(
              why === 'full'
                ? 'This computer has no room left.'
                : why === 'failing'
                  ? 'This computer cannot write it down now. It keeps trying.'
                  : 'One of your answers is too big. Make it shorter.'
            )
          }}
        </p>
        <div class="row">
          <button class="btn" type="button" (click)="triedAgain.emit()">{{ t('Try again') }}</button><button
            class="btn"
            type="button"
            (click)="filed.emit()"
          >
            {{ t('Save my answers as a file') }}
          </button>
        </div>
      </div>
    }
    @if (isFull()) {
      <p class="word full" role="status">{{ t('This box is full: no more letters go in.') }}</p>
    }
  `,
  styleUrl: './part.css',
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .full {
      border-inline-start: 5px solid var(--ochre);
    }
    .trouble {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
      border-inline-start: 5px solid var(--madder);
    }
    .trouble p {
      flex: 1 1 320px;
    }
  `,
})
export class NotKept {
  readonly trouble = input<Trouble>(null);
  /** Whether the field that is written in has no more room. */
  readonly isFull = input(false);
  readonly triedAgain = output();
  /** The answers are wanted as a file. */
  readonly filed = output();
  protected readonly t = saying();
}
