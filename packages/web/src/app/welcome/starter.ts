import { Injectable, inject } from '@angular/core';
import { Router } from '@angular/router';
import { emptyWorkspace, type Workspace } from '@lorvet/core';
import { Keeper } from '../platform/keeper';
import { KeepingActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';

/** The two ways to begin. */
@Injectable({ providedIn: 'root' })
export class Starter {
  private readonly work = inject(WorkspaceStore);
  private readonly keeper = inject(Keeper);
  private readonly router = inject(Router);

  async demo(): Promise<void> {
    const { demoWorkspace } = await import('@lorvet/core/demo');
    await this.begin(demoWorkspace(Date.now()));
  }

  async empty(): Promise<void> {
    await this.begin(emptyWorkspace());
  }

  private async begin(workspace: Workspace): Promise<void> {
    this.work.dispatch(KeepingActions.workspaceReplaced({ workspace, label: 'begin' }));
    await this.keeper.flush();
    await this.keeper.markStarted();
    await this.router.navigate(['/shelf'], { replaceUrl: true });
  }
}
