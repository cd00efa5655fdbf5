import { ChangeDetectionStrategy, Component, effect, inject, untracked } from '@angular/core';
import { Router, RouterOutlet } from '@angular/router';
import { Lock } from './platform/lock';
import { isDeskPath } from './start/desk-path';
import { Ask } from './ui/ask';
import { AskDialog } from './ui/ask-dialog';
import { UnreachedCard } from './ui/unreached';

@Component({
  selector: 'lv-app',
  imports: [AskDialog, RouterOutlet, UnreachedCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-unreached />
    <router-outlet />
    @defer (when ask.asked()) {
      <lv-ask-dialog />
    }
  `,
  styles: `
    :host {
      display: block;
      height: 100%;
    }
  `,
})
export class App {
  protected readonly ask = inject(Ask);

  constructor() {
    const lock = inject(Lock);
    const router = inject(Router);
    // Handed over in another tab: this one follows at once.
    effect(() => {
      if (!lock.closed()) return;
      untracked(() => {
        this.ask.withdraw();
        if (!isDeskPath(router.url)) void router.navigate(['/desk'], { replaceUrl: true });
      });
    });
  }
}
