import { ChangeDetectionStrategy, Component, effect, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { MessageService } from 'primeng/api';
import { Toast } from 'primeng/toast';
import { Keeper } from './platform/keeper';
import { KeepingActions } from './store/actions';
import { WorkspaceStore } from './store/workspace';

@Component({
  selector: 'lv-app',
  imports: [RouterOutlet, Toast],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <router-outlet />
    <p-toast position="bottom-center" />
  `,
  styles: `
    :host {
      display: block;
      height: 100%;
    }
  `,
})
export class App {
  constructor() {
    const workspace = inject(WorkspaceStore);
    const keeper = inject(Keeper);
    const messages = inject(MessageService);
    effect(() => {
      const problem = workspace.problem();
      if (!problem) return;
      messages.add({ severity: 'warn', summary: 'That cannot be done', detail: problem, life: 9000 });
      workspace.dispatch(KeepingActions.problemDismissed());
    });
    effect(() => {
      const failed = keeper.failed();
      if (failed) messages.add({ severity: 'error', summary: 'Not kept', detail: failed, sticky: true });
    });
  }
}
