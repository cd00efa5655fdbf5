import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type Cropper from 'cropperjs';
import { MOST_PIXELS, readPicture, type Taken } from '../../platform/files';
import { Focused } from '../focused';
import { shownAsset } from '../shown-asset';
import { saying } from '../say/say';

/** How far one press moves the picture, in px, and how much larger or smaller it becomes. */
const STEP = { move: 20, zoom: 0.1 };

/** A photograph that is cut, turned, made brighter, and moved and sized within its frame: by pointer or by buttons. */
@Component({
  selector: 'lv-photo-edit',
  imports: [Focused, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section role="group" [attr.aria-label]="t('Change the photograph')" lvFocused (keydown.escape)="closed.emit()">
      <div class="frame" [style.--light]="light() / 100">
        @if (url(); as src) {
          <img #picture [src]="src" [alt]="t('The photograph that is changed')" (load)="begin()" />
        }
      </div>
      <div class="row" role="group" [attr.aria-label]="t('Turn and size')">
        <button class="btn" type="button" (click)="turn(-90)">
          <svg lucideIcon="undo-2"></svg>{{ t('Turn left') }}
        </button>
        <button class="btn" type="button" (click)="turn(90)">
          <svg lucideIcon="redo-2"></svg>{{ t('Turn right') }}
        </button>
        <button class="btn" type="button" (click)="cropper?.zoom(STEP.zoom)">{{ t('Larger') }}</button>
        <button class="btn" type="button" (click)="cropper?.zoom(-STEP.zoom)">{{ t('Smaller') }}</button>
        <button class="btn" type="button" [attr.aria-label]="t('Move left')" (click)="cropper?.move(-STEP.move, 0)">
          <svg lucideIcon="arrow-left"></svg>
        </button>
        <button class="btn" type="button" [attr.aria-label]="t('Move right')" (click)="cropper?.move(STEP.move, 0)">
          <svg lucideIcon="arrow-right"></svg>
        </button>
        <button class="btn" type="button" [attr.aria-label]="t('Move up')" (click)="cropper?.move(0, -STEP.move)">
          <svg lucideIcon="arrow-up"></svg>
        </button>
        <button class="btn" type="button" [attr.aria-label]="t('Move down')" (click)="cropper?.move(0, STEP.move)">
          <svg lucideIcon="arrow-down"></svg>
        </button>
      </div>
      <label
        >{{ t('How bright') }}
        <input
          type="range"
          min="50"
          max="180"
          step="5"
          #bright
          [value]="light()"
          (input)="light.set(bright.valueAsNumber)"
      /></label>
      <p>{{ t('Only what is in the frame is kept. Draw its corners to cut.') }}</p>
      @if (problem()) {
        <p role="alert">{{ problem() }}</p>
      }
      <div class="row">
        <button class="btn main" type="button" (click)="keep()">{{ t('Keep it so') }}</button>
        <button class="btn" type="button" (click)="closed.emit()">{{ t('Leave it as it was') }}</button>
      </div>
    </section>
  `,
  styles: `
    section {
      display: grid;
      gap: 10px;
      padding: 12px;
      border: 2px solid var(--accent);
      border-radius: 8px;
    }
    .frame {
      height: min(52vh, 420px);
      background: var(--sunken);
    }
    .frame ::ng-deep img {
      filter: brightness(var(--light));
    }
    .frame ::ng-deep :is(.cropper-line, .cropper-point) {
      background: var(--accent);
    }
    .frame ::ng-deep .cropper-view-box {
      outline: 3px solid var(--accent);
    }
    .frame ::ng-deep .cropper-point {
      width: 24px;
      height: 24px;
      border-radius: 50%;
      opacity: 0.9;
    }
    img {
      display: block;
      max-width: 100%;
      max-height: 100%;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
    label {
      display: grid;
      max-width: 24em;
    }
    input {
      height: 34px;
      accent-color: var(--accent);
    }
    .btn {
      min-height: 44px;
    }
  `,
})
export class PhotoEdit {
  protected readonly t = saying();
  readonly assetId = input.required<string>();
  readonly kept = output<Exclude<Taken, { problem: string }>>();
  readonly closed = output();
  protected readonly STEP = STEP;
  protected readonly url = shownAsset(this.assetId, 'image/');
  protected readonly light = signal(100);
  protected readonly problem = signal('');
  protected cropper: Cropper | null = null;
  private readonly picture = viewChild<ElementRef<HTMLImageElement>>('picture');
  private isGone = false;

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.isGone = true;
      this.cropper?.destroy();
    });
  }

  /** The picture is there: a frame is laid over all of it. What draws the frame is fetched now. */
  protected async begin(): Promise<void> {
    const { default: Frame } = await import('cropperjs');
    const picture = this.picture()?.nativeElement;
    if (this.isGone || this.cropper || !picture) return;
    this.cropper = new Frame(picture, {
      viewMode: 1,
      autoCropArea: 1,
      dragMode: 'move',
      background: false,
      checkOrientation: false,
    });
  }

  /** Turned, all of it is in sight again, and in the frame. */
  protected turn(degrees: number): void {
    const c = this.cropper;
    if (!c) return;
    c.clear();
    c.rotate(degrees);
    const [room, lies] = [c.getContainerData(), c.getCanvasData()];
    const scale = Math.min(room.width / lies.width, room.height / lies.height);
    const [width, height] = [lies.width * scale, lies.height * scale];
    const box = { left: (room.width - width) / 2, top: (room.height - height) / 2, width, height };
    c.setCanvasData(box);
    c.crop();
    c.setCropBoxData(box);
  }

  protected async keep(): Promise<void> {
    const cut = this.cropper?.getCroppedCanvas({ maxWidth: MOST_PIXELS, maxHeight: MOST_PIXELS, fillColor: '#ffffff' });
    if (!cut) return this.closed.emit();
    const canvas = new OffscreenCanvas(cut.width, cut.height);
    const pen = canvas.getContext('2d');
    if (pen) {
      pen.filter = `brightness(${this.light()}%)`;
      pen.drawImage(cut, 0, 0);
    }
    const taken = await readPicture(await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 }));
    if ('problem' in taken) this.problem.set(this.t(taken.says, { name: taken.name }));
    else this.kept.emit(taken);
  }
}
