import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, output, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { Dictation } from '../../platform/dictation';
import { Full } from '../full';
import { SheetContext } from './sheet-context';
import { SignPad } from './sign-pad';
import { Say, saying } from '../say/say';

type Field = HTMLInputElement | HTMLTextAreaElement;

/** Beside a field: words that are spoken into it, and signs that are pressed into it, where its cursor is. */
@Component({
  selector: 'lv-field-help',
  imports: [LucideDynamicIcon, SignPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (signs()) {
      @defer (on immediate) {
        <lv-sign-pad [before]="before" (put)="press($event)" />
      }
    }
    @if (speaks() && dictation.can() && !hidden()) {
      <div class="row">
        <button type="button" class="btn" [attr.aria-pressed]="isOn()" (click)="isOn() ? stop() : listen()">
          <svg [lucideIcon]="isOn() ? 'square' : 'mic'"></svg>{{ t(isOn() ? 'Stop listening' : 'Speak it') }}
        </button>
        @if (isOn()) {
          <span role="status">{{
            t(dictation.isStandIn() ? 'Stand-in microphone: not a real one.' : 'Listening …')
          }}</span>
        }
      </div>
      @if (problem()) {
        <p role="alert">{{ problem() }}</p>
      }
    }
  `,
  // It is no part of what is read aloud.
  host: { 'data-quiet': '', '[attr.lang]': 'desk.language()', '[attr.dir]': 'desk.direction()' },
  styleUrl: './help-row.css',
  styles: `
    :host {
      display: grid;
      gap: 6px;
    }
    .row {
      margin-top: 6px;
    }
    @media print {
      :host {
        display: none;
      }
    }
  `,
})
export class FieldHelp {
  protected readonly desk = inject(Say);
  protected readonly t = saying();
  readonly field = input.required<Field>();
  readonly signs = input(false);
  /** Whether words may be spoken into it: not into a number. */
  readonly speaks = input(true);
  /** The whole text as it is then. */
  readonly told = output<string>();
  protected readonly dictation = inject(Dictation);
  private readonly full = inject(Full);
  private readonly context = inject(SheetContext, { optional: true });
  protected readonly hidden = computed(() => this.context?.tools().speak === 'hidden');
  protected readonly isOn = signal(false);
  protected readonly problem = signal('');
  private off: () => void = () => undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop());
  }

  protected readonly before = (): string => {
    const { value, selectionStart } = this.field();
    return value.slice(0, selectionStart ?? value.length);
  };

  protected press(sign: string): void {
    this.put(sign);
    this.field().focus();
  }

  protected listen(): void {
    this.problem.set('');
    this.turn(true);
    this.off = this.dictation.listen({
      words: (text) => this.say(text),
      end: (why) => {
        this.problem.set(why && this.t(why));
        this.turn(false);
      },
    });
  }

  protected stop(): void {
    if (this.isOn()) this.off();
  }

  private turn(on: boolean): void {
    this.isOn.set(on);
    this.context?.isSpoken.set(on);
  }

  /** Words stand apart from what is before them. */
  private say(words: string): void {
    const before = this.before();
    this.put(before && !/\s$/.test(before) ? ` ${words}` : words);
  }

  private put(text: string): void {
    const field = this.field();
    const [from, to] = [field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length];
    const marked = to - from;
    if (field.maxLength >= 0 && field.value.length - marked + text.length > field.maxLength) {
      this.full.say(field.maxLength);
      return this.stop();
    }
    field.setRangeText(text, from, to, 'end');
    this.told.emit(field.value);
  }
}
