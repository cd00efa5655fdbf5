import { NgTemplateOutlet } from '@angular/common';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  inject,
  input,
  output,
  signal,
  type TemplateRef,
  viewChild,
} from '@angular/core';
import { SheetContext } from './sheet-context';
import { saying } from '../say/say';

/** How small what is laid on a picture may become before it opens as a panel: letters of 18 px stay above 13. */
export const LEAST_SCALE = 0.75;
const STEP = 0.05;

/**
 * What is laid on a place of a picture. Where it has no room it becomes smaller, down to LEAST_SCALE; where even that is
 * too large, a button stands there that opens it as a panel over the page. Nothing ever runs over its place.
 */
@Component({
  selector: 'lv-laid-box',
  imports: [NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open()) {
      <dialog #panel [attr.aria-label]="name()" (close)="open.set(false)" (click)="pressed($event)">
        <ng-container *ngTemplateOutlet="content(); context: { $implicit: false }" />
        <button class="btn main" type="button" (click)="panel.close()">{{ t('Done') }}</button>
      </dialog>
    } @else {
      <div
        class="fit"
        #fit
        [class.away]="isTooLarge()"
        [attr.inert]="isTooLarge() || inert() ? '' : null"
        [style.--s]="scale()"
      >
        <ng-container *ngTemplateOutlet="content(); context: { $implicit: true }" />
      </div>
    }
    @if (isTooLarge() && !open()) {
      <button
        class="unfold"
        type="button"
        [attr.inert]="inert() ? '' : null"
        [attr.aria-label]="done() ? t('{name}, answered', { name: name() }) : name()"
        (click)="unfold()"
      >
        <span>{{ done() ? '✓ ' : '' }}{{ label() || name() }}</span>
      </button>
    }
  `,
  styles: `
    :host {
      display: block;
      position: relative;
      height: 100%;
      min-height: 0;
    }
    .fit {
      position: absolute;
      left: 0;
      top: 0;
      width: calc(100% / var(--s));
      height: calc(100% / var(--s));
      transform: scale(var(--s));
      transform-origin: 0 0;
    }
    .away {
      visibility: hidden;
      overflow: hidden;
    }
    .unfold {
      container-type: size;
      position: absolute;
      inset: 0;
      width: 100%;
      padding: 0 4px;
      border: 2px solid var(--accent);
      border-radius: 6px;
      background: rgb(255 253 248 / 92%);
      color: #241f1a;
      font-weight: 650;
      line-height: 1.1;
      overflow: hidden;
    }
    /* As large as the place allows, and never below 13 px. */
    .unfold span {
      font-size: clamp(13px, 60cqh, 1em);
    }
    dialog {
      max-width: min(820px, 92vw);
      min-width: min(480px, 92vw);
      max-height: 88vh;
      overflow: auto;
      margin: auto;
      padding: 22px 26px;
      border: 2px solid var(--accent);
      border-radius: 10px;
      background: var(--surface);
      color: var(--ink);
    }
    dialog::backdrop {
      background: rgb(36 31 26 / 45%);
    }
    .btn {
      display: block;
      min-height: 46px;
      margin: 18px 0 0 auto;
      padding: 4px 22px;
    }
  `,
})
export class LaidBox {
  protected readonly t = saying();
  /** What stands on the place: context `{ $implicit: whether it is laid on the picture, and not in the panel }`. */
  readonly content = input.required<TemplateRef<{ $implicit: boolean }>>();
  /** What the button and the panel are called. */
  readonly name = input('Open');
  /** What the button says, where its name is too long. */
  readonly label = input('');
  /** Whether it is answered. */
  readonly done = input(false);
  /** Looked at only: nothing on it can be pressed. */
  readonly inert = input(false);
  readonly tooLarge = output<boolean>();

  private readonly paper = inject(SheetContext, { optional: true })?.paper ?? signal(false);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly fit = viewChild<ElementRef<HTMLElement>>('fit');
  private readonly panel = viewChild<ElementRef<HTMLDialogElement>>('panel');
  protected readonly open = signal(false);
  protected readonly scale = signal(1);
  protected readonly isTooLarge = signal(false);

  constructor() {
    const seen = new ResizeObserver(() => this.measure());
    afterRenderEffect((onCleanup) => {
      const box = this.fit()?.nativeElement;
      if (!box) return;
      seen.observe(this.host.nativeElement);
      // What is in it may grow: a third photograph, a longer answer.
      const watch = new MutationObserver(() => this.measure());
      watch.observe(box, { childList: true, subtree: true, characterData: true });
      const pictures = () => this.measure();
      box.addEventListener('load', pictures, true);
      this.measure();
      onCleanup(() => {
        watch.disconnect();
        box.removeEventListener('load', pictures, true);
      });
    });
    inject(DestroyRef).onDestroy(() => seen.disconnect());
  }

  protected unfold(): void {
    this.open.set(true);
    setTimeout(() => this.panel()?.nativeElement.showModal());
  }

  /** A press beside the panel closes it. */
  protected pressed(event: MouseEvent): void {
    const panel = this.panel()?.nativeElement;
    if (event.target === panel && panel) panel.close();
  }

  private measure(): void {
    const box = this.fit()?.nativeElement;
    if (!box || this.host.nativeElement.clientHeight === 0) return;
    let scale = 1;
    const fits = () => {
      box.style.setProperty('--s', String(scale));
      return box.scrollHeight <= box.clientHeight + 1 && box.scrollWidth <= box.clientWidth + 1;
    };
    // Nothing opens on paper: there it becomes as small as it must.
    const least = this.paper() ? STEP : LEAST_SCALE;
    while (!fits() && scale > least + STEP / 2) scale -= STEP;
    const tooLarge = !fits() && !this.paper();
    this.scale.set(scale);
    if (tooLarge === this.isTooLarge()) return;
    this.isTooLarge.set(tooLarge);
    this.tooLarge.emit(tooLarge);
  }
}
