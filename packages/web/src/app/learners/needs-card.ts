import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  effect,
  inject,
  input,
  type OnDestroy,
  type OnInit,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Id, type Learner, type NeedsCard, type People } from '@lorvet/core';
import { RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { debounceTime } from 'rxjs';
import { Clock } from '../platform/clock';
import { Leaving } from '../platform/leaving';
import { CheckBox } from '../ui/controls/check';
import { DateField } from '../ui/controls/date';
import { Fold } from '../ui/controls/fold';
import { Press } from '../ui/press';
import { CardDrafts } from './card-drafts';
import { CardDesk } from './card-desk';
import { CardGoals } from './card-goals';
import { CardLevels } from './card-levels';
import { CardSupports } from './card-supports';
import { CardViewers } from './card-viewers';
import { CARD_FIELD_NAMES, CARD_FIELDS, type CardChange, type CardFieldName, MOST_IN, withChange } from './card-fields';

const PAUSE_MS = 500;

/** A change, and the field that it was made in: changes of one field are undone together. */
export interface Written {
  readonly field: string;
  readonly change: CardChange;
}
export type Placed = ({ readonly classId: Id } | { readonly groupId: Id }) & { readonly isIn: boolean };

const text = () => new FormControl('', { nonNullable: true });

/**
 * What a teacher knows of one learner. It belongs to that learner for as long as it is there (another learner, another
 * card), and says each field after a pause, on leaving it and before it goes.
 */
@Component({
  selector: 'lv-needs-card',
  imports: [
    ButtonDirective,
    CardDesk,
    CardGoals,
    CardLevels,
    CardSupports,
    CardViewers,
    CheckBox,
    DateField,
    Fold,
    InputText,
    LucideDynamicIcon,
    NgTemplateOutlet,
    RouterLink,
    ReactiveFormsModule,
    Textarea,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './needs-card.html',
  styleUrl: './needs-card.css',
})
export class NeedsCardForm implements OnInit, OnDestroy {
  readonly learner = input.required<Learner>();
  readonly isNew = input(false);
  readonly people = input.required<People>();
  readonly classIds = input<readonly string[]>([]);
  readonly groupIds = input<readonly string[]>([]);
  /** Objectives that a level can be held by. */
  readonly objectives = input<readonly { readonly id: string; readonly text: string }[]>([]);
  /** Whether the learner has set the desk as they like it. */
  readonly hasComfort = input(false);
  readonly written = output<Written>();
  readonly placed = output<Placed>();
  readonly removed = output();
  /** Something could not be kept and the card goes: why. */
  readonly left = output<string>();

  private readonly clock = inject(Clock);
  protected readonly today = this.clock.today;
  private readonly levels = viewChild.required(CardLevels);
  private readonly drafts = inject(CardDrafts);
  protected readonly most = MOST_IN;
  protected readonly problems = signal<Partial<Record<CardFieldName, string | undefined>>>({});
  protected readonly form = new FormGroup<Record<CardFieldName, FormControl<string>>>({
    name: text(),
    interests: text(),
    languages: text(),
    chosenName: text(),
    birthday: text(),
    own: text(),
    works: text(),
    avoid: text(),
    note: text(),
  });
  private readonly press = inject(Press);
  private readonly stopSaying = inject(Leaving).say(() => this.sayAll());

  constructor() {
    for (const field of CARD_FIELD_NAMES)
      this.form.controls[field].valueChanges
        .pipe(debounceTime(PAUSE_MS), takeUntilDestroyed())
        .subscribe(() => this.say(field));
    // Changed from elsewhere, or undone: shown where nothing else is being written.
    effect(() => {
      const learner = this.learner();
      untracked(() => this.show(learner));
    });
  }

  ngOnInit(): void {
    const drafts = this.drafts.of(this.learner().id);
    for (const field of CARD_FIELD_NAMES) {
      const typed = drafts.get(field);
      if (typed === undefined) continue;
      this.form.controls[field].setValue(typed, { emitEvent: false });
      this.form.controls[field].markAsDirty();
      this.say(field);
    }
  }

  ngOnDestroy(): void {
    this.sayAll();
    this.stopSaying();
    const wrong = CARD_FIELD_NAMES.filter((f) => this.form.controls[f].dirty);
    for (const f of CARD_FIELD_NAMES)
      this.drafts.put(this.learner().id, f, wrong.includes(f) ? this.form.controls[f].value : undefined);
    const [why] = [...wrong.flatMap((f) => this.problems()[f] ?? []), ...this.levels().whyWrong()];
    if (why) this.left.emit(why);
  }

  protected sayAll(): void {
    for (const field of CARD_FIELD_NAMES) this.say(field);
  }

  protected tellNeeds(field: string, needs: Partial<NeedsCard>): void {
    this.emit(field, { needs });
  }

  protected emit(field: string, change: CardChange): void {
    this.written.emit({ field, change });
  }

  private show(learner: Learner): void {
    for (const field of CARD_FIELD_NAMES) {
      const control = this.form.controls[field];
      if (control.dirty || this.isSame(this.read(field, control.value), field)) continue;
      control.setValue(CARD_FIELDS[field].show(learner), { emitEvent: false });
    }
  }

  private say(field: CardFieldName): void {
    const control = this.form.controls[field];
    if (!control.dirty) return;
    const change = this.read(field, control.value);
    if (!('problem' in change)) {
      control.markAsPristine();
      this.tell(field, undefined);
      if (!this.isSame(change, field)) this.emit(field, change);
      return;
    }
    // A new learner has no name yet while something else is written.
    if (field === 'name' && this.isNew() && control.value === '') return;
    this.tell(field, change.problem);
  }

  /** What is wrong with a field, or that nothing is: said once no press would be lost by the line that comes or goes. */
  private tell(field: CardFieldName, problem: string | undefined): void {
    this.press.after(() =>
      this.problems.update((all) => (all[field] === problem ? all : { ...all, [field]: problem })),
    );
  }

  private read(field: CardFieldName, typed: string): CardChange | { readonly problem: string } {
    return CARD_FIELDS[field].read(typed, this.learner());
  }

  /** Whether a change would leave the field as it is shown. */
  private isSame(change: CardChange | { readonly problem: string }, field: CardFieldName): boolean {
    const { show } = CARD_FIELDS[field];
    return !('problem' in change) && show(withChange(this.learner(), change)) === show(this.learner());
  }
}
