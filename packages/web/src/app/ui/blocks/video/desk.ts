import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Media } from '../media';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-video-desk',
  imports: [Media],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (block().title) {
      <p class="title">{{ block().title }}</p>
    }
    <lv-media [assetId]="block().assetId" what="video" [label]="block().title" />
    @if (block().transcript) {
      <details>
        <summary>What is said</summary>
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
      min-height: 40px;
      cursor: pointer;
    }
    details p {
      white-space: pre-wrap;
    }
  `,
})
export class VideoDesk extends DeskPart<LearnerBlockOf<'video'>> {}
