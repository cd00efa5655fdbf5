import { ChangeDetectionStrategy, Component, effect, inject, model } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { contentSchema, familySchema, overfull } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { Clock } from '../platform/clock';
import { ShelfActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { bySchema } from '../ui/controls/by-schema';
import { WRONG } from '../ui/controls/wrong';
import { DIALOG } from '../ui/dialog';
import { Notice } from '../ui/notice';
import { newFamily } from './new-family';

const { title, subject, ages } = contentSchema.shape;
const text = (...validators: ReturnType<typeof bySchema>[]) => new FormControl('', { nonNullable: true, validators });

/** Asks what a new master is about, and opens it on the Bench. */
@Component({
  selector: 'lv-new-master',
  imports: [ButtonDirective, DIALOG, InputText, ReactiveFormsModule, Textarea, ...WRONG],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog header="New master" [visible]="open()" (visibleChange)="open.set($event)" [style]="{ width: '460px' }">
      <form class="stack" [formGroup]="form" (ngSubmit)="begin()">
        <label class="field"
          >Title
          <input
            pInputText
            formControlName="title"
            maxlength="200"
            autocomplete="off"
            aria-describedby="new-master-title"
          />
        </label>
        <lv-wrong id="new-master-title" [of]="form.controls.title" />
        <label class="field"
          >Subject <input pInputText formControlName="subject" maxlength="100" autocomplete="off"
        /></label>
        <label class="field"
          >Ages <input pInputText formControlName="ages" maxlength="40" placeholder="9–11" autocomplete="off"
        /></label>
        <label class="field"
          >Objectives, one a line
          <textarea pTextarea formControlName="objectives" rows="3" maxlength="20000"></textarea>
        </label>
        <div class="row end">
          <button pButton severity="secondary" type="button" (click)="open.set(false)">Cancel</button>
          <button pButton type="submit">Open it on the Bench</button>
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
export class NewMaster {
  readonly open = model(false);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly router = inject(Router);
  protected readonly form = new FormGroup({
    title: text(bySchema(title, 'A title')),
    subject: text(bySchema(subject, 'A subject')),
    ages: text(bySchema(ages, 'Ages')),
    objectives: text(),
  });

  constructor() {
    effect(() => {
      if (this.open()) this.form.reset();
    });
  }

  protected begin(): void {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const { objectives, ...about } = this.form.getRawValue();
    const begun = {
      title: about.title.trim(),
      subject: about.subject.trim(),
      ages: about.ages.trim(),
      objectives: objectives
        .split('\n')
        .map((o) => o.trim())
        .filter(Boolean),
    };
    const family = newFamily(begun, this.clock.iso(), 'Teacher', () => this.clock.newId());
    const full = overfull(familySchema, family);
    if (full) return this.notice.cannot(full);
    this.work.dispatch(ShelfActions.familyAdded({ family, label: `new “${begun.title}”` }));
    this.open.set(false);
    void this.router.navigate(['/bench', family.id]);
  }
}
