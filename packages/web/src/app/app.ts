import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Ask } from './ui/ask';
import { AskDialog } from './ui/ask-dialog';

@Component({
  selector: 'lv-app',
  imports: [AskDialog, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
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
}
