import { Injectable, signal } from '@angular/core';
import type { Plain } from '../ui/say/say';

const KEY = 'lorvet-devices';

/** A device that could not be had, in words for whoever sits there. */
export interface Refusal {
  readonly why: Plain;
  /** Whether the browser was told not to let it be used: that can be changed there. */
  readonly isDenied: boolean;
}

export type Wanted = 'camera' | 'microphone';

/**
 * Camera and microphone. The stand-ins ship with the application, for the demo and for tests: a drawn scene and a
 * plain tone in place of a real picture and voice. They are only ever used where they were chosen.
 */
@Injectable({ providedIn: 'root' })
export class Devices {
  readonly standIn = signal(localStorage.getItem(KEY) === 'stand-in');

  useStandIns(on: boolean): void {
    this.standIn.set(on);
    if (on) localStorage.setItem(KEY, 'stand-in');
    else localStorage.removeItem(KEY);
  }

  async open(what: Wanted): Promise<MediaStream | Refusal> {
    if (this.standIn()) return what === 'camera' ? drawnScene() : plainTone();
    try {
      if (!navigator.mediaDevices) throw new DOMException('', 'NotSupportedError');
      return await navigator.mediaDevices.getUserMedia(
        what === 'camera' ? { video: { facingMode: 'environment', width: { ideal: 1600 } } } : { audio: true },
      );
    } catch (error) {
      return refusal(what, error instanceof DOMException ? error.name : '');
    }
  }
}

/** Whole sentences for each: in another language a microphone may need other words around it than a camera. */
const REFUSALS: Readonly<Record<Wanted, Readonly<Record<'denied' | 'none' | 'taken' | 'unable', Plain>>>> = {
  camera: {
    denied:
      'The browser may not use the camera. Press the sign at the left of the address, allow the camera, and try again. Or take a file instead.',
    none: 'There is no camera on this machine. Plug one in and try again, or take a file instead.',
    taken: 'Another program is using the camera. Close it and try again, or take a file instead.',
    unable: 'This browser cannot use a camera here. Take a file instead.',
  },
  microphone: {
    denied:
      'The browser may not use the microphone. Press the sign at the left of the address, allow the microphone, and try again. Or take a file instead.',
    none: 'There is no microphone on this machine. Plug one in and try again, or take a file instead.',
    taken: 'Another program is using the microphone. Close it and try again, or take a file instead.',
    unable: 'This browser cannot use a microphone here. Take a file instead.',
  },
};

function refusal(what: Wanted, name: string): Refusal {
  const says = REFUSALS[what];
  if (name === 'NotAllowedError' || name === 'SecurityError') return { why: says.denied, isDenied: true };
  const none = name === 'NotFoundError' || name === 'OverconstrainedError';
  return { why: none ? says.none : name === 'NotReadableError' ? says.taken : says.unable, isDenied: false };
}

export const stop = (stream: MediaStream): void => stream.getTracks().forEach((t) => t.stop());

function drawnScene(): MediaStream {
  const canvas = document.createElement('canvas');
  canvas.width = 640;
  canvas.height = 480;
  const pen = canvas.getContext('2d');
  let n = 0;
  const draw = () => {
    if (!pen) return;
    pen.fillStyle = '#f1eadd';
    pen.fillRect(0, 0, 640, 480);
    pen.fillStyle = '#5b9a99';
    pen.fillRect(0, 300, 640, 180);
    pen.fillStyle = '#a23f25';
    pen.beginPath();
    pen.arc(120 + ((n * 8) % 400), 250, 60, 0, Math.PI * 2);
    pen.fill();
    pen.fillStyle = '#241f1a';
    pen.font = '28px sans-serif';
    pen.fillText(`Stand-in camera, picture ${++n}`, 40, 60);
  };
  draw();
  const timer = setInterval(draw, 200);
  const stream = canvas.captureStream(10);
  const [track] = stream.getVideoTracks();
  const stopTrack = track?.stop.bind(track);
  if (track)
    track.stop = () => {
      clearInterval(timer);
      stopTrack?.();
    };
  return stream;
}

function plainTone(): MediaStream {
  const audio = new AudioContext();
  const tone = audio.createOscillator();
  const out = audio.createMediaStreamDestination();
  tone.frequency.value = 220;
  tone.connect(out);
  tone.start();
  const [track] = out.stream.getAudioTracks();
  const stopTrack = track?.stop.bind(track);
  if (track)
    track.stop = () => {
      tone.stop();
      void audio.close();
      stopTrack?.();
    };
  return out.stream;
}
