import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  contentChild,
  ElementRef,
  input,
  output,
  signal,
  type TemplateRef,
  viewChild,
} from '@angular/core';
import { moveRect, type Rect, rectBetween, resizeRect, snapRect } from '@lorvet/core';
import { AsOnDesk, DESK_WIDTH, OnPicture } from './on-picture';

export interface BoardRect extends Rect {
  readonly id: string;
  readonly name: string;
  /** What stands on it; its place in the row where there is none. */
  readonly number?: number | undefined;
}

const STEP = 0.5;
const LONG_STEP = 2.5;
/** A shorter drag than this, in hundredths, was a press. */
const LEAST_DRAG = 1;

type Grip = { id: string; how: 'move' | 'size'; from: { x: number; y: number }; rect: Rect };

/**
 * Rectangles on a picture: drawn by dragging over an empty part, moved and sized by mouse, finger or arrow keys,
 * snapped to each other's edges. With `points`, a press sets a point.
 */
@Component({
  selector: 'lv-rect-board',
  imports: [AsOnDesk, NgTemplateOutlet, OnPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-on-picture
      #board
      class="board"
      [assetId]="assetId()"
      [alt]="alt()"
      (pointerdown)="down($event)"
      (pointermove)="moved($event)"
      (pointerup)="up()"
      (pointercancel)="cancel()"
      (dragstart)="$event.preventDefault()"
    >
      @if (content(); as shows) {
        <div class="as-laid" aria-hidden="true" [lvAsOnDesk]="asWideAs()">
          @for (r of shown(); track r.id) {
            <div class="place" [style.left.%]="r.x" [style.top.%]="r.y" [style.width.%]="r.w" [style.height.%]="r.h">
              <ng-container *ngTemplateOutlet="shows; context: { $implicit: r.id }" />
            </div>
          }
        </div>
      }
      @for (r of shown(); track r.id; let i = $index) {
        <button
          type="button"
          class="rect"
          [class.point]="points()"
          [class.chosen]="r.id === chosen()"
          [style.left.%]="r.x"
          [style.top.%]="r.y"
          [style.width.%]="points() ? null : r.w"
          [style.height.%]="points() ? null : r.h"
          [attr.aria-label]="
            (r.number ? '' : i + 1 + '. ') +
            r.name +
            (points() ? '. Arrow keys move.' : '. Arrow keys move, with Shift they size.')
          "
          [attr.aria-pressed]="r.id === chosen()"
          [attr.data-rect]="r.id"
          (focus)="choose.emit(r.id)"
          (keydown)="keyed($event, r)"
        >
          <b aria-hidden="true">{{ r.number ?? i + 1 }}</b>
          @if (!points()) {
            <i aria-hidden="true" data-size></i>
          }
        </button>
      }
      @if (fresh(); as r) {
        <span
          class="rect fresh"
          [style.left.%]="r.x"
          [style.top.%]="r.y"
          [style.width.%]="r.w"
          [style.height.%]="r.h"
        ></span>
      }
    </lv-on-picture>
    <p class="sr" role="status">{{ said() }}</p>
  `,
  styles: `
    .board {
      border: 1px solid var(--line-strong);
      background: #fffdf8;
      cursor: crosshair;
      touch-action: none;
      user-select: none;
      overflow: hidden;
    }
    .as-laid {
      position: absolute;
      pointer-events: none;
    }
    .place {
      position: absolute;
    }
    .rect {
      position: absolute;
      margin: 0;
      padding: 0;
      border: 2px solid #a23f25;
      border-radius: 3px;
      background: rgb(246 224 214 / 45%);
      cursor: move;
      touch-action: none;
    }
    .rect b {
      position: absolute;
      left: -2px;
      top: -2px;
      min-width: 20px;
      padding: 0 4px;
      border-radius: 3px 0;
      background: #a23f25;
      color: #fffdf8;
      font-size: 13px;
      line-height: 18px;
    }
    .chosen {
      background: rgb(246 224 214 / 75%);
      box-shadow: 0 0 0 3px #241f1a;
    }
    .rect i {
      position: absolute;
      right: -3px;
      bottom: -3px;
      width: 15px;
      height: 15px;
      border: 2px solid #fffdf8;
      border-radius: 3px;
      background: #a23f25;
      cursor: nwse-resize;
    }
    .fresh {
      border-style: dashed;
      pointer-events: none;
    }
    .point {
      width: 30px;
      height: 30px;
      translate: -50% -50%;
      border-radius: 50%;
      background: #a23f25;
    }
    .point b {
      position: static;
      background: none;
    }
  `,
})
export class RectBoard {
  readonly assetId = input.required<string>();
  readonly alt = input('');
  readonly rects = input.required<readonly BoardRect[]>();
  readonly points = input(false);
  /** How wide the page is on the desk, in pixels. */
  readonly asWideAs = input<number>(DESK_WIDTH.portrait);
  readonly chosen = input<string | null>(null);
  readonly choose = output<string>();
  readonly drawn = output<Rect>();
  readonly changed = output<{ id: string; rect: Rect }>();
  readonly removed = output<string>();

  /** What a learner sees on a place: context `{ $implicit: id of the place }`. */
  readonly content = contentChild<TemplateRef<{ $implicit: string }>>('onPlace');

  private readonly board = viewChild.required<OnPicture, ElementRef<HTMLElement>>('board', { read: ElementRef });
  private readonly grip = signal<Grip | null>(null);
  private readonly start = signal<{ x: number; y: number } | null>(null);
  private readonly held = signal<{ id: string; rect: Rect } | null>(null);
  protected readonly fresh = signal<Rect | null>(null);
  protected readonly said = signal('');
  protected readonly shown = computed(() => {
    const held = this.held();
    return held ? this.rects().map((r) => (r.id === held.id ? { ...r, ...held.rect } : r)) : this.rects();
  });

  protected down(event: PointerEvent): void {
    if (event.button !== 0) return;
    const at = this.at(event);
    const target = event.target as HTMLElement;
    const id = target.closest<HTMLElement>('[data-rect]')?.dataset['rect'];
    const rect = this.rects().find((r) => r.id === id);
    this.board().nativeElement.setPointerCapture(event.pointerId);
    if (rect) {
      this.choose.emit(rect.id);
      const { x, y, w, h } = rect;
      this.grip.set({ id: rect.id, how: 'size' in target.dataset ? 'size' : 'move', from: at, rect: { x, y, w, h } });
    } else this.start.set(at);
  }

  protected moved(event: PointerEvent): void {
    const at = this.at(event);
    const start = this.start();
    const grip = this.grip();
    if (start && !this.points()) this.fresh.set(rectBetween(start, at));
    if (!grip) return;
    const [dx, dy] = [at.x - grip.from.x, at.y - grip.from.y];
    const rect = grip.how === 'size' ? resizeRect(grip.rect, dx, dy) : moveRect(grip.rect, dx, dy);
    const others = this.rects().filter((r) => r.id !== grip.id);
    this.held.set({ id: grip.id, rect: grip.how === 'size' ? rect : snapRect(rect, others) });
  }

  protected up(): void {
    const start = this.start();
    const fresh = this.fresh();
    const held = this.held();
    const grip = this.grip();
    if (start && this.points()) this.drawn.emit({ ...start, w: 1, h: 1 });
    else if (fresh && fresh.w > LEAST_DRAG && fresh.h > LEAST_DRAG / 2) this.drawn.emit(fresh);
    if (held) this.changed.emit(held);
    else if (grip)
      this.board()
        .nativeElement.querySelector<HTMLElement>(`[data-rect="${CSS.escape(grip.id)}"]`)
        ?.focus();
    this.cancel();
  }

  protected cancel(): void {
    this.start.set(null);
    this.fresh.set(null);
    this.grip.set(null);
    this.held.set(null);
  }

  protected keyed(event: KeyboardEvent, r: BoardRect): void {
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1],
    };
    if (event.key === 'Delete') {
      event.preventDefault();
      event.stopPropagation();
      this.removed.emit(r.id);
      return;
    }
    const dir = by[event.key];
    if (!dir) return;
    event.preventDefault();
    event.stopPropagation();
    const step = event.ctrlKey ? LONG_STEP : STEP;
    const { x, y, w, h } = r;
    const change = event.shiftKey && !this.points() ? resizeRect : moveRect;
    const rect = change({ x, y, w, h }, dir[0] * step, dir[1] * step);
    this.said.set(`${rect.x} across, ${rect.y} down, ${rect.w} wide, ${rect.h} high`);
    this.changed.emit({ id: r.id, rect });
  }

  private at(event: PointerEvent): { x: number; y: number } {
    const r = this.board().nativeElement.getBoundingClientRect();
    const part = (n: number, of: number) => Math.round(Math.min(100, Math.max(0, (n / of) * 100)) * 100) / 100;
    return { x: part(event.clientX - r.left, r.width), y: part(event.clientY - r.top, r.height) };
  }
}
