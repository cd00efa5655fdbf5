import { Injectable, inject } from '@angular/core';
import { Router } from '@angular/router';
import { emptyWorkspace, type Workspace } from '@lorvet/core';
import { Exchanging } from '../store/exchanging';

/** The two ways to begin. */
@Injectable({ providedIn: 'root' })
export class Starter {
  private readonly exchanging = inject(Exchanging);
  private readonly router = inject(Router);

  async demo(): Promise<void> {
    const { demoWorkspace } = await import('@lorvet/core/demo');
    await this.begin(demoWorkspace(Date.now()));
  }

  async empty(): Promise<void> {
    await this.begin(emptyWorkspace());
  }

  private async begin(workspace: Workspace): Promise<void> {
    await this.exchanging.withWorkspace(workspace, 'begin');
    await this.router.navigate(['/shelf'], { replaceUrl: true });
  }
}
