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
import { LucideDynamicIcon } from '@lucide/angular';
import { plainRich, readRich, type RichPart, writeRich } from '@lorvet/core';
import type { Editor } from '@tiptap/core';
import { Leaving } from '../platform/leaving';
import { Changes } from './changes';
import { Full } from './full';
import { Rich } from './blocks/rich';
import { Press } from './press';
import { fetchWhenIdle, richEditor } from './rich-editor-ready';
import { TypedAhead } from './typed-ahead';

const PAUSE_MS = 500;

/**
 * Text with strong, stressed and lists, edited where it stands. The editor comes when it is first needed. What is
 * written is kept as marked words (docs/format.md), so that rewordings and merges go by words here too.
 */
@Component({
  selector: 'lv-rich-words',
  imports: [Rich, Changes, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (editing()) {
      <div class="bar" role="toolbar" [attr.aria-label]="'Style of ' + label()">
        <button
          type="button"
          [attr.aria-pressed]="on().strong"
          (mousedown)="$event.preventDefault()"
          (click)="mark('bold')"
          title="Strong (Ctrl B)"
        >
          <b>S</b><span class="sr">trong</span>
        </button>
        <button
          type="button"
          [attr.aria-pressed]="on().em"
          (mousedown)="$event.preventDefault()"
          (click)="mark('italic')"
          title="Stressed (Ctrl I)"
        >
          <i>S</i><span class="sr">tressed</span>
        </button>
        <button
          type="button"
          [attr.aria-pressed]="on().list"
          (mousedown)="$event.preventDefault()"
          (click)="mark('bulletList')"
          title="List"
        >
          <svg lucideIcon="list"></svg><span class="sr">List</span>
        </button>
        <button
          type="button"
          [attr.aria-pressed]="on().numbered"
          (mousedown)="$event.preventDefault()"
          (click)="mark('orderedList')"
          title="Numbered list"
        >
          <svg lucideIcon="list-ordered"></svg><span class="sr">Numbered list</span>
        </button>
      </div>
      <div #place class="editor" (focusout)="left($event)"></div>
    } @else {
      <button class="rest" type="button" [attr.aria-label]="label() + ': ' + (text() || 'empty')" (click)="enter()">
        @if (was() !== undefined && was() !== text()) {
          <lv-changes [was]="plain(was()!)" [now]="plain(text())" />
        } @else if (text()) {
          <lv-rich [text]="text()" />
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
    .rest {
      display: block;
      /* As in lv-words: the words stand in line with those around them. */
      width: calc(100% + 10px);
      margin: 0 -5px;
      padding: 1px 4px;
      border: 1px solid transparent;
      border-radius: 4px;
      background: transparent;
      text-align: left;
      cursor: text;
      overflow-wrap: anywhere;
    }
    .rest:hover {
      border-color: var(--line);
      background: var(--paper);
    }
    lv-changes {
      white-space: pre-wrap;
    }
    .placeholder {
      color: var(--ink-3);
    }
    .bar {
      display: flex;
      gap: 2px;
      margin-bottom: 2px;
    }
    .bar button {
      display: grid;
      place-items: center;
      min-width: 32px;
      min-height: 30px;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--surface);
    }
    .bar button[aria-pressed='true'] {
      background: var(--accent-soft);
      border-color: var(--accent);
    }
    .editor {
      border: 1px solid var(--line-strong);
      border-radius: 4px;
      background: var(--paper);
      min-height: 30px;
    }
  `,
})
export class RichWords implements OnDestroy {
  readonly text = input.required<string>();
  readonly label = input.required<string>();
  /** Letters that fit, with those that mark a style. */
  readonly most = input.required<number>();
  readonly placeholder = input('');
  readonly was = input<string>();
  readonly written = output<string>();

  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly place = viewChild<ElementRef<HTMLElement>>('place');
  protected readonly editing = signal(false);
  /** What differs is shown in words; a change of style alone is not seen here. */
  protected readonly plain = plainRich;
  protected readonly on = signal({ strong: false, em: false, list: false, numbered: false });
  private editor: Editor | null = null;
  private read: (editor: Editor) => RichPart[] = () => [];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly leaving = inject(Leaving);
  private readonly full = inject(Full);
  private readonly ahead = inject(TypedAhead);
  private readonly press = inject(Press);
  private stopWatching: (() => void) | undefined;
  private isDirty = false;

  constructor() {
    afterNextRender(fetchWhenIdle);
  }

  /** As in lv-words: what is written in it is said before it goes. */
  ngOnDestroy(): void {
    this.say();
    this.close();
  }

  enter(): void {
    this.editing.set(true);
    // After the frame, not in it: what else the press brings about is drawn first.
    afterNextRender(() => setTimeout(() => void this.begin()), { injector: this.injector });
  }

  protected mark(what: 'bold' | 'italic' | 'bulletList' | 'orderedList'): void {
    const chain = this.editor?.chain().focus();
    if (what === 'bold') chain?.toggleBold().run();
    else if (what === 'italic') chain?.toggleItalic().run();
    else if (what === 'bulletList') chain?.toggleBulletList().run();
    else chain?.toggleOrderedList().run();
  }

  protected left(event: FocusEvent): void {
    // To the style buttons is not away.
    if (this.host.nativeElement.contains(event.relatedTarget as Node | null)) return;
    this.say();
    const { editor } = this;
    this.press.after(() => {
      if (this.editor === editor) this.leave();
    });
  }

  private async begin(): Promise<void> {
    const { openEditor, focusAtEnd, partsOf, writeAtEnd } = await richEditor();
    const place = this.place()?.nativeElement;
    if (!place || this.editor) return;
    const editor = openEditor(place, readRich(this.text()), this.label(), {
      fits: (parts) => writeRich(parts).length <= this.most(),
      full: () => this.full.say(this.most()),
      changed: () => {
        this.isDirty = true;
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.say(), PAUSE_MS);
      },
      moved: (e) =>
        this.on.set({
          strong: e.isActive('bold'),
          em: e.isActive('italic'),
          list: e.isActive('bulletList'),
          numbered: e.isActive('orderedList'),
        }),
      done: () => this.leave(true),
    });
    this.editor = editor;
    this.read = partsOf;
    this.stopWatching = this.leaving.say(() => this.say());
    focusAtEnd(editor);
    const typed = this.ahead.take();
    if (typed) writeAtEnd(editor, typed);
  }

  private leave(byKey = false): void {
    this.say();
    this.close();
    this.editing.set(false);
    if (byKey)
      afterNextRender(() => this.host.nativeElement.querySelector('button')?.focus(), { injector: this.injector });
  }

  private close(): void {
    this.stopWatching?.();
    this.editor?.destroy();
    this.editor = null;
  }

  private say(): void {
    clearTimeout(this.timer);
    if (!this.editor || !this.isDirty) return;
    this.isDirty = false;
    const text = writeRich(this.read(this.editor));
    if (text !== this.text()) this.written.emit(text);
  }
}
