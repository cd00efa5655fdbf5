import { type CdkDragDrop, DragDropModule } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { NO_COUNTERS } from '@lorvet/core/desk';
import { saying } from '../../say/say';

/** Where counters lie that are on no cell. */
const SUPPLY = '';
/** More of a supply are told, and not drawn. */
const DRAWN = 20;

/** Frames of cells with a supply of counters: dragged from it, between cells and back; or a cell is pressed, or the supply. */
@Component({
  selector: 'lv-counters',
  imports: [DragDropModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div cdkDropListGroup class="all">
      <div class="frames scroll">
        @for (frame of frames(); track $index) {
          <div class="frame">
            @for (c of frame; track c) {
              <div
                cdkDropList
                [cdkDropListData]="c"
                [cdkDropListDisabled]="locked()"
                (cdkDropListDropped)="drop($event)"
              >
                @if (has(c)) {
                  <i
                    class="full"
                    cdkDrag
                    [cdkDragData]="c"
                    [cdkDragDisabled]="locked()"
                    aria-hidden="true"
                    (click)="press(c)"
                  ></i>
                }
                <button
                  type="button"
                  role="checkbox"
                  [attr.aria-checked]="has(c)"
                  [attr.aria-label]="t('Counter in cell {number}', { number: c.slice(1) })"
                  [disabled]="locked()"
                  (click)="toggle(c)"
                ></button>
              </div>
            }
          </div>
        }
      </div>
      @if (!paper()) {
        <div
          class="supply"
          cdkDropList
          cdkDropListOrientation="mixed"
          [cdkDropListData]="SUPPLY"
          [cdkDropListDisabled]="locked()"
          cdkDropListSortingDisabled
          (cdkDropListDropped)="drop($event)"
        >
          <button class="btn" type="button" [disabled]="locked() || !left()" (click)="add()">
            {{ t('Put one on') }}
          </button>
          @for (n of supply(); track n) {
            <i
              class="full"
              cdkDrag
              [cdkDragData]="SUPPLY"
              [cdkDragDisabled]="locked()"
              aria-hidden="true"
              (click)="press(SUPPLY)"
            ></i>
          }
          @if (left() > supply().length) {
            <span>{{ t('and {count} more', { count: left() - supply().length }) }}</span>
          }
        </div>
        <p class="many">
          <span role="status">{{ t('{count} counters', { count: on().length }) }}</span>
          @if (on().length === 0) {
            <button class="btn" type="button" [attr.aria-pressed]="none()" [disabled]="locked()" (click)="sayNone()">
              {{ t('None: that is my answer') }}
            </button>
          }
        </p>
      }
    </div>
  `,
  styleUrl: './counters.css',
})
export class Counters {
  protected readonly t = saying();
  /** The cells by frame, each by its id. */
  readonly frames = input.required<readonly (readonly string[])[]>();
  readonly filled = input.required<readonly string[]>();
  readonly locked = input(false);
  readonly paper = input(false);
  readonly changed = output<string[]>();
  protected readonly SUPPLY = SUPPLY;
  private readonly cells = computed(() => this.frames().flat());
  protected readonly on = computed(() => this.filled().filter((c) => c !== NO_COUNTERS));
  /** Whether it was said that none lies there. */
  protected readonly none = computed(() => this.filled().includes(NO_COUNTERS));
  protected readonly left = computed(() => this.cells().length - this.on().length);
  protected readonly supply = computed(() => Array.from({ length: Math.min(DRAWN, this.left()) }, (_, i) => i));

  protected has(cell: string): boolean {
    return this.on().includes(cell);
  }

  protected toggle(cell: string): void {
    this.changed.emit(this.has(cell) ? this.on().filter((c) => c !== cell) : [...this.on(), cell]);
  }

  protected sayNone(): void {
    this.changed.emit(this.none() ? [] : [NO_COUNTERS]);
  }

  protected add(): void {
    const free = this.cells().find((c) => !this.has(c));
    if (free) this.toggle(free);
  }

  /** A counter itself was pressed: one of the supply goes on, one on a cell goes off. */
  protected press(from: string): void {
    if (this.locked()) return;
    if (from === SUPPLY) this.add();
    else this.toggle(from);
  }

  /** A counter was let go over a cell or the supply; what is taken already takes no other. */
  protected drop({ item, container }: CdkDragDrop<string, unknown, string>): void {
    const [from, to] = [item.data, container.data];
    if (from === to || (to !== SUPPLY && this.has(to))) return;
    const rest = this.on().filter((c) => c !== from);
    this.changed.emit(to === SUPPLY ? rest : [...rest, to]);
  }
}
