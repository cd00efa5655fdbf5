import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, contentChild, input, type TemplateRef } from '@angular/core';
import type { LearnerBlock, LearnerPackage } from '@lorvet/core';
import { Picture } from '../picture';

type LearnerPage = LearnerPackage['pages'][number];

/**
 * A learner's page: blocks one below the other, or answer places laid over a picture that fills the page. The picture
 * lies under everything, takes no press and no drag, and is not part of any answer.
 */
@Component({
  selector: 'lv-laid-page',
  imports: [Picture, NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let p = page();
    @if (p.fixed; as fixed) {
      <div class="laid" [class.wide]="p.orientation === 'landscape'">
        <lv-picture class="under" [assetId]="fixed.assetId" [alt]="fixed.alt" />
        @for (b of laid(); track b.id) {
          @let r = p.places[b.id];
          <div
            class="on-page"
            [style.left.%]="r?.x"
            [style.top.%]="r?.y"
            [style.width.%]="r?.w"
            [style.height.%]="r?.h"
          >
            <ng-container *ngTemplateOutlet="block(); context: { $implicit: b, laid: true }" />
          </div>
        }
      </div>
    }
    @for (b of flowing(); track b.id) {
      <ng-container *ngTemplateOutlet="block(); context: { $implicit: b, laid: false }" />
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    .laid {
      position: relative;
      width: 100%;
      max-width: 820px;
      justify-self: center;
      user-select: none;
    }
    .laid.wide {
      max-width: 1100px;
    }
    .on-page {
      position: absolute;
      user-select: text;
    }
  `,
})
export class LaidPage {
  readonly page = input.required<LearnerPage>();
  /** How one block is shown: context `{ $implicit: LearnerBlock, laid: boolean }`. */
  protected readonly block = contentChild.required<TemplateRef<{ $implicit: LearnerBlock; laid: boolean }>>('block');
  protected readonly laid = computed(() => {
    const p = this.page();
    return p.fixed ? p.blocks.filter((b) => p.places[b.id]) : [];
  });
  protected readonly flowing = computed(() => {
    const p = this.page();
    return p.fixed ? p.blocks.filter((b) => !p.places[b.id]) : p.blocks;
  });
}
