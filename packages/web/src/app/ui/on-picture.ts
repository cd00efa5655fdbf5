import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  Directive,
  ElementRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { Picture } from './picture';

/** How wide a page over a picture is on the desk at the most, in pixels. */
const DESK_WIDTH = 820;

/** How much narrower an element is than a page on the desk, as a factor. */
function deskScale(element: () => HTMLElement) {
  const scale = signal(1);
  const seen = new ResizeObserver(([e]) => e && scale.set(e.contentRect.width / DESK_WIDTH || 1));
  afterNextRender(() => seen.observe(element()));
  inject(DestroyRef).onDestroy(() => seen.disconnect());
  return scale.asReadonly();
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
  readonly lvAsOnDesk = input.required<boolean>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly scale = deskScale(() => this.host.nativeElement.parentElement ?? this.host.nativeElement);
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
  /** Whether what is laid over it is shown as on the desk, only smaller. */
  readonly shrink = input(false);
}
