import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { shownAsset } from '../../shown-asset';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-document-desk',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as href) {
      <a class="btn" [href]="href" target="_blank" rel="noopener"
        ><svg lucideIcon="file-input"></svg
        >{{ block().title ? t('Open {title} (PDF)', { title: block().title }) : t('Open the document (PDF)') }}</a
      >
    } @else if (url() === null) {
      <p class="small">{{ t(block().assetId ? 'This document is not in this browser.' : 'No document yet.') }}</p>
    }
  `,
  styles: `
    .btn {
      min-height: 46px;
    }
  `,
})
export class DocumentDesk extends DeskPart<LearnerBlockOf<'document'>> {
  protected readonly url = shownAsset(
    computed(() => this.block().assetId),
    'application/pdf',
  );
}
