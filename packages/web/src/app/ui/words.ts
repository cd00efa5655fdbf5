import { CdkTextareaAutosize } from '@angular/cdk/text-field';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { Changes } from './changes';

/** Waits this long after the last stroke before it says what was written. */
const PAUSE_MS = 500;

/**
 * Words that are edited where they stand. At rest it shows them (with what changed from `was`, if that is given);
 * pressed or reached with Enter it is a field. What is written is said after a pause and on leaving.
 */
@Component({
  selector: 'lv-words',
  imports: [CdkTextareaAutosize, Changes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (editing()) {
      <textarea
        #field
        cdkTextareaAutosize
        cdkAutosizeMinRows="1"
        [attr.aria-label]="label()"
        [value]="text()"
        [placeholder]="placeholder()"
        (input)="typed(field.value)"
        (blur)="leave()"
        (keydown.escape)="leave(true)"
        (keydown.control.enter)="leave(true)"
      ></textarea>
    } @else {
      <button type="button" [attr.aria-label]="label() + ': ' + (text() || 'empty')" (click)="enter()">
        @if (was() !== undefined && was() !== text()) {
          <lv-changes [was]="was()!" [now]="text()" />
        } @else {
          <span [class.placeholder]="!text()">{{ text() || placeholder() || label() }}</span>
        }
      </button>
    }
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    button,
    textarea {
      display: block;
      /* The words stand in line with those around them; the frame is outside. */
      width: calc(100% + 10px);
      margin: 0 -5px;
      padding: 1px 4px;
      border: 1px solid transparent;
      border-radius: 4px;
      background: transparent;
      font: inherit;
      color: inherit;
      text-align: left;
      line-height: inherit;
    }
    button {
      cursor: text;
      overflow-wrap: anywhere;
    }
    button > * {
      white-space: pre-wrap;
    }
    button:hover {
      border-color: var(--line);
      background: var(--paper);
    }
    textarea {
      background: var(--paper);
      border-color: var(--line-strong);
      resize: none;
    }
    .placeholder {
      color: var(--ink-3);
      font-weight: 400;
    }
  `,
})
export class Words {
  readonly text = input.required<string>();
  readonly label = input.required<string>();
  readonly placeholder = input('');
  /** The basis's words: what differs from them is shown. */
  readonly was = input<string>();
  readonly written = output<string>();

  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly field = viewChild<ElementRef<HTMLTextAreaElement>>('field');
  protected readonly editing = signal(false);
  private draft: string | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    // Leaving the page while a word is half written must not lose it.
    inject(DestroyRef).onDestroy(() => clearTimeout(this.timer));
  }

  enter(): void {
    this.editing.set(true);
    afterNextRender(
      () => {
        const el = this.field()?.nativeElement;
        el?.focus();
        el?.setSelectionRange(el.value.length, el.value.length);
      },
      { injector: this.injector },
    );
  }

  protected typed(value: string): void {
    this.draft = value;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.say(), PAUSE_MS);
  }

  protected leave(byKey = false): void {
    this.say();
    this.editing.set(false);
    if (byKey)
      afterNextRender(() => this.host.nativeElement.querySelector('button')?.focus(), { injector: this.injector });
  }

  private say(): void {
    clearTimeout(this.timer);
    if (this.draft !== null && this.draft !== this.text()) this.written.emit(this.draft);
    this.draft = null;
  }
}
