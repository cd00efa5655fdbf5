import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Lock } from '../../platform/lock';
import { pauseOf } from '../../ui/pause';
import { saying } from '../../ui/say/say';

/** The teacher's way back from the desk: open, or behind the passphrase. */
@Component({
  selector: 'lv-teacher-door',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (!lock.closed()) {
      <a routerLink="/shelf">{{ t('I am the teacher') }}</a>
    } @else if (!asks()) {
      <button class="btn quiet" type="button" (click)="asks.set(true)">{{ t('I am the teacher') }}</button>
    } @else {
      <form class="row" (submit)="$event.preventDefault(); open(words)">
        <label class="field"
          >{{ t('The teacher’s passphrase') }}
          <input
            #words
            class="input"
            type="password"
            autocomplete="current-password"
            [maxLength]="200"
            [attr.aria-invalid]="says() !== ''"
            aria-describedby="door-says"
        /></label>
        <button class="btn main" type="submit" [disabled]="busy() || pause.seconds() > 0">{{ t('Open') }}</button>
        <button class="btn quiet" type="button" (click)="asks.set(false)">{{ t('Back to the desk') }}</button>
      </form>
      <p id="door-says" role="alert">{{ says() }}</p>
      <details>
        <summary>{{ t('It is forgotten') }}</summary>
        <p>
          {{
            t(
              'Nobody can look it up. What is kept here can be had back from a backup only: clear this site’s data in the browser’s settings, open Lorvet anew, and bring the backup in under Keeping.'
            )
          }}
        </p>
      </details>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: center;
      font-size: 16px;
      color: var(--ink-2);
    }
    .row {
      align-items: end;
      justify-content: center;
    }
    p:empty {
      display: none;
    }
    [role='alert'] {
      color: var(--madder);
    }
    details {
      max-width: 520px;
      font-size: 14px;
    }
    a,
    .btn.quiet {
      min-height: 44px;
    }
  `,
})
export class TeacherDoor {
  protected readonly t = saying();
  protected readonly lock = inject(Lock);
  private readonly router = inject(Router);
  protected readonly asks = signal(false);
  private readonly words = viewChild<ElementRef<HTMLInputElement>>('words');
  protected readonly busy = signal(false);
  protected readonly pause = pauseOf(() => this.lock.pause());
  private readonly wrong = signal(false);
  protected readonly says = computed(() => {
    const s = this.pause.seconds();
    if (s > 0) return this.t('That was not it. Try again in {count} seconds.', { count: s });
    return this.wrong() ? this.t('That is not the passphrase. Capital letters count.') : '';
  });

  constructor() {
    effect(() => this.words()?.nativeElement.focus());
  }

  protected async open(field: HTMLInputElement): Promise<void> {
    if (this.busy() || this.pause.seconds() > 0) return;
    this.busy.set(true);
    this.wrong.set(false);
    const said = await this.lock.open(field.value).finally(() => {
      this.busy.set(false);
      this.pause.look();
    });
    if (said === 'open') return void this.router.navigateByUrl(this.lock.cameFrom());
    this.wrong.set(true);
    field.select();
  }
}
