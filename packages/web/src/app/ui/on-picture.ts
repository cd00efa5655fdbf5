import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  Directive,
  ElementRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { Picture } from './picture';

/** How wide a page over a picture is on the desk at the most, in pixels. */
export const DESK_WIDTH = { portrait: 820, landscape: 1100 } as const;

/** How wide an element is, in pixels; 0 until that is known. */
function widthOf(element: () => HTMLElement) {
  const width = signal(0);
  const seen = new ResizeObserver(([e]) => e && width.set(e.contentRect.width));
  afterNextRender(() => seen.observe(element()));
  inject(DestroyRef).onDestroy(() => seen.disconnect());
  return width.asReadonly();
}

/** Shows what is in it as large as on the desk, and made as small as the place it fills is here. */
@Directive({
  selector: '[lvAsOnDesk]',
  host: {
    '[style.--k]': 'scale()',
    '[style]': 'lvAsOnDesk() ? SHRUNK : null',
  },
})
export class AsOnDesk {
  /** How wide the page is on the desk, in pixels; 0 where it is shown as it stands. */
  readonly lvAsOnDesk = input.required<number>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly width = widthOf(() => this.host.nativeElement.parentElement ?? this.host.nativeElement);
  protected readonly scale = computed(() => this.width() / this.lvAsOnDesk() || 1);
  protected readonly SHRUNK = {
    inset: '0 auto auto 0',
    width: 'calc(100% / var(--k))',
    height: 'calc(100% / var(--k))',
    transform: 'scale(var(--k))',
    'transform-origin': '0 0',
    'font-size': '19px',
    'line-height': '1.5',
  };
}

/**
 * A picture that fills its width, and whatever is laid over it: places are in hundredths of the picture, wherever it is
 * shown. The one geometry of the Bench, the desk, the look of a learner, paper and Marking.
 */
@Component({
  selector: 'lv-on-picture',
  imports: [AsOnDesk, Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-picture class="under" [assetId]="assetId()" [alt]="alt()" />
    <div class="over" [lvAsOnDesk]="shrink()"><ng-content /></div>`,
  styles: `
    :host {
      display: block;
      position: relative;
      width: 100%;
    }
    .over {
      position: absolute;
      inset: 0;
    }
  `,
})
export class OnPicture {
  readonly assetId = input.required<string>();
  readonly alt = input('');
  /** How wide it is on the desk, in pixels, where what is laid over it is shown as there, only smaller; else 0. */
  readonly shrink = input(0);
}
