import { computed, Injectable, signal } from '@angular/core';

export interface SpokenVoice {
  readonly name: string;
  /** Its language, as a BCP 47 code. */
  readonly lang: string;
}

/** How something is said: in which language, how fast (1 is as usual), by which voice (by its name; empty for any). */
export interface Manner {
  readonly lang: string;
  readonly speed: number;
  readonly voice: string;
}

export interface Heard {
  /** A word begins, at this letter of the text. */
  word(at: number): void;
  /** All is said. Not called where it was stopped. */
  end(): void;
}

/** How long a word takes that nobody says: near the pace of a calm reader. In milliseconds. */
export const wordTakes = (word: string, speed: number): number => (140 + 55 * word.length) / speed;

/**
 * Reading aloud. It uses the voices that live on this machine; one that would send the words away is never used. Where
 * there is none, a stand-in says nothing and gives the time that each word would take.
 */
@Injectable({ providedIn: 'root' })
export class Speech {
  private readonly synth: SpeechSynthesis | undefined = globalThis.speechSynthesis as SpeechSynthesis | undefined;
  private readonly here = signal<readonly SpeechSynthesisVoice[]>([]);
  readonly voices = computed<readonly SpokenVoice[]>(() => this.here().map(({ name, lang }) => ({ name, lang })));
  /** Whether there is no voice: words are only marked, in their time. */
  readonly isStandIn = computed(() => this.here().length === 0);

  constructor() {
    const look = () => this.here.set((this.synth?.getVoices() ?? []).filter((v) => v.localService));
    look();
    // Some browsers know their voices only after a while.
    this.synth?.addEventListener('voiceschanged', look);
  }

  /** Says a text; what is said before is stopped. Returns what stops it. */
  say(text: string, manner: Manner, heard: Heard): () => void {
    const [language] = manner.lang.split('-');
    const fit = this.here().filter((v) => v.lang.startsWith(language ?? ''));
    const voice = this.here().find((v) => v.name === manner.voice && v.lang.startsWith(language ?? '')) ?? fit[0];
    return voice && this.synth ? this.aloud(this.synth, voice, text, manner, heard) : timed(text, manner, heard);
  }

  private aloud(
    synth: SpeechSynthesis,
    voice: SpeechSynthesisVoice,
    text: string,
    manner: Manner,
    heard: Heard,
  ): () => void {
    synth.cancel();
    const said = new SpeechSynthesisUtterance(text);
    said.voice = voice;
    said.lang = voice.lang;
    said.rate = manner.speed;
    let over = false;
    // A voice that does not say where it is: the words go by their time, until it says so or is done.
    let guess = timed(text, manner, { word: heard.word, end: () => undefined });
    said.onboundary = (e) => {
      guess();
      guess = () => undefined;
      if (!over && e.name === 'word') heard.word(e.charIndex);
    };
    const done = () => {
      guess();
      if (over) return;
      over = true;
      heard.end();
    };
    said.onend = done;
    said.onerror = done;
    synth.speak(said);
    return () => {
      over = true;
      guess();
      synth.cancel();
    };
  }
}

function timed(text: string, { speed }: Manner, heard: Heard): () => void {
  const words = [...text.matchAll(/\S+/g)];
  let timer: ReturnType<typeof setTimeout> | undefined;
  const say = (i: number) => {
    const word = words[i];
    if (!word) return heard.end();
    heard.word(word.index);
    timer = setTimeout(() => say(i + 1), wordTakes(word[0], speed));
  };
  // Never in the same moment: whoever asked has what stops it first.
  timer = setTimeout(() => say(0));
  return () => clearTimeout(timer);
}
