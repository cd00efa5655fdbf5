import {
  afterNextRender,
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  Injector,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { format, parseISO } from 'date-fns';
import { PrimeNG } from 'primeng/config';
import { DatePicker } from 'primeng/datepicker';
import { InputText } from 'primeng/inputtext';
import { IconButton } from '../icon-button';
import { controlled } from './controlled';
import { asControl, OfForm } from './of-form';
import { ownForm } from './own-form';
import { readDay } from './read-day';

let made = 0;

/**
 * A day, or a day and time, typed or chosen from a calendar, in the form and week of the teacher's browser. `value` and
 * what is told are local: "2026-11-26", "2026-11-26T14:30", or "" for none. Until its calendar is asked for it is a line to
 * write in: a calendar takes some 30 ms to make, and a plan has six of them.
 */
@Component({
  selector: 'lv-date',
  imports: [IconButton, DatePicker, InputText, ReactiveFormsModule],
  host: { '(input)': 'type($event)' },
  providers: [asControl(() => DateField)],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id" [class.sr]="hideLabel()">{{ label() }}</label>
    @if (asked()) {
      <p-datepicker
        [inputId]="id"
        [formControl]="shown.control"
        [dateFormat]="own.day"
        [firstDayOfWeek]="own.words.firstDayOfWeek ?? 1"
        [showTime]="withTime()"
        [hourFormat]="own.hours"
        [stepMinute]="5"
        [keepInvalid]="true"
        [showIcon]="true"
        [showOnFocus]="false"
        [showButtonBar]="true"
        [placeholder]="own.example(withTime())"
        [iconAriaLabel]="'Calendar: ' + label()"
        appendTo="body"
        (onSelect)="chosen()"
        (onBlur)="tell()"
        (onClearClick)="chosen()"
        (onTodayClick)="chosen()"
      />
    } @else {
      <span class="line">
        <input
          pInputText
          [id]="id"
          autocomplete="off"
          maxlength="60"
          [formControl]="line.control"
          [placeholder]="own.example(withTime())"
          (blur)="tell()"
        /><button
          type="button"
          lvIcon="calendar-days"
          framed
          aria-haspopup="dialog"
          aria-expanded="false"
          [says]="'Calendar: ' + label()"
          [disabled]="shown.control.disabled"
          (click)="ask()"
        ></button>
      </span>
    }
    @if (says(); as s) {
      <p class="small wrong" role="alert">{{ s }}</p>
    }
  `,
  styleUrl: './field.css',
  styles: `
    .wrong {
      color: var(--madder);
    }
    .line {
      display: flex;
      min-width: 0;
      font-weight: 400;
    }
    .line input {
      flex: 1;
      min-width: 0;
      border-start-end-radius: 0;
      border-end-end-radius: 0;
    }
    .line button {
      flex: none;
      border-start-start-radius: 0;
      border-end-start-radius: 0;
      margin-inline-start: -1px;
    }
  `,
})
export class DateField extends OfForm<string> {
  readonly label = input.required<string>();
  readonly hideLabel = input(false, { transform: booleanAttribute });
  /** What is kept; left out where the field is a control of a form. */
  readonly value = input<string>();
  readonly withTime = input(false, { transform: booleanAttribute });
  /** The time of a day that is typed without one. */
  readonly timeWhenNone = input('00:00');
  readonly told = output<string>();

  protected readonly id = `date-${++made}`;
  protected readonly own = ownForm(navigator.language);
  /** What is wrong with what stands in the field; it stays there to be mended. */
  protected readonly says = signal('');
  private typed: string | undefined;
  private readonly kept = computed(() => this.value() ?? this.written() ?? '');
  private readonly day = computed<Date | string | null>(() => (this.kept() ? parseISO(this.kept()) : null), {
    equal: (a, b) => (a instanceof Date && b instanceof Date ? a.getTime() === b.getTime() : a === b),
  });
  protected readonly shown = controlled(this.day);
  /** The same in words, for the line to write in. */
  protected readonly line = controlled(computed(() => this.inOwnForm(this.day())));
  /** Its calendar has been asked for. */
  protected readonly asked = signal(false);
  private readonly injector = inject(Injector);
  private readonly calendar = viewChild(DatePicker);

  constructor() {
    super();
    inject(PrimeNG).setTranslation(this.own.words);
  }

  private inOwnForm(at: Date | string | null): string {
    if (!(at instanceof Date)) return '';
    const day = this.own.day.replace('mm', 'MM').replace('yy', 'yyyy');
    return format(at, this.withTime() ? `${day} ${this.own.hours === '12' ? 'hh:mm a' : 'HH:mm'}` : day);
  }

  protected ask(): void {
    const typed = this.typed;
    this.asked.set(true);
    afterNextRender(
      () => {
        const input = this.calendar()?.inputfieldViewChild?.nativeElement as HTMLInputElement | undefined;
        if (!input) return;
        // What could not be read stays to be mended.
        if (typed) input.value = typed;
        this.calendar()?.onButtonClick(new Event('click'));
      },
      { injector: this.injector },
    );
  }

  /** Typed, pasted or spoken: read when the field is left. */
  protected type(event: Event): void {
    if (event.target instanceof HTMLInputElement && event.target.id === this.id) {
      this.typed = event.target.value;
      this.says.set('');
    }
  }

  /** From the calendar: what was typed before does not count. */
  protected chosen(): void {
    this.typed = undefined;
    this.tell();
  }

  protected tell(): void {
    const typed = this.typed?.trim();
    const control = this.shown.control;
    if (typed) {
      const read = readDay(typed, this.own.day, this.withTime() ? this.timeWhenNone() : null);
      if (!read) {
        const what = this.withTime() ? 'day and time' : 'day';
        this.says.set(`“${typed.slice(0, 40)}” is no ${what}. Write it as ${this.own.example(this.withTime())}.`);
        return;
      }
      control.setValue(read, { emitEvent: false });
    } else if (typed === '') control.setValue(null, { emitEvent: false });
    this.typed = undefined;
    this.says.set('');
    const at = control.value;
    const text = at instanceof Date ? format(at, this.withTime() ? "yyyy-MM-dd'T'HH:mm" : 'yyyy-MM-dd') : '';
    this.touched();
    if (text === this.kept()) {
      this.line.show();
      return;
    }
    this.changed(text);
    this.told.emit(text);
    this.shown.show();
    this.line.show();
  }
}
