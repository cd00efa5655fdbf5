import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PageMark } from '@lorvet/core/desk';
import { type Plain, saying } from './say/say';

/** The signs a page may carry: plain shapes, one path each in a box of 24. */
export const SIGNS: Record<Exclude<PageMark['sign'], ''>, { name: Plain; d: string }> = {
  sun: {
    name: 'sun',
    d: 'M12 7a5 5 0 1 0 .01 0zM11 1h2v4h-2zM11 19h2v4h-2zM1 11h4v2H1zM19 11h4v2h-4zM4 5.4 5.4 4l2.8 2.8-1.4 1.4zM15.8 17.2l1.4-1.4L20 18.6 18.6 20z',
  },
  leaf: { name: 'leaf', d: 'M3 21C3 9 9 3 21 3c0 12-5 17-13 16l-3 3z' },
  wave: {
    name: 'wave',
    d: 'M1 9q3-5 6-1t6 0 5-1 5 1v4q-3-3-5-1t-6 1-5-1-6 1zM1 17q3-5 6-1t6 0 5-1 5 1v4q-3-3-5-1t-6 1-5-1-6 1z',
  },
  stone: { name: 'stone', d: 'M4 20C1 15 4 9 9 6s9-1 11 4 0 9-3 10z' },
  shell: { name: 'shell', d: 'M12 3 22 14 18 20H6L2 14zM11 6h2v12h-2z' },
  star: { name: 'star', d: 'm12 1 3 8 8 .4-6.300 5L19 23l-7-4.600L5 23l2.300-8.600L1 9.400 9 9z' },
  moon: { name: 'moon', d: 'M15 2a10 10 0 1 0 7 15A9 9 0 0 1 15 2z' },
  drop: { name: 'drop', d: 'M12 1c5 7 8 10 8 14a8 8 0 1 1-16 0c0-4 3-7 8-14z' },
};

/** A page's day, subject, colour and sign: found again by any of the four, never by colour alone. */
@Component({
  selector: 'lv-page-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let m = mark();
    @if (m.sign || m.colour) {
      <svg
        viewBox="0 0 24 24"
        role="img"
        [attr.aria-label]="t(sign()?.name ?? 'coloured page')"
        [style.color]="colour()"
      >
        <path [attr.d]="sign()?.d ?? 'M2 2h20v20H2z'" fill="currentColor" />
      </svg>
    }
    @if (m.day || m.subject) {
      <span>{{ m.day }}{{ m.day && m.subject ? ' · ' : '' }}{{ m.subject }}</span>
    }
  `,
  styles: `
    :host {
      display: inline-flex;
      align-items: center;
      gap: 8px;
      font-weight: 600;
    }
    svg {
      width: 1.5em;
      height: 1.5em;
    }
  `,
})
export class PageMarkView {
  protected readonly t = saying();
  readonly mark = input.required<PageMark>();
  protected readonly sign = computed(() => {
    const s = this.mark().sign;
    return s ? SIGNS[s] : null;
  });
  protected readonly colour = computed(() => (this.mark().colour ? `var(--sw-${this.mark().colour})` : 'currentColor'));
}
