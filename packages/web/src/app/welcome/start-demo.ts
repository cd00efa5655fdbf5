import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Router } from '@angular/router';
import { WorkspaceStore } from '../store/workspace';
import { Starter } from './starter';

/** The address that `npm start` names: begins with the demo where nothing was kept yet, and changes nothing otherwise. */
@Component({
  selector: 'lv-start-demo',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<main class="empty">
    <h1>Lorvet</h1>
    <p>Laying out the demo …</p>
  </main>`,
})
export class StartDemo {
  constructor() {
    if (inject(WorkspaceStore).status() === 'choosing') void inject(Starter).demo();
    else void inject(Router).navigate(['/shelf'], { replaceUrl: true });
  }
}
