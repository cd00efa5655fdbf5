import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  inject,
  input,
  output,
  untracked,
} from '@angular/core';
import { type Comfort, type LearnerPackage, PLAIN_COMFORT, type Tools } from '@lorvet/core/desk';
import type { Unit } from '../../ui/readable';
import { inForcedColours } from '../../ui/word-mark';
import { ReadBar } from './read-bar';
import { Reader } from './reader';
import { WordHelp } from './word-help';
import { WordMarks } from './word-marks';

/** How long the page must have been still before its words are marked anew. */
const STILL_MS = 120;

/** Whether somebody sees it now or after one screen of scrolling: of a long page a browser draws no ten thousand marks. */
function isNear({ element }: Unit): boolean {
  const { top, bottom } = element.getBoundingClientRect();
  return bottom > -innerHeight && top < 2 * innerHeight;
}

/** All that helps to read a part of the page: the bar, marks on words, help with a word. It changes nothing of the page. */
@Component({
  selector: 'lv-reading',
  imports: [ReadBar, WordHelp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (reader.isOpen()) {
      @defer (on immediate) {
        <lv-word-help [pages]="pages()" [homeCode]="comfort().home" [tools]="tools()" />
        <lv-read-bar
          [comfort]="comfort()"
          [tools]="tools()"
          (comfortChanged)="comfortChanged.emit($event)"
          (closed)="closed.emit()"
        />
      }
    }
  `,
})
export class Reading {
  /** What is read. */
  readonly root = input.required<HTMLElement>();
  readonly pages = input<LearnerPackage['pages']>([]);
  readonly comfort = input<Comfort>(PLAIN_COMFORT);
  readonly tools = input<Tools>({});
  readonly comfortChanged = output<Partial<Comfort>>();
  readonly closed = output();
  protected readonly reader = inject(Reader);
  private readonly marks = new WordMarks();

  constructor() {
    inject(DestroyRef).onDestroy(() => this.marks.close());
    effect(() => this.reader.comfort.set(this.comfort()));
    // Taken away by the teacher meanwhile.
    effect(() => {
      const { aloud, meaning } = this.tools();
      untracked(() => {
        if (aloud === 'hidden') this.reader.close();
        else if (meaning === 'hidden') this.reader.help(false);
      });
    });
    effect((onCleanup) => {
      const root = this.root();
      untracked(() => this.reader.reads(root));
      const press = (event: MouseEvent) => this.pressed(event);
      root.addEventListener('click', press, true);
      onCleanup(() => root.removeEventListener('click', press, true));
    });
    // Words are marked on the page as it stands, and again when it has changed.
    afterRenderEffect((onCleanup) => {
      const [root, { parts, kinds }] = [this.root(), this.comfort()];
      if ((!parts && !kinds) || (this.reader.isOpen() && inForcedColours())) return;
      let timer: ReturnType<typeof setTimeout> | undefined;
      const marks = () => void this.marks.show(this.reader.units().filter(isNear), { parts, kinds });
      const soon = () => {
        clearTimeout(timer);
        timer = setTimeout(marks, STILL_MS);
      };
      const watch = new MutationObserver(soon);
      watch.observe(root, { childList: true, subtree: true, characterData: true });
      window.addEventListener('scroll', soon, { passive: true });
      soon();
      onCleanup(() => {
        window.removeEventListener('scroll', soon);
        clearTimeout(timer);
        watch.disconnect();
        this.marks.clear();
      });
    });
  }

  /** While help is on, a press on a word asks for it, wherever it stands; a press beside a word does what it always does. */
  private pressed(event: MouseEvent): void {
    if (!this.reader.isHelping() || event.detail === 0) return;
    const word = this.reader.wordAt(event.clientX, event.clientY);
    if (!word) return;
    event.preventDefault();
    event.stopPropagation();
    this.reader.point(word);
  }
}
