import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Answer, answerSchema, drawingOf, mostAt, type Stroke, strokeSchema } from '@lorvet/core/desk';
import { getStroke } from 'perfect-freehand';
import { onceDrawn } from '../once-drawn';
import { Picture } from '../picture';
import { type Plain, saying } from '../say/say';

type Drawn = Extract<Answer, { kind: 'drawing' }>;
const COLOURS: readonly { id: Stroke['colour']; name: Plain }[] = [
  { id: 'ink', name: 'Black' },
  { id: 'accent', name: 'Red' },
  { id: 'moss', name: 'Green' },
  { id: 'ochre', name: 'Brown' },
];
const WIDTHS = [
  { width: 0.8, name: 'Thin' },
  { width: 2, name: 'Thick' },
] as const;
/** The pad's own units: hundredths of its width and of its height, drawn in a box of 1000 by this. */
const BOX = 1000;
const STEP = 2;
/** In hundredths of the sheet: less than a pen's width, so that it is not seen. */
const SMALLEST_MOVE = 0.15;
const MOST_POINTS = mostAt(strokeSchema, 'points');
const MOST_STROKES = mostAt(answerSchema, 'strokes');
const MOST_WORDS = mostAt(answerSchema, 'words');

/**
 * A sheet to draw and write on, over a picture or on white. Strokes by pen, finger or mouse; words are set down and
 * moved by keyboard too, so that nobody needs a pointer.
 */
@Component({
  selector: 'lv-drawing-pad',
  imports: [Picture, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './drawing-pad.html',
  styleUrl: './drawing-pad.css',
})
export class DrawingPad {
  protected readonly t = saying();
  readonly answer = input<Answer>();
  readonly locked = input(false);
  readonly assetId = input('');
  readonly alt = input('');
  /** What lies under it, and is not changed: what somebody else drew. */
  readonly under = input<Answer>();
  /** Height over width where there is no picture. */
  readonly ratio = input(0.5);
  private readonly onceDrawn = onceDrawn();
  readonly label = input('');
  readonly drawn = output<Drawn>();

  protected readonly COLOURS = COLOURS;
  protected readonly WIDTHS = WIDTHS;
  protected readonly colour = signal<Stroke['colour']>('ink');
  protected readonly width = signal<number>(0.8);
  protected readonly value = linkedSignal(() => drawingOf(this.answer()));
  protected readonly said = signal('');
  private readonly sheet = viewChild.required<ElementRef<HTMLElement>>('sheet');
  private readonly open = signal<Stroke | null>(null);
  private pen: number | null = null;
  protected readonly box = computed(() => ({ w: BOX, h: BOX * this.shape() }));
  private readonly shape = signal(0.5);
  protected readonly paths = computed(() => {
    const now = this.open();
    const all = [...this.below(), ...this.done()];
    return now ? [...all, this.drawnAs(now)] : all;
  });
  constructor() {
    // The pens are as thick as they were drawn, whatever shape the picture turns out to have.
    if (typeof ResizeObserver === 'undefined') return;
    const seen = new ResizeObserver(([e]) => {
      const { width = 0, height = 0 } = e?.contentRect ?? {};
      if (width > 0 && height > 0) this.shape.set(height / width);
    });
    effect((onCleanup) => {
      const sheet = this.sheet().nativeElement;
      seen.observe(sheet);
      onCleanup(() => seen.unobserve(sheet));
    });
    inject(DestroyRef).onDestroy(() => seen.disconnect());
  }

  protected readonly wordsBelow = computed(() => drawingOf(this.under()).words);
  private readonly below = computed(() => drawingOf(this.under()).strokes.map((s) => this.drawnAs(s)));
  /** What was drawn before the stroke that is being drawn: only that one is drawn anew with each move. */
  private readonly done = computed(() => this.value().strokes.map((s) => this.drawnAs(s)));

  protected down(event: PointerEvent): void {
    if (this.locked() || event.button !== 0) return;
    event.preventDefault();
    if (!this.hasRoom()) return;
    this.pen = event.pointerId;
    const r = this.sheet().nativeElement.getBoundingClientRect();
    this.shape.set(r.height / r.width);
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.open.set({ colour: this.colour(), width: this.width(), points: this.at(event) });
  }

  protected moved(event: PointerEvent): void {
    const now = this.open();
    if (!now || event.pointerId !== this.pen) return;
    const [x, y, pressure] = this.at(event);
    const [lastX = 0, lastY = 0] = now.points.slice(-3);
    if (!(Math.hypot(x - lastX, y - lastY) >= SMALLEST_MOVE)) return;
    const points = [...now.points, x, y, pressure];
    if (points.length + 3 <= MOST_POINTS) return this.open.set({ ...now, points });
    // A stroke has an end: drawing goes on with the next one, which begins where it stopped.
    this.draw({ ...this.value(), strokes: [...this.value().strokes, { ...now, points }] });
    this.open.set(this.hasRoom() ? { ...now, points: [x, y, pressure] } : null);
  }

  protected up(): void {
    const now = this.open();
    this.open.set(null);
    this.pen = null;
    if (now) this.draw({ ...this.value(), strokes: [...this.value().strokes, now] });
  }

  protected back(): void {
    this.draw({ ...this.value(), strokes: this.value().strokes.slice(0, -1) });
  }

  protected addWords(): void {
    if (this.value().words.length >= MOST_WORDS) return this.said.set(this.t('There is no more room for words.'));
    const words = [...this.value().words, { x: 40, y: 40, text: '' }];
    this.draw({ ...this.value(), words });
    this.said.set('A place for words is on the sheet. Write, then move it with Alt and the arrow keys.');
    const at = words.length - 1;
    this.onceDrawn(() => this.sheet().nativeElement.querySelectorAll<HTMLInputElement>('.words input')[at]?.focus());
  }

  protected write(at: number, text: string): void {
    this.change(at, (w) => ({ ...w, text }));
  }

  protected drop(at: number): void {
    this.draw({ ...this.value(), words: this.value().words.filter((_, i) => i !== at) });
  }

  protected keyed(event: KeyboardEvent, at: number): void {
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, -STEP],
      ArrowDown: [0, STEP],
    };
    const move = by[event.key];
    if (!event.altKey || !move) return;
    event.preventDefault();
    const clamp = (n: number) => Math.min(96, Math.max(0, n));
    this.change(at, (w) => ({ ...w, x: clamp(w.x + move[0]), y: clamp(w.y + move[1]) }));
  }

  private hasRoom(): boolean {
    const has = this.value().strokes.length < MOST_STROKES;
    this.said.set(has ? '' : this.t('The sheet is full. Take a stroke back to draw on.'));
    return has;
  }

  private drawnAs(s: Stroke): { d: string; colour: Stroke['colour'] } {
    return { d: pathOf(s, this.box().h), colour: s.colour };
  }

  private draw(next: Drawn): void {
    this.value.set(next);
    this.drawn.emit(next);
  }

  private change(at: number, by: (w: Drawn['words'][number]) => Drawn['words'][number]): void {
    this.draw({ ...this.value(), words: this.value().words.map((w, i) => (i === at ? by(w) : w)) });
  }

  private at(event: PointerEvent): [number, number, number] {
    const r = this.sheet().nativeElement.getBoundingClientRect();
    const round = (n: number) => Math.round(n * 100) / 100;
    return [
      round(((event.clientX - r.left) / r.width) * 100),
      round(((event.clientY - r.top) / r.height) * 100),
      event.pressure || 0.5,
    ];
  }
}

/** A stroke as a filled outline in the pad's box. */
function pathOf(s: Stroke, height: number): string {
  const points: [number, number, number][] = [];
  for (let i = 0; i + 2 < s.points.length; i += 3)
    points.push([((s.points[i] ?? 0) * BOX) / 100, ((s.points[i + 1] ?? 0) * height) / 100, s.points[i + 2] ?? 0.5]);
  const outline = getStroke(points, { size: s.width * 8, thinning: 0.4, smoothing: 0.6 });
  return outline.length ? `M${outline.map(([x = 0, y = 0]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z` : '';
}
