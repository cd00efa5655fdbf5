import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { answerSchema, mostAt, type Point, pointsOf } from '@lorvet/core/desk';
import { Picture } from '../../picture';
import { DeskPart, type LearnerBlockOf } from '../part';

const STEP = 4;
const MOST_POINTS = mostAt(answerSchema, 'points');

/** Spots are set by pressing the picture, or with the arrow keys and Enter on the cross. */
@Component({
  selector: 'lv-spots-desk',
  imports: [Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      #board
      class="board"
      role="application"
      tabindex="0"
      [attr.aria-labelledby]="labelledBy()"
      aria-describedby="spots-how"
      (keydown)="keyed($event)"
      (click)="pressed($event, board)"
    >
      <lv-picture [assetId]="block().assetId" [alt]="block().alt" />
      @for (p of points(); track $index) {
        <i [style.left.%]="p.x" [style.top.%]="p.y">{{ $index + 1 }}</i>
      }
      <span class="cross" aria-hidden="true" [style.left.%]="cross().x" [style.top.%]="cross().y"></span>
    </div>
    <div class="row" [hidden]="paper()">
      <span class="small" id="spots-how">{{ t('Press a spot. With keys: arrows move the cross, Enter marks.') }}</span>
      @if (points().length && !locked()) {
        <button type="button" (click)="drop()">{{ t('Take the last mark back') }}</button>
      }
    </div>
    <p class="small" role="status">{{ said() }}</p>
  `,
  styles: `
    .board {
      position: relative;
      width: fit-content;
      max-width: 100%;
      cursor: crosshair;
      touch-action: manipulation;
    }
    i {
      position: absolute;
      translate: -50% -50%;
      display: grid;
      place-items: center;
      width: 28px;
      height: 28px;
      border: 3px solid var(--surface);
      border-radius: 50%;
      background: var(--accent);
      color: var(--accent-ink);
      font: 700 14px var(--sans);
    }
    .cross {
      display: none;
      position: absolute;
      width: 34px;
      height: 34px;
      translate: -50% -50%;
      border: 3px solid #241f1a;
      outline: 2px solid #fffdf8;
      border-radius: 4px;
      pointer-events: none;
    }
    .board:focus-visible .cross {
      display: block;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 14px;
      align-items: center;
      margin-top: 6px;
    }
    button {
      min-height: 44px;
      padding: 4px 14px;
      border: 2px solid var(--line-strong);
      border-radius: 8px;
      background: var(--surface);
    }
    .small {
      font-size: 0.85em;
      color: var(--ink-2);
    }
    @media print {
      .row {
        display: none;
      }
    }
  `,
})
export class SpotsDesk extends DeskPart<LearnerBlockOf<'spots'>> {
  protected readonly cross = signal<Point>({ x: 50, y: 50 });
  protected readonly said = signal('');
  protected readonly points = computed(() => {
    const answer = this.answer();
    return answer ? pointsOf(answer) : [];
  });

  protected pressed(event: MouseEvent, board: HTMLElement): void {
    const picture = board.querySelector('img');
    if (!picture || this.locked()) return;
    const r = picture.getBoundingClientRect();
    this.mark({ x: ((event.clientX - r.left) / r.width) * 100, y: ((event.clientY - r.top) / r.height) * 100 });
  }

  protected keyed(event: KeyboardEvent): void {
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, -STEP],
      ArrowDown: [0, STEP],
    };
    const move = by[event.key];
    if (move) {
      const clamp = (n: number) => Math.min(100, Math.max(0, n));
      const { x, y } = this.cross();
      this.cross.set({ x: clamp(x + move[0]), y: clamp(y + move[1]) });
      this.said.set(this.t('{x} across, {y} down', { x: Math.round(this.cross().x), y: Math.round(this.cross().y) }));
    } else if (event.key === 'Enter' || event.key === ' ') this.mark(this.cross());
    else if (event.key === 'Backspace') this.drop();
    else return;
    event.preventDefault();
  }

  protected drop(): void {
    if (this.locked()) return;
    this.give({ kind: 'points', points: this.points().slice(0, -1) });
    this.said.set(this.t('The last mark is gone.'));
  }

  private mark(p: Point): void {
    if (this.locked()) return;
    if (this.points().length >= MOST_POINTS) return this.said.set(this.t('There is no room for more marks.'));
    const within = (n: number) => Math.round(Math.min(100, Math.max(0, n)) * 10) / 10;
    this.give({ kind: 'points', points: [...this.points(), { x: within(p.x), y: within(p.y) }] });
    this.said.set(this.t('Mark {number} is set.', { number: this.points().length + 1 }));
  }
}
