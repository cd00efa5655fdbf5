import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { Media } from './media';
import { DeskPart, type LearnerBlockOf } from './part';

/** Something to hear or to watch. */
@Component({
  selector: 'lv-recorded-desk',
  imports: [Media],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (block().title) {
      <p class="title">{{ block().title }}</p>
    }
    @if (!paper()) {
      <lv-media [assetId]="block().assetId" [what]="what()" [label]="block().title" />
    }
    @if (paper()) {
      <p class="said">{{ block().transcript || t('A recording: hear it on the screen, or have it read to you.') }}</p>
    } @else if (block().transcript) {
      <details>
        <summary>{{ t('What is said') }}</summary>
        <p>{{ block().transcript }}</p>
      </details>
    }
  `,
  styles: `
    .title {
      font-weight: 650;
      margin-bottom: 6px;
    }
    summary {
      min-height: 44px;
      cursor: pointer;
    }
    .said,
    details p {
      white-space: pre-wrap;
    }
  `,
})
export class RecordedDesk extends DeskPart<LearnerBlockOf<'audio' | 'video'>> {
  protected readonly what = computed(() => (this.block().kind === 'audio' ? 'sound' : 'video'));
}
