import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { type AdjustmentFile, fitAdjustments, type Fitting } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../platform/clock';
import { download } from '../platform/download';
import { BenchActions } from '../store/actions';
import { FileButton } from '../ui/file-button';
import { Packs } from '../store/packs';
import { Notice } from '../ui/notice';
import { BenchView } from './bench-view';
import { VersionHere } from './version-here';
import type { KeptAsset } from '../platform/storage/kept-asset';
import { counted } from '../platform/many';

/** A file that came in: what is in it, or why it is no such file. */
interface Brought {
  readonly name: string;
  readonly problem?: { readonly message: string; readonly details: readonly string[] };
  readonly file?: AdjustmentFile;
  readonly assets: readonly KeptAsset[];
}

/** A version's adjustments out to a file, and another file's in: whole, or after the teacher has seen what does not fit. */
@Component({
  selector: 'lv-adjustment-files',
  imports: [ButtonDirective, FileButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (brought(); as b) {
      <div class="card stack" [class.madder]="b.problem" [class.ochre]="!b.problem" role="alert">
        <h3>{{ b.name }}</h3>
        @if (b.problem; as p) {
          <p>{{ p.message }}</p>
          @for (d of p.details; track $index) {
            <p class="small">{{ d }}</p>
          }
        }
        @if (fitting(); as f) {
          <p>{{ f.unfit.length }} of {{ f.unfit.length + f.added.length + f.there }} cannot be added here:</p>
          <ul>
            @for (u of f.unfit; track $index) {
              <li class="small">
                <strong>{{ u.what }}</strong> {{ u.why }}
              </li>
            }
          </ul>
        }
        <div class="row">
          @if (fitting()?.added?.length; as n) {
            <button pButton type="button" (click)="add()">
              {{ counted(n, 'Add the one that fits', 'Add the {n} that fit') }}
            </button>
          }
          <button pButton severity="secondary" type="button" (click)="brought.set(null)">
            {{ fitting()?.added?.length ? 'Add none' : 'Close' }}
          </button>
        </div>
      </div>
    }
    <div class="row">
      @if (here.state()?.version?.adjustments?.length) {
        <button pButton severity="secondary" text type="button" (click)="toFile()">Save them to a file</button>
      }
      <lv-file-button [quiet]="true" accept=".zip,application/zip" (chosen)="fromFile($event)"
        >Add some from a file</lv-file-button
      >
    </div>
  `,
  styles: `
    ul {
      display: grid;
      gap: 6px;
      padding-left: 18px;
      list-style: disc;
    }
  `,
})
export class AdjustmentFiles {
  protected readonly counted = counted;
  protected readonly here = inject(VersionHere);
  private readonly view = inject(BenchView);
  private readonly files = inject(Packs);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  /** Of the version that it was chosen for: another one asks anew. */
  protected readonly brought = linkedSignal<string | null, Brought | null>({
    source: this.view.versionId,
    computation: () => null,
  });
  /** What of the file fits the version as it is now: it may be changed while the teacher reads what does not. */
  protected readonly fitting = computed((): Fitting | null => {
    const s = this.here.state();
    const file = this.brought()?.file;
    if (!s || !file) return null;
    const stamp = { ...this.view.work.stamp(0), newId: () => this.clock.newId() };
    return fitAdjustments(s.family, s.version, file.adjustments, stamp, `from “${file.version}”`);
  });

  protected async toFile(): Promise<void> {
    const s = this.here.state();
    if (!s) return;
    const file = await this.files.writeAdjustments(s.family, s.version.id, this.clock.iso());
    download(file, `${s.version.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.adjustments.zip`);
    this.notice.done(
      `${s.version.adjustments.length} adjustments were saved to a file`,
      'Reasons are not in it. They fit this activity only; a recipe fits any.',
    );
  }

  protected async fromFile(file: File): Promise<void> {
    this.brought.set(null);
    const read = await this.files.readAdjustments(file);
    if (!read.ok) this.brought.set({ name: file.name, problem: read, assets: [] });
    else this.brought.set({ name: file.name, file: read.file, assets: read.assets });
    if (this.fitting()?.unfit.length === 0) this.add();
  }

  protected add(): void {
    const fitting = this.fitting();
    const brought = this.brought();
    if (!fitting || !brought) return;
    this.brought.set(null);
    const { version, added, there } = fitting;
    if (added.length === 0) {
      this.notice.done('Nothing was added', 'This version has them all already.');
      return;
    }
    this.view.work.dispatch(
      BenchActions.adjustmentsBrought({
        familyId: this.view.familyId(),
        version,
        assets: brought.assets,
        label: `adjustments from “${brought.name}”`,
      }),
    );
    this.notice.done(
      counted(added.length, 'One adjustment was added', '{n} adjustments were added'),
      [
        there ? counted(there, '{n} was here already.', '{n} were here already.') : '',
        counted(added.length, 'One undo takes it back.', 'One undo takes them back.'),
      ]
        .filter(Boolean)
        .join(' '),
    );
  }
}
