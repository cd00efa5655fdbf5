import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { safeAddress } from '@lorvet/core/desk';
import { DeskPart, type LearnerBlockOf } from '../part';

/** The address is shown, so that nobody is sent where they did not mean to go. */
@Component({
  selector: 'lv-link-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (address(); as a) {
      <a [href]="a.href" target="_blank" rel="noopener noreferrer external"
        >{{ block().title || t(block().what === 'video' ? 'A video' : 'A page')
        }}<span class="sr"> {{ t('(opens a new tab)') }}</span></a
      >
      <span class="where">{{
        t(block().what === 'video' ? 'video on {host}' : 'page on {host}', { host: a.host })
      }}</span>
      <span class="print">{{ a.href }}</span>
    } @else {
      <p class="where">{{ t('No address yet.') }}</p>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      align-items: baseline;
    }
    a {
      font-weight: 650;
      color: var(--accent);
    }
    .where {
      font-size: 0.85em;
      color: var(--ink-2);
    }
    .print {
      display: none;
    }
    @media print {
      .print {
        display: inline;
      }
    }
  `,
})
export class LinkDesk extends DeskPart<LearnerBlockOf<'link'>> {
  protected readonly address = computed(() => safeAddress(this.block().url));
}
