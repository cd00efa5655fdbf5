import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { Devices, stop } from '../../platform/devices';
import { readMedia, readPicture, type Taken } from '../../platform/files';
import type { KeptAsset } from '../../platform/storage/kept-asset';
import { saying } from '../say/say';

/** Longest recording, in seconds. */
const MOST_SECONDS = 180;

/** Takes one photograph, or records one voice or video: by device, or from a file where there is none. */
@Component({
  selector: 'lv-take',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (devices.standIn()) {
      <p class="stand-in">
        {{
          t(
            what() === 'voice'
              ? 'Stand-in microphone: not a real one. It is for trying out.'
              : 'Stand-in camera: not a real one. It is for trying out.'
          )
        }}
      </p>
    }
    @if (stream()) {
      @if (what() !== 'voice') {
        <video #view autoplay muted playsinline [attr.aria-label]="t('What the camera sees')"></video>
      }
      <div class="row">
        @if (what() === 'photo') {
          <button class="btn main" type="button" (click)="shoot()">
            <svg lucideIcon="camera"></svg>{{ t('Take the photograph') }}
          </button>
        } @else {
          <button class="btn main" type="button" (click)="end()">
            <svg lucideIcon="square"></svg>{{ t('Stop recording') }}
          </button>
          <span role="timer">{{ seconds() }} s</span>
        }
        <button class="btn" type="button" (click)="close()">{{ t('Cancel') }}</button>
      </div>
    } @else {
      <div class="row">
        <button class="btn" type="button" (click)="open()">
          <svg [lucideIcon]="what() === 'photo' ? 'camera' : what() === 'voice' ? 'mic' : 'video'"></svg
          >{{ t(words().open) }}
        </button>
        <label class="btn"
          ><svg lucideIcon="upload"></svg>{{ t(words().file) }}
          <input #f class="sr" type="file" [accept]="words().accept" (change)="fromFile(f.files?.[0]); f.value = ''"
        /></label>
      </div>
    }
    @if (problem()) {
      <p class="problem" role="alert">{{ problem() }}</p>
      @if (isDenied()) {
        <!-- The same in pictures, for who does not read it. -->
        <div class="pictured" aria-hidden="true">
          <span class="address"><svg lucideIcon="sliders-horizontal" class="press"></svg><i></i></span>
          <svg lucideIcon="arrow-right"></svg>
          <span
            ><svg [lucideIcon]="what() === 'voice' ? 'mic' : 'camera'"></svg><svg lucideIcon="toggle-right"></svg
          ></span>
        </div>
        <button class="btn" type="button" (click)="open()">
          <svg lucideIcon="rotate-cw"></svg>{{ t('Try again') }}
        </button>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    video {
      width: 100%;
      max-width: 480px;
      border-radius: 8px;
      background: var(--sunken);
    }
    .stand-in {
      width: fit-content;
      padding: 3px 10px;
      border: 2px dashed var(--ochre);
      border-radius: 6px;
      font-size: 0.85em;
      color: var(--ochre);
    }
    .problem {
      padding: 8px 14px;
      border-inline-start: 5px solid var(--madder);
      background: var(--madder-soft);
    }
    .pictured,
    .pictured span {
      display: flex;
      align-items: center;
      gap: 10px;
    }
    .pictured svg {
      width: 28px;
      height: 28px;
    }
    .address {
      width: min(15em, 60%);
      padding: 5px;
      border: 2px solid var(--line-strong);
      border-radius: 22px;
    }
    .address .press {
      padding: 4px;
      border: 3px solid var(--accent);
      border-radius: 50%;
    }
    .address i {
      flex: 1;
      height: 6px;
      margin-inline-end: 10px;
      border-radius: 3px;
      background: var(--line);
    }
    .btn {
      justify-self: start;
      min-height: 44px;
    }
    label:focus-within {
      outline: 3px solid var(--focus);
    }
    @media print {
      :host {
        display: none;
      }
    }
  `,
})
export class Take {
  protected readonly t = saying();
  readonly what = input.required<'photo' | 'voice' | 'video'>();
  readonly taken = output<KeptAsset>();
  protected readonly devices = inject(Devices);
  protected readonly stream = signal<MediaStream | null>(null);
  protected readonly problem = signal('');
  /** Whether it can be allowed in the browser. */
  protected readonly isDenied = signal(false);
  protected readonly seconds = signal(0);
  protected readonly device = computed(() => (this.what() === 'voice' ? 'microphone' : 'camera'));
  protected readonly words = computed(
    () =>
      (
        ({
          photo: { open: 'Use the camera', file: 'A picture file', accept: 'image/*' },
          voice: { open: 'Record', file: 'A sound file', accept: 'audio/*' },
          video: { open: 'Record a video', file: 'A video file', accept: 'video/*' },
        }) as const
      )[this.what()],
  );
  private readonly view = viewChild<ElementRef<HTMLVideoElement>>('view');
  private recorder: MediaRecorder | null = null;
  private timer: ReturnType<typeof setInterval> | undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.close());
  }

  protected async open(): Promise<void> {
    this.problem.set('');
    this.isDenied.set(false);
    const stream = await this.devices.open(this.device());
    if ('why' in stream) {
      this.problem.set(this.t(stream.why));
      this.isDenied.set(stream.isDenied);
      return;
    }
    this.stream.set(stream);
    setTimeout(() => {
      const view = this.view()?.nativeElement;
      if (view) view.srcObject = stream;
    });
    if (this.what() !== 'photo') this.record(stream);
  }

  protected async shoot(): Promise<void> {
    const view = this.view()?.nativeElement;
    if (!view?.videoWidth) return;
    const canvas = new OffscreenCanvas(view.videoWidth, view.videoHeight);
    canvas.getContext('2d')?.drawImage(view, 0, 0);
    this.close();
    this.give(await readPicture(await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })));
  }

  protected end(): void {
    this.recorder?.stop();
  }

  protected close(): void {
    clearInterval(this.timer);
    if (this.recorder) this.recorder.onstop = null;
    if (this.recorder?.state === 'recording') this.recorder.stop();
    this.recorder = null;
    const stream = this.stream();
    if (stream) stop(stream);
    this.stream.set(null);
  }

  protected async fromFile(file: File | undefined): Promise<void> {
    if (!file) return;
    this.problem.set('');
    this.isDenied.set(false);
    const what = this.what();
    this.give(what === 'photo' ? await readPicture(file) : await readMedia(file, what === 'voice' ? 'sound' : 'video'));
  }

  private record(stream: MediaStream): void {
    const parts: Blob[] = [];
    const recorder = new MediaRecorder(stream);
    recorder.ondataavailable = (e) => parts.push(e.data);
    recorder.onstop = () => {
      const type = recorder.mimeType;
      this.recorder = null;
      this.close();
      const name = { name: this.what() === 'voice' ? 'voice' : 'video' };
      void readMedia(Object.assign(new Blob(parts, { type }), name), this.what() === 'voice' ? 'sound' : 'video').then(
        (t) => this.give(t),
      );
    };
    this.recorder = recorder;
    recorder.start();
    this.seconds.set(0);
    this.timer = setInterval(() => {
      this.seconds.update((s) => s + 1);
      if (this.seconds() >= MOST_SECONDS) this.end();
    }, 1000);
  }

  private give(taken: Taken): void {
    if ('problem' in taken) this.problem.set(this.t(taken.says, { name: taken.name }));
    else this.taken.emit(taken);
  }
}
