import { ChangeDetectionStrategy, Component, computed, inject, model, signal, effect, untracked } from '@angular/core';
import { Router } from '@angular/router';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { type Swatch, versionSchema, versionTree } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { bySchema } from '../ui/controls/by-schema';
import { SELECT } from '../ui/controls/select';
import { WRONG } from '../ui/controls/wrong';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { BenchActions } from '../store/actions';
import { drawSwatch } from '../ui/draw-swatch';
import { SwatchMark } from '../ui/swatch';
import { BenchView } from './bench-view';

/** Asks for a name and a basis, and draws a swatch. */
@Component({
  selector: 'lv-new-version',
  imports: [ButtonDirective, DIALOG, InputText, ReactiveFormsModule, SwatchMark, ...SELECT, ...WRONG],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog header="New version" [visible]="open()" (visibleChange)="open.set($event)" [style]="{ width: '440px' }">
      <form class="stack" [formGroup]="form" (ngSubmit)="make()">
        <label class="field"
          >Name
          <input
            pInputText
            formControlName="name"
            maxlength="120"
            list="tiers"
            autocomplete="off"
            aria-describedby="new-version-name"
          />
        </label>
        <lv-wrong id="new-version-name" [of]="form.controls.name" />
        <datalist id="tiers">
          <option value="Supported"></option>
          <option value="Core"></option>
          <option value="Extended"></option>
        </datalist>
        <lv-select label="Made on" formControlName="basis">
          <lv-option value="" label="the master" />
          @for (v of versions(); track v.id) {
            <lv-option [value]="v.id" [label]="v.name" />
          }
        </lv-select>
        <p class="small">It begins as what it is made on, and a correction there comes to it.</p>
        <lv-select label="For" formControlName="learnerId">
          <lv-option value="" label="any learner" />
          @for (l of view.work.people().learners; track l.id) {
            <lv-option [value]="l.id" label="{{ l.name }} only" />
          }
        </lv-select>
        @if (swatch(); as s) {
          <p class="row small">
            <lv-swatch [swatch]="s" [size]="34" /> Its swatch. The letter is drawn by lot, so it says nothing of level.
            <button pButton severity="secondary" text type="button" (click)="draw()">Draw another</button>
          </p>
        }
        <div class="row end">
          <button pButton severity="secondary" type="button" (click)="open.set(false)">Cancel</button>
          <button pButton type="submit">Make the version</button>
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

  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: bySchema(versionSchema.shape.name, 'A name') }),
    basis: new FormControl('', { nonNullable: true }),
    learnerId: new FormControl('', { nonNullable: true }),
  });

  constructor() {
    effect(() => {
      if (!this.open()) return;
      this.draw();
      this.form.reset({ name: untracked(this.proposedName) });
    });
  }

  protected draw(): void {
    const family = this.view.family();
    this.swatch.set(
      drawSwatch(this.clock, [...(family ? [family.swatch] : []), ...this.versions().map((v) => v.swatch)]),
    );
  }

  protected make(): void {
    this.form.markAllAsTouched();
    const { name, basis, learnerId } = this.form.getRawValue();
    const family = this.view.family();
    const swatch = this.swatch();
    if (!family || !swatch || this.form.invalid) return;
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
