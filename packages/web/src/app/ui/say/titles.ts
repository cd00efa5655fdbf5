import { effect, inject, Injectable, signal } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { type RouterStateSnapshot, TitleStrategy } from '@angular/router';
import { Say } from './say';

/** What the window is called: the name of the place, in the language that is spoken there. */
@Injectable({ providedIn: 'root' })
export class SaidTitles extends TitleStrategy {
  private readonly name = signal('');

  constructor() {
    super();
    const [title, say] = [inject(Title), inject(Say)];
    effect(() => {
      if (this.name()) title.setTitle(say.ifKnown(this.name()));
    });
  }

  override updateTitle(snapshot: RouterStateSnapshot): void {
    this.name.set(this.buildTitle(snapshot) ?? '');
  }
}
