import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  type AbstractControl,
  FormControl,
  FormGroup,
  ReactiveFormsModule,
  type ValidationErrors,
  Validators,
} from '@angular/forms';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { LEAST_LETTERS, Lock, MOST_LETTERS, type Tried } from '../platform/lock';
import { CheckBox } from '../ui/controls/check';
import { FOLD } from '../ui/controls/fold';
import { Notice } from '../ui/notice';
import { pauseOf } from '../ui/pause';
import { counted } from '../platform/many';

const words = (...rules: ((c: AbstractControl) => ValidationErrors | null)[]) =>
  new FormControl('', { nonNullable: true, validators: rules });
type Field = 'present' | 'first' | 'again';

/** The passphrase that closes every place but the desk. */
@Component({
  selector: 'lv-lock-panel',
  imports: [ButtonDirective, CheckBox, InputText, ReactiveFormsModule, ...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Lock</h2>
    <p>
      {{
        lock.isSet()
          ? 'A passphrase is set: opening the Learners’ desk closes every other place, in every tab, until it is typed.'
          : 'With a passphrase, opening the Learners’ desk closes every other place until it is typed: you can hand the machine over.'
      }}
    </p>
    <form class="row" [formGroup]="form" (ngSubmit)="set()">
      @for (f of fields(); track f.name) {
        <label class="field"
          >{{ f.label }}
          <input
            class="input"
            pInputText
            [type]="isShown() ? 'text' : 'password'"
            [formControlName]="f.name"
            [id]="'lock-' + f.name"
            [autocomplete]="f.name === 'present' ? 'current-password' : 'new-password'"
            [maxLength]="most"
            [attr.aria-invalid]="wrongIn() === f.name"
            aria-describedby="lock-says"
          />
        </label>
      }
      <button pButton severity="secondary" type="submit" [disabled]="isWaiting()">
        {{ lock.isSet() ? 'Change it' : 'Set the lock' }}
      </button>
      @if (lock.isSet()) {
        <button pButton severity="secondary" text type="button" [disabled]="isWaiting()" (click)="remove()">
          Take the lock away
        </button>
      }
    </form>
    <lv-check [on]="isShown()" (turned)="isShown.set($event)">Show what I type</lv-check>
    <p id="lock-says" class="wrong" role="alert">{{ says() }}</p>
    <lv-fold name="What it protects from, and what not">
      <p class="small">
        It keeps whoever sits at the desk from your places: by addresses, Back, keys, a reload or another tab. It is a
        door, not a safe: what is kept here is not encrypted, so somebody who opens the browser’s own developer tools,
        or this account’s files, can read it, and clearing the browser’s data takes the lock away with everything else.
        Where that matters, give learners an account of their own on this machine, or a browser profile of their own,
        and keep yours to yourself. A forgotten passphrase cannot be looked up: only a backup brings your things back.
      </p>
    </lv-fold>
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    .row {
      align-items: end;
    }
    .wrong {
      color: var(--madder);
    }
    .wrong:empty {
      display: none;
    }
    lv-fold {
      max-width: 680px;
    }
  `,
})
export class LockPanel {
  protected readonly lock = inject(Lock);
  private readonly notice = inject(Notice);
  protected readonly most = MOST_LETTERS;
  protected readonly form = new FormGroup({
    present: words(),
    first: words(Validators.minLength(LEAST_LETTERS), Validators.required),
    again: words(),
  });
  protected readonly fields = computed<{ name: Field; label: string }[]>(() => [
    ...(this.lock.isSet() ? [{ name: 'present', label: 'Passphrase now' } as const] : []),
    { name: 'first', label: this.lock.isSet() ? 'New passphrase' : 'Passphrase' },
    { name: 'again', label: 'The same again' },
  ]);
  protected readonly isShown = signal(false);
  private readonly busy = signal(false);
  private readonly pause = pauseOf(() => this.lock.pause());
  protected readonly isWaiting = computed(() => this.busy() || this.pause.seconds() > 0);
  private readonly problem = signal('');
  protected readonly wrongIn = signal<Field | null>(null);
  protected readonly says = computed(() => {
    const s = this.pause.seconds();
    return s > 0
      ? counted(
          s,
          'That was not the passphrase. Try again in {n} second.',
          'That was not the passphrase. Try again in {n} seconds.',
        )
      : this.problem();
  });

  protected async set(): Promise<void> {
    const { present, first, again } = this.form.getRawValue();
    if (this.form.controls.first.invalid)
      return this.wrong(
        `A passphrase has ${LEAST_LETTERS} characters or more: three or four words are easy to keep.`,
        'first',
      );
    if (first !== again) return this.wrong('The two are not the same. Type it twice alike.', 'again');
    const was = this.lock.isSet();
    if (await this.tried(() => this.lock.choose(first, present))) {
      this.notice.done(
        was ? 'The passphrase is changed' : 'The lock is set',
        'Opening the Learners’ desk closes every other place.',
      );
    }
  }

  protected async remove(): Promise<void> {
    const { present } = this.form.getRawValue();
    if (present === '') return this.wrong('Type the passphrase as it is now first.', 'present');
    if (await this.tried(() => this.lock.takeAway(present)))
      this.notice.done('The lock is taken away', 'The desk closes nothing any more.');
  }

  private wrong(says: string, field: Field): void {
    this.problem.set(says);
    this.wrongIn.set(field);
    document.getElementById(`lock-${field}`)?.focus();
  }

  /** Done where it was right; then nothing of what was typed stays in the fields. */
  private async tried(work: () => Promise<Tried>): Promise<boolean> {
    this.busy.set(true);
    this.problem.set('');
    this.wrongIn.set(null);
    try {
      const said = await work();
      if (said === 'open') this.form.reset();
      else this.wrong('That is not the passphrase as it is now.', 'present');
      return said === 'open';
    } catch {
      this.problem.set('It could not be written: there is not enough room in this browser. Nothing was changed.');
      return false;
    } finally {
      this.busy.set(false);
      this.pause.look();
    }
  }
}
