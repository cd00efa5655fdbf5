import { Injectable, signal } from '@angular/core';

export interface Question {
  readonly title: string;
  readonly says: string;
  /** The words on the button that does it. */
  readonly yes: string;
}

interface Asked extends Question {
  readonly answer: (sure: boolean) => void;
}

/** Asks before something that reaches far. The dialog comes when it is first needed. */
@Injectable({ providedIn: 'root' })
export class Ask {
  readonly asked = signal<Asked | null>(null);

  /** Nobody is there any more to answer: it is not done. */
  withdraw(): void {
    this.asked()?.answer(false);
    this.asked.set(null);
  }

  async sure(question: Question): Promise<boolean> {
    // Asked again before it was answered: the first is not done.
    this.asked()?.answer(false);
    return await new Promise((done) => this.asked.set({ ...question, answer: done }));
  }
}
