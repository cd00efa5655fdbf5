import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { ChartRoom } from '../../platform/chart-room';
import { FOLD } from '../../ui/controls/fold';
import { Theme } from '../../ui/theme';
import { type Chart, layoutOf, tracesOf, wordsOf } from './figure';

/** A chart with the sentence that says what it shows, and its numbers as a table. Plotly draws it, beside the page. */
@Component({
  selector: 'lv-chart',
  imports: [...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ chart().title }}</h2>
    <p>{{ chart().says }}</p>
    @if (chart().table.rows.length) {
      <div
        #host
        class="plot"
        [class.none]="failed()"
        role="img"
        [attr.aria-label]="chart().title + '. ' + chart().says"
      ></div>
      @if (failed()) {
        <p class="small">The drawing could not be shown. Its numbers are below.</p>
      }
      <lv-fold [name]="'The numbers: ' + chart().title" [open]="failed()">
        <ng-template lvFolded>
          <div class="scroll">
            <table [attr.aria-label]="chart().title">
              <thead>
                <tr>
                  @for (h of chart().table.head; track $index) {
                    <th scope="col">{{ h }}</th>
                  }
                </tr>
              </thead>
              <tbody>
                @for (r of chart().table.rows; track $index) {
                  <tr>
                    @for (c of r; track $index; let first = $first) {
                      @if (first) {
                        <th scope="row">{{ c }}</th>
                      } @else {
                        <td>{{ c }}</td>
                      }
                    }
                  </tr>
                }
              </tbody>
            </table>
          </div>
        </ng-template>
      </lv-fold>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 6px;
      align-content: start;
    }
    h2 {
      font-size: 17px;
    }
    .plot {
      min-width: 0;
      min-height: 280px;
      overflow: hidden;
    }
    .none {
      min-height: 0;
    }
    .scroll {
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
      width: 100%;
    }
    th,
    td {
      padding: 3px 8px;
      text-align: start;
      border-bottom: 1px solid var(--line);
      font-variant-numeric: tabular-nums;
      overflow-wrap: anywhere;
    }
    tbody th {
      font-weight: 500;
    }
  `,
})
export class ChartView {
  readonly chart = input.required<Chart>();
  private readonly theme = inject(Theme);
  private readonly host = viewChild<ElementRef<HTMLElement>>('host');
  private readonly drawable = signal(false);
  protected readonly failed = signal(false);
  private readonly height = computed(() => {
    const c = this.chart();
    const names = c.across ? new Set(c.series.flatMap((s) => s.y)).size : 0;
    return Math.max(280, 90 + names * 34);
  });

  constructor() {
    const room = inject(ChartRoom);
    const width = signal(0);
    let over = false;
    // Drawn as it comes near what is seen.
    const near = new IntersectionObserver(
      (seen) => {
        if (!seen.some((s) => s.isIntersecting)) return;
        near.disconnect();
        this.drawable.set(true);
      },
      { rootMargin: '200px' },
    );
    // As wide as its place, also where only that changes.
    const watcher = new ResizeObserver(([at]) => width.set(Math.round(at?.contentRect.width ?? 0)));
    effect(() => {
      const host = this.host()?.nativeElement;
      watcher.disconnect();
      if (!host) return;
      watcher.observe(host);
      if (!untracked(this.drawable)) near.observe(host);
    });
    let asked = 0;
    let isDrawing = false;
    const draw = async () => {
      // While one is drawn, only the last that is asked for waits.
      if (isDrawing) return;
      isDrawing = true;
      try {
        for (let done = 0; done !== asked && !over;) {
          done = asked;
          const [chart, host] = [this.chart(), this.host()?.nativeElement];
          if (!host) return;
          const layout = layoutOf(chart, host, width(), this.height());
          const drawn = await room.draw(tracesOf(chart, host), layout, chart.series.map(wordsOf(chart)));
          // Where it is drawn in another place by now, that was asked for too.
          if (done === asked && !over) host.replaceChildren(drawn);
        }
        this.failed.set(false);
      } catch {
        this.host()?.nativeElement.replaceChildren();
        this.failed.set(true);
      } finally {
        isDrawing = false;
      }
    };
    effect(() => {
      this.chart();
      this.theme.dark();
      if (!this.host() || !this.drawable() || !width()) return;
      asked++;
      void untracked(draw);
    });
    inject(DestroyRef).onDestroy(() => {
      over = true;
      near.disconnect();
      watcher.disconnect();
    });
  }
}
