import { computed, inject, Injectable, signal } from '@angular/core';
import type { Plain } from '../ui/say/say';
import { Devices } from './devices';
import { wordTakes } from './speech';

/** What the stand-in hears, whatever is said. */
const STAND_IN = 'I see a crab under a stone';

/** What a browser may offer; only where it works on this machine itself. */
interface Recognition {
  lang: string;
  continuous: boolean;
  processLocally?: boolean;
  onresult: ((e: { resultIndex: number; results: ArrayLike<Result> }) => void) | null;
  onend: (() => void) | null;
  onerror: ((e: { error: string }) => void) | null;
  start(): void;
  stop(): void;
}
type Result = ArrayLike<{ transcript: string }> & { readonly isFinal: boolean };
interface Recognizer {
  new (): Recognition;
  available?(how: { langs: string[]; processLocally: boolean }): Promise<string>;
}

export interface Dictated {
  /** More was understood. */
  words(text: string): void;
  /** It is over; why, where it could not be. */
  end(why: Plain | ''): void;
}

/**
 * Answers by speaking. The browser’s own recognition is used where it works on this machine: a voice is never sent away.
 * Where stand-ins were chosen, one hears the same few words each time, and says so.
 */
@Injectable({ providedIn: 'root' })
export class Dictation {
  private readonly devices = inject(Devices);
  private readonly here = signal<Recognizer | null>(null);
  readonly isStandIn = this.devices.standIn;
  readonly can = computed(() => this.isStandIn() || this.here() !== null);

  constructor() {
    const recognizer = (globalThis as { SpeechRecognition?: Recognizer }).SpeechRecognition;
    void recognizer
      ?.available?.({ langs: ['en-GB'], processLocally: true })
      .then((is) => {
        if (is === 'available') this.here.set(recognizer);
      })
      .catch(() => undefined);
  }

  /** Listens until it is stopped by what this returns, or until nothing more is said. */
  listen(dictated: Dictated): () => void {
    const recognizer = this.here();
    return this.isStandIn() || !recognizer ? standIn(dictated) : heard(new recognizer(), dictated);
  }
}

function heard(recognition: Recognition, dictated: Dictated): () => void {
  let why: Plain | '' = '';
  recognition.lang = 'en-GB';
  recognition.continuous = true;
  recognition.processLocally = true;
  recognition.onresult = (e) => {
    for (let i = e.resultIndex; i < e.results.length; i++) {
      const result = e.results[i];
      if (result?.isFinal) dictated.words(result[0]?.transcript.trim() ?? '');
    }
  };
  recognition.onerror = (e) => {
    if (e.error === 'not-allowed')
      why =
        'The browser may not use the microphone. Press the sign at the left of the address, allow it, and try again.';
    else if (e.error !== 'no-speech' && e.error !== 'aborted') why = 'Nothing could be heard. Write it instead.';
  };
  recognition.onend = () => dictated.end(why);
  recognition.start();
  return () => recognition.stop();
}

function standIn(dictated: Dictated): () => void {
  const words = STAND_IN.split(' ');
  let timer: ReturnType<typeof setTimeout> | undefined;
  const say = (i: number) => {
    const word = words[i];
    if (word === undefined) return dictated.end('');
    timer = setTimeout(
      () => {
        dictated.words(word);
        say(i + 1);
      },
      wordTakes(word, 2),
    );
  };
  say(0);
  return () => {
    clearTimeout(timer);
    dictated.end('');
  };
}
