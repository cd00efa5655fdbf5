import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type Answer,
  answerIsEmpty,
  type Comfort,
  type LearnerPackage,
  oneByOne,
  type Overtaken,
  PLAIN_COMFORT,
  type Tools,
  type Used,
  questionNumbers,
  type SlippedCompanion,
} from '@lorvet/core/desk';
import { Clock } from '../../platform/clock';
import { HOME_LANGUAGES } from '../../platform/home-language';
import { Focused } from '../../ui/focused';
import { onceDrawn } from '../../ui/once-drawn';
import { LaidPage } from '../../ui/blocks/laid-page';
import { SheetContext } from '../../ui/blocks/sheet-context';
import { PageMarkView } from '../../ui/page-mark';
import { SwatchMark } from '../../ui/swatch';
import { Say, saying } from '../../ui/say/say';
import { Companions, type Noted } from '../companions/companions';
import { AnswerHistory } from './answer-history';
import { ComfortSettings } from '../comfort/comfort-settings';
import { comfortSays, comfortStyle, withPrint } from '../comfort/comfort-style';
import { HomeText } from '../reading/home-text';
import { type BesideAll, BesideQuestion } from './beside-question';
import { FIRST_TRY, NOTHING_SAID, type TeacherSaid, type Together, type Tries } from '../desk-work';
import { GoesStrip } from './goes-strip';
import { NotKept, type Trouble } from './not-kept';
import { type ForPaper, OnPaper } from './on-paper';
import { PageDots } from './page-dots';
import { StartAfresh } from './start-afresh';
import { type Blank, SubmitAsk } from './submit-ask';
import { TeacherWords } from './teacher-words';
import { Turns } from './turns';
import { Reader } from '../reading/reader';
import { Reading } from '../reading/reading';
import { Ruler } from '../reading/ruler';
import { Use } from '../reading/use';
import { picturesOf, WordPictures } from '../reading/word-pictures';

/** What pictures above words need of room, in lines. */
const ROOM_ABOVE = 1.2;
const NONE: ReadonlyMap<string, string> = new Map();

/** What can be answered in. */
const FIELDS =
  'input:not([disabled]), textarea:not([disabled]), select:not([disabled]), button[aria-pressed]:not([disabled])';

/** A sheet as its learner works on it, page by page. It knows a package and answers, and nothing else. */
@Component({
  selector: 'lv-sheet-view',
  imports: [
    BesideQuestion,
    ComfortSettings,
    Companions,
    Focused,
    GoesStrip,
    HomeText,
    LaidPage,
    LucideDynamicIcon,
    NotKept,
    OnPaper,
    PageDots,
    PageMarkView,
    Reading,
    Ruler,
    StartAfresh,
    SubmitAsk,
    SwatchMark,
    TeacherWords,
    Turns,
    WordPictures,
  ],
  providers: [Reader, SheetContext, Use],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheet-view.html',
  styleUrls: ['../desk.css', './part.css', './sheet-view.css'],
  host: {
    '[style]': 'style()',
    '[attr.data-comfort]': 'says()',
    '[class.on-paper]': 'onPaper()',
    '(window:beforeprint)': 'print(true)',
    '(window:afterprint)': 'print(false)',
  },
})
export class SheetView {
  readonly sheet = input.required<LearnerPackage>();
  readonly answers = input<Readonly<Record<string, Answer>>>({});
  readonly comfort = input<Comfort>(PLAIN_COMFORT);
  /** How it is to be at first, and what the teacher settled of it. */
  readonly start = input<Comfort>(PLAIN_COMFORT);
  readonly tools = input<Tools>({});
  readonly locked = input(false);
  /** Whether places for notes are open though the work is submitted. */
  readonly mayNote = input(false);
  readonly name = input('');
  /** What stands at the top: saved, submitted, looking as somebody. */
  readonly status = input('');
  /** Who does it too, where several share the sheet; and whose turn it is to write. */
  readonly together = input<Together | null>(null);
  readonly writer = input('');
  readonly passedOn = output<string>();
  /** What somebody wrote at the same time, beside what stands there. */
  readonly overtaken = input<readonly Overtaken[]>([]);
  /** What goes with it, and what was written on its sheets of notes. */
  readonly companions = input<readonly SlippedCompanion[]>([]);
  readonly noted = input<Readonly<Record<string, string>>>({});
  readonly notesOvertaken = input<readonly Overtaken[]>([]);
  readonly noting = output<Noted>();
  /** The pages that are the learner's own place; and whether the others' places can be looked at. */
  readonly placeIds = input<readonly string[]>([]);
  readonly hasPlaces = input(false);
  readonly placesAsked = output();
  /** For the teacher's copy; none at the desk. */
  readonly teacher = input<ForPaper | null>(null);
  /** What stands under the flap of a block. */
  readonly under = input<(blockId: string) => Promise<string | undefined>>();
  readonly said = input<TeacherSaid>(NOTHING_SAID);
  readonly tries = input<Tries>(FIRST_TRY);
  readonly answered = output<{ id: string; answer: Answer }>();
  /** The block at which it was left, null until that is known; and, as pages are turned, the first block of the page that is shown. */
  readonly leftAt = input<string | null>('');
  readonly moved = output<string>();
  readonly begunAfresh = output();
  readonly broughtBack = output<string>();
  readonly takenBack = output();
  readonly begunAgain = output();
  readonly goChosen = output<number>();
  /** Why what was written is not kept. */
  readonly trouble = input<Trouble>(null);
  /** Whether the field that is written in has no more room. */
  readonly isFull = input(false);
  readonly triedAgain = output();
  readonly filed = output();
  readonly submitted = output();
  readonly comfortChanged = output<Partial<Comfort>>();
  readonly left = output();

  private readonly onceDrawn = onceDrawn();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly speaks = inject(Say);
  protected readonly t = saying();
  protected readonly reader = inject(Reader);
  private readonly use = inject(Use);
  private readonly submitButton = viewChild<ElementRef<HTMLElement>>('submitButton');
  private readonly hearButton = viewChild<ElementRef<HTMLElement>>('hearButton');
  protected readonly at = signal(0);
  /** What stands beside the sheet: the comfort, or the page in the language at home. */
  protected readonly side = signal<'home' | 'comfort' | null>(null);
  protected readonly asking = signal(false);
  /** Whether the go before stands beside the answers. */
  protected readonly besideBefore = signal(false);
  protected readonly homeButton = viewChild<ElementRef<HTMLElement>>('homeButton');
  protected readonly home = computed(() => HOME_LANGUAGES.find((l) => l.code === this.comfort().home));
  /** Whether the sheet is looked at as it is printed, or is being printed from the screen. */
  protected readonly paper = signal(false);
  protected readonly printing = signal(false);
  protected readonly onPaper = computed(() => this.paper() || this.printing());
  /** The comfort as it is shown: with what the sheet asks for. */
  protected readonly shownComfort = computed(() => withPrint(this.comfort(), this.sheet().show.print));
  /** The pictures of the sheet's own words; those that stand above the words. */
  protected readonly pictures = computed(() => picturesOf(this.sheet().pages));
  protected readonly symbols = computed(() => (this.comfort().symbols ? this.pictures() : NONE));
  /** How far lines are apart, as a factor of the size; with room for what stands above the words. */
  protected readonly lines = computed(() => this.shownComfort().spacing + (this.symbols().size ? ROOM_ABOVE : 0));
  protected readonly style = computed(() => comfortStyle(this.shownComfort()));
  protected readonly says = computed(() => comfortSays(this.comfort()));
  /** The pages as they are turned: of one question each where that was chosen. */
  protected readonly pages = computed(() => {
    const { pages, show } = this.sheet();
    return show.oneAtATime || this.comfort().alone ? oneByOne(pages) : pages;
  });
  private readonly app = inject(ApplicationRef);
  private readonly context = inject(SheetContext);
  /** Whether all pages stand one below the other. */
  protected readonly isOne = computed(
    () => this.comfort().scroll && !this.comfort().alone && !this.sheet().show.oneAtATime,
  );
  protected readonly shown = computed(() => {
    const page = this.pages()[this.at()];
    return this.isOne() ? this.pages() : page ? [page] : [];
  });
  protected readonly history = new AnswerHistory();
  private readonly whichTry = computed(
    () =>
      `${this.tries().go} ${this.locked()} ${this.tries()
        .aside.map((a) => a.id)
        .join(' ')}`,
  );
  private readonly clock = inject(Clock);
  protected readonly hasAnswers = computed(() => Object.values(this.answers()).some((a) => !answerIsEmpty(a)));
  /** What was just taken back or made again, for who cannot see it. */
  protected readonly undid = signal('');
  protected readonly canWrite = computed(() => !this.locked() && this.sheet().way !== 'to-read');
  private readonly items = computed(() =>
    this.pages().flatMap((p, page) => p.blocks.filter((b) => 'prompt' in b).map((b) => ({ id: b.id, page }))),
  );
  protected readonly numbers = computed(() => questionNumbers(this.sheet().pages));
  protected readonly dots = computed(() =>
    this.pages().map((p, i) => {
      const items = this.items().filter((x) => x.page === i);
      return {
        id: p.id,
        done: items.length > 0 && items.every((x) => !answerIsEmpty(this.answers()[x.id])),
      };
    }),
  );
  protected readonly blanks = computed((): Blank[] =>
    this.items()
      .filter((x) => answerIsEmpty(this.answers()[x.id]))
      .map((x) => ({ ...x, number: this.numbers().get(x.id) ?? 0 })),
  );

  /** What stands beside the questions. */
  protected readonly besideAll = computed((): BesideAll => {
    const names = new Map(this.together()?.members.map((m) => [m.id, m.name]));
    const wrote = Object.entries(this.together()?.by ?? {}).map(([item, id]) => [item, names.get(id) ?? '']);
    const { marks, notes, comments, keys, voices, writing, levels } = this.said();
    return {
      marks,
      notes,
      comments,
      voices,
      writing,
      levels,
      keys,
      before: this.besideBefore() ? this.tries().before : {},
      wrote: Object.fromEntries(wrote) as Record<string, string>,
      overtaken: this.overtaken().map((o) => ({ ...o, name: names.get(o.by ?? '') ?? '' })),
    };
  });

  constructor() {
    // Once: it goes on where it was left.
    const going = effect(() => {
      const [left, pages] = [this.leftAt(), this.pages()];
      if (!pages.length || left === null) return;
      untracked(() => {
        const page = this.pageOf(left);
        if (page >= 0) this.lead(page, () => this.inSight(left));
        going.destroy();
      });
    });
    // Another go, or another try at it, has no steps yet.
    effect(() => {
      this.whichTry();
      untracked(() => this.history.forget());
    });
    effect(() => this.context.tools.set(this.tools()));
    effect(() => this.context.sheet.set({ pages: this.pages(), turn: (to) => this.turn(to) }));
    effect(() => {
      const pages = this.pages().length;
      untracked(() => this.at.set(Math.min(this.at(), Math.max(0, pages - 1))));
    });
  }

  /** What the teacher said to what lies on a page's picture: it stands under the picture, by number. */
  protected saidOn(page: LearnerPackage['pages'][number]) {
    return page.blocks.flatMap(({ id }) => {
      const said = page.fixed && page.places[id] ? this.said().comments[id] : undefined;
      return said ? [{ id, said, number: this.numbers().get(id) ?? '' }] : [];
    });
  }

  protected give(id: string, answer: Answer): void {
    this.history.note(id, this.answers()[id], answer, this.clock.ms());
    this.undid.set('');
    this.answered.emit({ id, answer });
  }

  /** Takes the last step back, or makes it again, and leads to where that is. */
  protected step(what: 'undo' | 'redo'): void {
    // What was pressed in this very moment is drawn first: else a box would keep the tick that is taken back.
    this.app.tick();
    const step = this.history[what]();
    if (!step) return;
    this.answered.emit(step);
    const number = this.numbers().get(step.id);
    const undo = what === 'undo';
    this.undid.set(
      number
        ? this.t(undo ? 'Taken back: question {number}' : 'Made again: question {number}', { number })
        : this.t(undo ? 'An answer is taken back' : 'An answer is made again'),
    );
    this.lead(this.pageOf(step.id), () => this.inSight(step.id));
  }

  /** In a field the browser’s own undo acts on what is written there. */
  protected undoByKey(event: KeyboardEvent): void {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || !this.canWrite()) return;
    if (event.target instanceof Element && event.target.matches('textarea, input[type=text]')) return;
    event.preventDefault();
    this.step(event.shiftKey ? 'redo' : 'undo');
  }

  private blockOf(id: string): HTMLElement | null | undefined {
    return this.host.nativeElement.querySelector(`#${CSS.escape(`q-${id}`)}`)?.closest<HTMLElement>('lv-learner-block');
  }

  private inSight(blockId: string): void {
    const block = this.blockOf(blockId);
    const box = block?.getBoundingClientRect();
    if (block && box && (box.top < 90 || box.top > innerHeight - 160)) block.scrollIntoView({ block: 'center' });
  }

  private pageOf(blockId: string): number {
    return this.pages().findIndex((p) => p.blocks.some((b) => b.id === blockId));
  }

  /** Shows a page, and does the rest once it is there. */
  private lead(page: number, then: () => void): void {
    if (page >= 0 && !this.isOne()) this.at.set(page);
    this.onceDrawn(then);
  }

  protected turn(to: number): void {
    this.asking.set(false);
    const first = this.pages()[to]?.blocks[0];
    if (first) this.moved.emit(first.id);
    this.lead(to, () => {
      const host = this.host.nativeElement;
      if (this.isOne()) return host.querySelectorAll('.page')[to]?.scrollIntoView({ block: 'start' });
      host.querySelector<HTMLElement>('main')?.focus();
      host.scrollIntoView({ block: 'start' });
      this.reader.turned();
    });
  }

  /** What of the desk was used since this was asked last. */
  takeUse(): Used {
    return this.use.take();
  }

  protected hear(): void {
    if (this.reader.isOpen()) this.unhear();
    else this.reader.open();
  }

  protected unhear(): void {
    this.reader.close();
    this.hearButton()?.nativeElement.focus();
  }

  /** The browser prints what stands there when this returns. */
  protected print(on: boolean): void {
    this.printing.set(on);
    this.app.tick();
  }

  /** Asks before it submits; asked again, it leads there once more. */
  protected ask(): void {
    this.asking.set(false);
    this.app.tick();
    this.asking.set(true);
  }

  protected toggle(which: 'home' | 'comfort'): void {
    this.side.set(this.side() === which ? null : which);
  }

  protected notYet(): void {
    this.asking.set(false);
    this.submitButton()?.nativeElement.focus();
  }

  /** Leads to a question: into what is answered first in it. */
  protected toQuestion({ id }: { readonly id: string }): void {
    this.asking.set(false);
    this.moved.emit(id);
    this.lead(this.pageOf(id), () => {
      const block = this.blockOf(id);
      block?.scrollIntoView({ block: 'center' });
      (block?.querySelector<HTMLElement>(FIELDS) ?? block)?.focus({ preventScroll: true });
    });
  }

  protected submit(): void {
    this.asking.set(false);
    this.submitted.emit();
  }
}
