import { CdkTextareaAutosize } from '@angular/cdk/text-field';
import { ChangeDetectionStrategy, Component, ElementRef, computed, effect, inject, input, output, signal, viewChild, afterNextRender, Injector } from '@angular/core';
import { textChanges } from '@lorvet/core';

/** Waits this long after the last stroke before it says what was written. */
const PAUSE_MS = 500;

/**
 * Words that are edited where they stand. At rest it shows them (with what changed from `was`, if that is given);
 * pressed or reached with Enter it is a field. What is written is said after a pause and on leaving.
 */
@Component({
  selector: 'lv-words',
  imports: [CdkTextareaAutosize],
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
        @if (changes(); as parts) {
          @for (p of parts; track $index) {
            @switch (p.kind) {
              @case ('gone') {<del>{{ p.text }}</del>}
              @case ('new') {<ins>{{ p.text }}</ins>}
              @default {<span>{{ p.text }}</span>}
            }
          }
        } @else if (text()) {
          {{ text() }}
        } @else {
          <span class="placeholder">{{ placeholder() || label() }}</span>
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
      width: 100%;
      margin: 0;
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
      white-space: pre-wrap;
      overflow-wrap: anywhere;
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
  protected readonly changes = computed(() => {
    const was = this.was();
    return was === undefined || was === this.text() ? null : textChanges(was, this.text());
  });
  private draft: string | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    effect((onCleanup) => onCleanup(() => clearTimeout(this.timer)));
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
