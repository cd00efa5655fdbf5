import { ChangeDetectionStrategy, Component, computed, inject, model, signal, effect } from '@angular/core';
import { Router } from '@angular/router';
import { type Swatch, versionTree } from '@lorvet/core';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { BenchActions } from '../store/actions';
import { drawSwatch } from '../ui/draw-swatch';
import { SwatchMark } from '../ui/swatch';
import { BenchView } from './bench-view';

/** Asks for a name and a basis, and draws a swatch. */
@Component({
  selector: 'lv-new-version',
  imports: [DIALOG, SwatchMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog header="New version" [visible]="open()" (visibleChange)="open.set($event)" [style]="{ width: '440px' }">
      <form class="stack" (submit)="$event.preventDefault(); make(name.value, basis.value, learner.value)">
        <label class="field"
          >Name
          <input #name required maxlength="120" [value]="proposedName()" list="tiers" autocomplete="off" />
        </label>
        <datalist id="tiers">
          <option value="Supported"></option>
          <option value="Core"></option>
          <option value="Extended"></option>
        </datalist>
        <label class="field"
          >Made on
          <select #basis>
            <option value="">the master</option>
            @for (v of versions(); track v.id) {
              <option [value]="v.id">{{ v.name }}</option>
            }
          </select>
        </label>
        <p class="small">It begins as what it is made on, and a correction there comes to it.</p>
        <label class="field"
          >For
          <select #learner>
            <option value="">any learner</option>
            @for (l of view.work.people().learners; track l.id) {
              <option [value]="l.id">{{ l.name }} only</option>
            }
          </select>
        </label>
        @if (swatch(); as s) {
          <p class="row small">
            <lv-swatch [swatch]="s" [size]="34" /> Its swatch. The letter is drawn by lot, so it says nothing of level.
            <button class="btn quiet" type="button" (click)="draw()">Draw another</button>
          </p>
        }
        <div class="row end">
          <button class="btn" type="button" (click)="open.set(false)">Cancel</button>
          <button class="btn main" type="submit">Make the version</button>
        </div>
      </form>
    </p-dialog>
  `,
  styles: `
    .end {
      justify-content: flex-end;
    }
  `,
})
export class NewVersion {
  readonly open = model(false);
  protected readonly view = inject(BenchView);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  protected readonly swatch = signal<Swatch | null>(null);
  protected readonly versions = computed(() => {
    const family = this.view.family();
    return family ? versionTree(family).map((t) => t.version) : [];
  });
  protected readonly proposedName = computed(() => {
    const names = this.versions().map((v) => v.name);
    return ['Supported', 'Core', 'Extended'].find((n) => !names.includes(n)) ?? '';
  });

  constructor() {
    effect(() => {
      if (this.open()) this.draw();
    });
  }

  protected draw(): void {
    const family = this.view.family();
    this.swatch.set(
      drawSwatch(this.clock, [...(family ? [family.swatch] : []), ...this.versions().map((v) => v.swatch)]),
    );
  }

  protected make(name: string, basis: string, learnerId: string): void {
    const family = this.view.family();
    const swatch = this.swatch();
    if (!family || !swatch || !name.trim()) return;
    const id = this.clock.newId();
    const version = {
      id,
      name: name.trim(),
      swatch,
      purpose: '',
      basis: basis || null,
      upTo: 1,
      adjustments: [],
      upkeepLog: [],
      ...(learnerId ? { learnerId } : {}),
    };
    this.view.work.dispatch(BenchActions.versionAdded({ familyId: family.id, version }));
    this.open.set(false);
    void this.router.navigate(['/bench', family.id, id]);
  }
}
