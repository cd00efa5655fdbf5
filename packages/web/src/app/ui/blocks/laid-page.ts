import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  contentChild,
  input,
  output,
  type TemplateRef,
} from '@angular/core';
import { type Answer, answerIsEmpty, type LearnerBlock, type LearnerPackage } from '@lorvet/core/desk';
import { DESK_WIDTH, OnPicture } from '../on-picture';
import { LaidBox } from './laid-box';
import { LearnerBlockView } from './learner-block';
import { saying } from '../say/say';

type LearnerPage = LearnerPackage['pages'][number];

/**
 * A learner's page, with the answers to it: blocks one below the other, or answer places laid over a picture that fills the page. The picture
 * lies under everything, takes no press and no drag, and is not part of any answer.
 */
@Component({
  selector: 'lv-laid-page',
  imports: [LaidBox, LearnerBlockView, NgTemplateOutlet, OnPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let p = page();
    @if (p.fixed; as fixed) {
      <lv-on-picture
        class="laid"
        [style.max-width.px]="DESK_WIDTH[p.orientation]"
        [assetId]="fixed.assetId"
        [alt]="fixed.alt"
        [shrink]="shrink() ? DESK_WIDTH[p.orientation] : 0"
      >
        @for (b of laid(); track b.id) {
          @let r = p.places[b.id];
          <div
            class="on-page"
            [style.left.%]="r?.x"
            [style.top.%]="r?.y"
            [style.width.%]="r?.w"
            [style.height.%]="r?.h"
          >
            <lv-laid-box
              [name]="nameOf(b)"
              [label]="labelOf(b)"
              [done]="isDone(b)"
              [content]="one"
              (tooLarge)="tooLarge.emit({ id: b.id, is: $event })"
            />
            <ng-template #one let-laid>
              <ng-container *ngTemplateOutlet="whole; context: { $implicit: b, laid }" />
            </ng-template>
          </div>
        }
      </lv-on-picture>
    }
    @for (b of flowing(); track b.id) {
      <ng-container *ngTemplateOutlet="whole; context: { $implicit: b, laid: false }" />
    }
    <ng-template #whole let-b let-laid="laid">
      <lv-learner-block
        [block]="b"
        [class.laid-block]="laid"
        [laid]="laid"
        [answer]="answers()[b.id]"
        [locked]="isLocked(b)"
        [number]="numbers().get(b.id) ?? 0"
        [under]="under()"
        (answered)="answered.emit({ id: b.id, answer: $event })"
      />
      @if (beside(); as after) {
        <ng-container *ngTemplateOutlet="after; context: { $implicit: b, laid }" />
      }
    </ng-template>
  `,
  styles: `
    :host {
      display: contents;
    }
    .laid {
      justify-self: center;
      user-select: none;
    }
    .on-page {
      position: absolute;
      user-select: text;
    }
  `,
})
export class LaidPage {
  protected readonly t = saying();
  readonly page = input.required<LearnerPage>();
  /** Whether a page over a picture is shown as on the desk, only smaller. */
  readonly shrink = input(false);
  /** The questions' numbers on the sheet. */
  readonly numbers = input<ReadonlyMap<string, number>>(new Map());
  readonly answers = input<Readonly<Record<string, Answer>>>({});
  readonly locked = input(true);
  /** Questions that are open where the page is; empty for all. */
  readonly only = input<readonly string[]>([]);
  /** Whether places for notes are open though the rest is not. */
  readonly mayNote = input(false);
  /** What stands under the flap of a block. */
  readonly under = input<(blockId: string) => Promise<string | undefined>>();
  readonly answered = output<{ readonly id: string; readonly answer: Answer }>();
  /** What has no room on its place, and opens as a panel; and what has room again. */
  readonly tooLarge = output<{ readonly id: string; readonly is: boolean }>();
  /** What stands beside a block: context `{ $implicit: LearnerBlock, laid: whether it is on the picture }`. */
  protected readonly beside = contentChild<TemplateRef<{ $implicit: LearnerBlock; laid: boolean }>>('beside');
  protected readonly DESK_WIDTH = DESK_WIDTH;
  protected readonly laid = computed(() => {
    const p = this.page();
    return p.fixed ? p.blocks.filter((b) => p.places[b.id]) : [];
  });
  protected isLocked(b: LearnerBlock): boolean {
    const only = this.only();
    const isOpen = !this.locked() && (only.length === 0 || only.includes(b.id) || !('prompt' in b));
    return !isOpen && !(this.mayNote() && b.kind === 'notes');
  }
  protected nameOf(b: LearnerBlock): string {
    const n = this.numbers().get(b.id);
    return n ? this.t('Open question {number}', { number: n }) : this.t('Open');
  }
  protected labelOf(b: LearnerBlock): string {
    const n = this.numbers().get(b.id);
    return n ? this.t('Open {number}', { number: n }) : '';
  }
  protected isDone(b: LearnerBlock): boolean {
    return !answerIsEmpty(this.answers()[b.id]);
  }
  protected readonly flowing = computed(() => {
    const p = this.page();
    return p.fixed ? p.blocks.filter((b) => !p.places[b.id]) : p.blocks;
  });
}
