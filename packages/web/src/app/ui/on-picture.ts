import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { Picture } from './picture';

/** How wide a page over a picture is on the desk at the most, in pixels. */
export const DESK_WIDTH = 820;

/** How much narrower an element is than a page on the desk, as a factor. */
export function deskScale(element: () => HTMLElement) {
  const scale = signal(1);
  const seen = new ResizeObserver(([e]) => e && scale.set(e.contentRect.width / DESK_WIDTH || 1));
  afterNextRender(() => seen.observe(element()));
  inject(DestroyRef).onDestroy(() => seen.disconnect());
  return scale.asReadonly();
}

/**
 * A picture that fills its width, and whatever is laid over it: places are in hundredths of the picture, wherever it is
 * shown. The one geometry of the Bench, the desk, the look of a learner, paper and Marking.
 */
@Component({
  selector: 'lv-on-picture',
  imports: [Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-picture class="under" [assetId]="assetId()" [alt]="alt()" />
    <div class="over" [class.small]="shrink()" [style.--k]="scale()"><ng-content /></div>`,
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
    /* As large as on the desk, and made as small as the picture is here. */
    .small {
      inset: 0 auto auto 0;
      width: calc(100% / var(--k));
      height: calc(100% / var(--k));
      transform: scale(var(--k));
      transform-origin: 0 0;
      font-size: 19px;
      line-height: 1.5;
    }
  `,
})
export class OnPicture {
  readonly assetId = input.required<string>();
  readonly alt = input('');
  /** Whether what is laid over it is shown as on the desk, only smaller. */
  readonly shrink = input(false);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly scale = deskScale(() => this.host.nativeElement);
}
