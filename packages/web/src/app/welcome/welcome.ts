import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { Starter } from './starter';
import { dressParts } from '../ui/preset/dress';

@Component({
  selector: 'lv-welcome',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <img src="favicon.svg" alt="" width="64" height="64" />
      <h1>Lorvet</h1>
      <p>One activity, a version for everyone, and every version still tied to its master.</p>
      <div class="row">
        <button pButton type="button" (click)="starter.demo()">Start with the demo</button>
        <button pButton severity="secondary" type="button" (click)="starter.empty()">Start empty</button>
      </div>
      <p class="small">
        The demo is Kelp Bay School: four activities, two classes, work in progress. All of it is made up, and you can
        put it away later under Keeping. What you make stays in this browser.
      </p>
    </main>
  `,
  styleUrl: './welcome.css',
})
export class Welcome {
  protected readonly starter = inject(Starter);

  constructor() {
    dressParts();
  }
}
