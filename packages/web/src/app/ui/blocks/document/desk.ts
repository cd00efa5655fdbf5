import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { assetUrl } from '../../../platform/files';
import { WorkspaceStore } from '../../../store/workspace';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-document-desk',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as href) {
      <a class="btn" [href]="href" target="_blank" rel="noopener"
        ><svg lucideIcon="file-input"></svg>Open {{ block().title || 'the document' }} (PDF)</a
      >
    } @else {
      <p class="small">{{ block().assetId ? 'This document is not in this browser.' : 'No document yet.' }}</p>
    }
  `,
  styles: `
    .btn {
      min-height: 46px;
    }
  `,
})
export class DocumentDesk extends DeskPart<LearnerBlockOf<'document'>> {
  private readonly assets = inject(WorkspaceStore).assets;
  protected readonly url = computed(() => {
    const asset = this.assets()[this.block().assetId];
    return asset ? assetUrl(asset) : null;
  });
}
