import { ChangeDetectionStrategy, Component, ElementRef, inject, input, output, signal } from '@angular/core';
import { MOST_ASIDE } from '@lorvet/core/desk';
import { Focused } from '../../ui/focused';
import { onceDrawn } from '../../ui/once-drawn';
import { Say, saying } from '../../ui/say/say';

/** A fresh start, asked for twice; and what was put aside by an earlier one, to be brought back. */
@Component({
  selector: 'lv-start-afresh',
  imports: [Focused],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (asking()) {
      <p class="grow" lvFocused>
        {{ t('Start with an empty sheet? What you wrote is put aside. You can bring it back.') }}
      </p>
      <button class="btn" type="button" (click)="notNow()">{{ t('No, go on') }}</button>
      <button class="btn main" type="button" (click)="begin()">{{ t('Start afresh') }}</button>
    } @else {
      @if (hasAnswers() && aside().length < most) {
        <button class="btn quiet" type="button" (click)="asking.set(true)">{{ t('Start afresh …') }}</button>
      }
      @for (a of aside(); track a.id) {
        <button class="btn quiet" type="button" (click)="bringBack(a.id)">
          {{ t('Bring back what I wrote before {when}', { when: say.when(a.at) }) }}
        </button>
      }
    }
  `,
  host: { 'data-quiet': '', '(keydown.escape)': 'notNow()' },
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    .btn {
      min-height: 44px;
      padding: 4px 18px;
      font-size: 0.85em;
      white-space: normal;
    }
  `,
})
export class StartAfresh {
  readonly hasAnswers = input.required<boolean>();
  /** Tries that were put aside, the newest first. */
  readonly aside = input.required<readonly { readonly id: string; readonly at: string }[]>();
  readonly begun = output();
  readonly broughtBack = output<string>();
  protected readonly say = inject(Say);
  protected readonly t = saying();
  protected readonly most = MOST_ASIDE;
  protected readonly asking = signal(false);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly onceDrawn = onceDrawn();

  protected notNow(): void {
    if (!this.asking()) return;
    this.asking.set(false);
    this.stayHere();
  }

  protected begin(): void {
    this.asking.set(false);
    this.begun.emit();
    this.stayHere();
  }

  protected bringBack(id: string): void {
    this.broughtBack.emit(id);
    this.stayHere();
  }

  /** What was pressed goes: the focus stays where it was. */
  private stayHere(): void {
    this.onceDrawn(() => this.host.querySelector('button')?.focus());
  }
}
