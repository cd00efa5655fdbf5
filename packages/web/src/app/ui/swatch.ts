import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Swatch } from '@lorvet/core/desk';

type Bar = readonly [x: number, y: number, w: number, h: number];

/** Each pattern as light threads on the colour's ground, on a field of 24. All differ in black and white too. */
const WEAVES: Record<
  Swatch['pattern'],
  { readonly bars?: readonly Bar[]; readonly path?: string; readonly dots?: boolean }
> = {
  plain: {
    bars: [
      [2, 4, 8, 2.2],
      [14, 4, 8, 2.2],
      [4, 14, 2.2, 8],
      [18, 2, 2.2, 8],
      [2, 18, 8, 2.2],
      [14, 18, 8, 2.2],
      [4, 2, 2.2, 8],
      [18, 14, 2.2, 8],
    ],
  },
  twill: { path: 'M-2 6L6-2M-2 12L12-2M-2 18L18-2M-2 24L24-2M4 26L26 4M10 26L26 10M16 26L26 16' },
  basket: {
    bars: [
      [2, 2, 9, 2],
      [2, 6, 9, 2],
      [13, 13, 9, 2],
      [13, 17, 9, 2],
      [14, 2, 2, 9],
      [18, 2, 2, 9],
      [4, 13, 2, 9],
      [8, 13, 2, 9],
    ],
  },
  herringbone: {
    path: 'M0 6L6 0L12 6L18 0L24 6M0 12L6 6L12 12L18 6L24 12M0 18L6 12L12 18L18 12L24 18M0 24L6 18L12 24L18 18L24 24',
  },
  stripe: {
    bars: [
      [0, 2, 24, 2.4],
      [0, 8, 24, 2.4],
      [0, 14, 24, 2.4],
      [0, 20, 24, 2.4],
    ],
  },
  dots: { dots: true },
  check: {
    bars: [
      [0, 0, 6, 6],
      [12, 0, 6, 6],
      [6, 6, 6, 6],
      [18, 6, 6, 6],
      [0, 12, 6, 6],
      [12, 12, 6, 6],
      [6, 18, 6, 6],
      [18, 18, 6, 6],
    ],
  },
  cross: { path: 'M0 0L24 24M24 0L0 24M12 0L24 12L12 24L0 12Z' },
};

/** The woven mark of a version, or of the master among them. Decorative beside a name, else labelled. */
@Component({
  selector: 'lv-swatch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 24 24"
      [attr.width]="size()"
      [attr.height]="size()"
      [attr.role]="label() ? 'img' : null"
      [attr.aria-label]="label() || null"
      [attr.aria-hidden]="label() ? null : 'true'"
    >
      @if (swatch(); as s) {
        <rect width="24" height="24" rx="1.5" [attr.fill]="'var(--sw-' + s.colour + ')'" />
        <g class="thread" clip-path="inset(0 round 1.5px)">
          @for (b of weave().bars; track $index) {
            <rect [attr.x]="b[0]" [attr.y]="b[1]" [attr.width]="b[2]" [attr.height]="b[3]" />
          }
          @if (weave().path; as d) {
            <path [attr.d]="d" />
          }
          @if (weave().dots) {
            @for (d of dots; track $index) {
              <circle [attr.cx]="d[0]" [attr.cy]="d[1]" r="1.9" />
            }
          }
        </g>
        <rect
          class="plate"
          x="4.8"
          y="4.8"
          width="14.4"
          height="14.4"
          rx="2"
          [attr.stroke]="'var(--sw-' + s.colour + ')'"
        />
        <text x="12" y="16.4" text-anchor="middle" [attr.fill]="'var(--sw-' + s.colour + ')'">{{ s.letter }}</text>
      }
    </svg>
  `,
  styles: `
    :host {
      display: inline-flex;
      flex: none;
    }
    .thread {
      fill: #fffdf8;
      stroke: #fffdf8;
      stroke-width: 0;
    }
    .thread path {
      fill: none;
      stroke-width: 1.7;
    }
    .plate {
      fill: #fffdf8;
      stroke-width: 1.6;
    }
    text {
      font: 800 12.5px var(--sans);
    }
  `,
})
export class SwatchMark {
  readonly swatch = input.required<Swatch | null>();
  readonly size = input(22);
  readonly label = input('');
  protected readonly weave = computed(() => WEAVES[this.swatch()?.pattern ?? 'plain']);
  protected readonly dots = [3, 9, 15, 21].flatMap((y) => [3, 9, 15, 21].map((x) => [x, y] as const));
}
