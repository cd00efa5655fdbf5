import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../platform/clock';
import { download } from '../platform/download';
import { Stopped } from '../platform/workers/task';
import { BulkWork, RefusedFile } from '../store/bulk-work';
import { ProgressLine } from '../ui/progress';
import { dressParts } from '../ui/preset/dress';

/** What an earlier Lorvet kept is brought into the form of now: after a backup, if one is wanted; and whole or not at all. */
@Component({
  selector: 'lv-bring-up',
  imports: [ButtonDirective, ProgressLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <img src="favicon.svg" alt="" width="64" height="64" />
      <h1>Lorvet keeps things in a better way now</h1>
      <p>
        What you have here was kept by an earlier Lorvet. It is brought into the new form once, and stays as it was if
        that does not work. Save a backup first: it costs a moment.
      </p>
      @if (wrong(); as w) {
        <p class="card madder" role="alert">{{ w }} What you keep is as it was.</p>
      }
      @if (bulk.busy(); as b) {
        <lv-progress [what]="b.what" [done]="b.done" [of]="b.of" (stopped)="bulk.stop()" />
      } @else {
        <div class="row">
          <button pButton [severity]="!backedUp() ? null : 'secondary'" type="button" (click)="backup()">
            Save a backup
          </button>
          <button pButton [severity]="backedUp() ? null : 'secondary'" type="button" (click)="goOn()">
            {{ backedUp() ? 'Go on' : 'Go on without' }}
          </button>
        </div>
      }
    </main>
  `,
  styleUrl: './welcome.css',
})
export class BringUp {
  protected readonly bulk = inject(BulkWork);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  protected readonly backedUp = signal(false);
  protected readonly wrong = signal('');

  constructor() {
    dressParts();
  }

  protected async backup(): Promise<void> {
    await this.tried(async () => {
      download(await this.bulk.firstFormatBackup(), `lorvet-${this.clock.iso().slice(0, 10)}.zip`);
      this.backedUp.set(true);
    }, 'The backup could not be written.');
  }

  protected async goOn(): Promise<void> {
    await this.tried(async () => {
      await this.bulk.bringUp();
      await this.router.navigate(['/shelf'], { replaceUrl: true });
    }, 'It could not be brought into the new form.');
  }

  private async tried(work: () => Promise<void>, otherwise: string): Promise<void> {
    this.wrong.set('');
    try {
      await work();
    } catch (error) {
      if (error instanceof Stopped) return;
      this.wrong.set(error instanceof RefusedFile ? error.message : otherwise);
    }
  }
}
