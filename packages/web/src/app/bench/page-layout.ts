import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  BLOCK_KIND_NAMES,
  blockKinds,
  forLearner,
  freePlace,
  freshBlock,
  isItem,
  type LearnerBlock,
  type Page,
  type Rect,
  wordsOf,
  questionNumbers,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { LaidBox } from '../ui/blocks/laid-box';
import { LearnerBlockView } from '../ui/blocks/learner-block';
import { SELECT } from '../ui/controls/select';
import { DESK_WIDTH } from '../ui/on-picture';
import { onceDrawn } from '../ui/once-drawn';
import { RectBoard } from '../ui/rect-board';
import { BenchView, nameOf } from './bench-view';
import { LAID_KINDS } from './kind-groups';
import { layBlock, moveOnPage, orderByPlace } from './page-edits';
import { counted } from '../platform/many';

/** A page laid out over its picture: places are drawn on it, moved, sized, and put in the order they are read. */
@Component({
  selector: 'lv-page-layout',
  imports: [ButtonDirective, LaidBox, LearnerBlockView, LucideDynamicIcon, RectBoard, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <lv-select label="Drag over the picture to add" class="inline" [value]="kind()" (chosen)="kind.set($event)">
        @for (x of kinds; track x.kind) {
          <lv-option [value]="x.kind" [label]="x.label.toLowerCase()" />
        }
      </lv-select>
      <span class="grow"></span>
      <button pButton severity="secondary" text type="button" (click)="inOrder()">
        <svg lucideIcon="list-ordered"></svg>Number as they are read
      </button>
    </div>
    <lv-rect-board
      [assetId]="page().fixed?.assetId ?? ''"
      [alt]="page().fixed?.alt ?? ''"
      [rects]="rects()"
      [chosen]="view.chosen()"
      [asWideAs]="DESK_WIDTH[page().orientation]"
      (choose)="view.chosen.set($event)"
      (drawn)="draw($event)"
      (changed)="move($event.id, $event.rect)"
      (removed)="unplace($event)"
    >
      <ng-template #onPlace let-id>
        @if (shownAt(id); as b) {
          <lv-laid-box
            [inert]="true"
            [name]="'Opens as a panel'"
            [content]="asLaid"
            (tooLarge)="setTooLarge(id, $event)"
          />
          <ng-template #asLaid
            ><lv-learner-block class="laid-block" [block]="b" [locked]="true" [laid]="true"
          /></ng-template>
        }
      </ng-template>
    </lv-rect-board>
    @if (panels().length) {
      <p class="small" role="status">
        {{
          counted(panels().length, 'Too large for its place: {which}.', 'Too large for their places: {which}.', {
            which: panels().join('; '),
          })
        }}
        Learners see a button there that opens it over the page. Draw a larger place, or ask in a shorter way.
      </p>
    }
    @if (loose().length) {
      <p class="small">
        Not on the picture, and so below it:
        @for (b of loose(); track b.id) {
          <button pButton severity="secondary" text type="button" (click)="place(b.id)">Put {{ b.name }} on it</button>
        }
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      max-width: 640px;
    }
    .row {
      display: flex;
      align-items: center;
      gap: 8px;
    }
    lv-select {
      width: auto;
    }
  `,
})
export class PageLayout {
  protected readonly counted = counted;
  readonly page = input.required<Page>();
  protected readonly view = inject(BenchView);
  protected readonly DESK_WIDTH = DESK_WIDTH;
  private readonly onceDrawn = onceDrawn();
  protected readonly kinds = LAID_KINDS;
  protected readonly kind = signal<string>('short-text');
  /** As on a learner's sheet. */
  private readonly numbers = computed(() => questionNumbers(this.view.master()?.pages ?? []));
  private readonly names = computed(() => {
    return new Map(
      this.page().blocks.map((b) => {
        const words = wordsOf(b)[0]?.text.slice(0, 40) ?? '';
        return [b.id, `${nameOf(b, this.numbers().get(b.id) ?? 0)}${isItem(b) && words ? `: ${words}` : ''}`];
      }),
    );
  });
  protected readonly rects = computed(() =>
    this.page().blocks.flatMap((b) => {
      const r = this.page().places?.[b.id];
      return r ? [{ ...r, id: b.id, name: this.names().get(b.id) ?? '', number: this.numbers().get(b.id) }] : [];
    }),
  );
  protected readonly loose = computed(() =>
    this.page()
      .blocks.filter((b) => !this.page().places?.[b.id])
      .map((b) => ({ id: b.id, name: this.names().get(b.id) ?? '' })),
  );

  /** What a learner sees on a place. */
  protected shownAt(id: string): LearnerBlock | null {
    const b = this.page().blocks.find((x) => x.id === id);
    return b && b.audience === 'learner' && blockKinds[b.kind].learnerSchema.type !== 'never' ? forLearner(b) : null;
  }

  /** Places on which what they hold has no room. */
  private readonly tooLarge = signal<ReadonlySet<string>>(new Set());
  protected readonly panels = computed(() => this.rects().flatMap((r) => (this.tooLarge().has(r.id) ? [r.name] : [])));

  protected setTooLarge(id: string, is: boolean): void {
    this.tooLarge.update((all) => new Set(is ? [...all, id] : [...all].filter((x) => x !== id)));
  }

  protected draw(rect: Rect): void {
    const kind = BLOCK_KIND_NAMES.find((k) => k === this.kind());
    if (!kind) return;
    const ids = [...this.view.work.stamp(8).ids];
    const newId = () => ids.shift() ?? crypto.randomUUID();
    const block = freshBlock(kind, newId(), newId);
    this.view.changeMaster(
      (c) => layBlock(c, this.page(), block, rect),
      `lay ${blockKinds[kind].label.toLowerCase()} on the page`,
    );
    this.view.chosen.set(block.id);
  }

  protected move(id: string, rect: Rect): void {
    this.view.changeMaster((c) => moveOnPage(c, this.page().id, id, rect), 'move a place', `place ${id}`);
  }

  protected unplace(id: string): void {
    this.view.changeMaster((c) => moveOnPage(c, this.page().id, id, null), 'take a place off the picture');
  }

  protected place(id: string): void {
    const rect = freePlace(Object.values(this.page().places ?? {}));
    this.move(id, rect);
    // Where it landed may be out of view.
    this.onceDrawn(() =>
      document.querySelector(`[data-rect="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'nearest' }),
    );
  }

  protected inOrder(): void {
    this.view.changeMaster((c) => orderByPlace(c, this.page().id), 'reading order');
  }
}
