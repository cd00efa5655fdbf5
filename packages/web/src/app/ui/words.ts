import { CdkTextareaAutosize } from '@angular/cdk/text-field';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  inject,
  Injector,
  input,
  type OnDestroy,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { Leaving } from '../platform/leaving';
import { Changes } from './changes';
import { TypedAhead } from './typed-ahead';

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
        [value]="begun()"
        [maxLength]="most()"
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
      min-height: 24px;
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
export class Words implements OnDestroy {
  readonly text = input.required<string>();
  readonly label = input.required<string>();
  /** Letters that fit. */
  readonly most = input.required<number>();
  readonly placeholder = input('');
  /** The basis's words: what differs from them is shown. */
  readonly was = input<string>();
  readonly written = output<string>();

  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly leaving = inject(Leaving);
  private readonly ahead = inject(TypedAhead);
  private readonly field = viewChild<ElementRef<HTMLTextAreaElement>>('field');
  protected readonly editing = signal(false);
  /** What stood there when the writing began: from then on the field holds what is typed, whatever comes from elsewhere. */
  protected readonly begun = signal('');
  /** What was typed and not said yet. */
  private draft: string | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private stopWatching: (() => void) | undefined;

  /** A part that goes while it is written in says its words first; its listeners still hear it. */
  ngOnDestroy(): void {
    this.say();
    this.stopWatching?.();
  }

  enter(): void {
    this.begun.set(this.text());
    this.editing.set(true);
    this.stopWatching ??= this.leaving.say(() => this.say());
    afterNextRender(
      () => {
        const el = this.field()?.nativeElement;
        if (!el) return;
        this.ahead.into(el);
        el.setSelectionRange(el.value.length, el.value.length);
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
    this.stopWatching?.();
    this.stopWatching = undefined;
    this.editing.set(false);
    if (byKey)
      afterNextRender(() => this.host.nativeElement.querySelector('button')?.focus(), { injector: this.injector });
  }

  private say(): void {
    clearTimeout(this.timer);
    const words = this.draft;
    this.draft = null;
    if (words !== null && words !== this.text()) this.written.emit(words);
  }
}
