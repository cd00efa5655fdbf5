import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, model } from '@angular/core';
import { Router } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { again, type HandOut, NO_DAYS_OFF, SCHOOL_ID, type SeriesStep, seriesOf, versionTree } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../platform/clock';
import { counted, many } from '../platform/many';
import { HandOutActions } from '../store/actions';
import { Parts } from '../store/parts';
import { wantFamily } from '../store/wants';
import { WorkspaceStore } from '../store/workspace';
import { NumberField } from '../ui/controls/number';
import { SELECT } from '../ui/controls/select';
import { DIALOG } from '../ui/dialog';
import { IconButton } from '../ui/icon-button';
import { Notice } from '../ui/notice';

const SAME = 'same';
const AS_IT_WAS = 'as it was';
const MASTER = 'master';
const WEEK = 7;

/** The same plan once more: for the same learners or another class, some weeks later, or a series of versions. */
@Component({
  selector: 'lv-again-box',
  imports: [IconButton, ButtonDirective, DIALOG, InputText, LucideDynamicIcon, NumberField, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="Use it again"
      [visible]="of() !== null"
      (visibleChange)="$event || of.set(null)"
      [style]="{ width: '560px' }"
    >
      @if (plan(); as h) {
        <form class="stack" (submit)="$event.preventDefault(); make()">
          <label class="field"
            >Title learners see <input pInputText #t maxlength="200" [value]="title()" (input)="title.set(t.value)"
          /></label>
          <div class="two">
            <lv-select label="For" [value]="forWhom()" (chosen)="forWhom.set($event)">
              <lv-option [value]="SAME" label="the same learners" />
              @for (c of classes(); track c.id) {
                <lv-option [value]="c.id" [label]="c.name" />
              }
            </lv-select>
            <lv-number label="Weeks later" [min]="0" [max]="60" [value]="weeks()" (typed)="weeks.set($event ?? 0)" />
          </div>
          @if (family()) {
            <lv-select label="Version" [value]="version()" (chosen)="version.set($event)">
              <lv-option [value]="AS_IT_WAS" label="as it was" />
              @for (v of versions(); track v.id) {
                <lv-option [value]="v.id" [label]="v.name + ' for everyone'" />
              }
            </lv-select>
            <fieldset>
              <legend>And after it</legend>
              @for (s of steps(); track $index) {
                <div class="row step">
                  <lv-select
                    [label]="'Version of part ' + ($index + 2)"
                    hideLabel
                    [value]="s.versionId ?? MASTER"
                    (chosen)="setStep($index, { versionId: $event === MASTER ? null : $event })"
                  >
                    @for (v of versions(); track v.id) {
                      <lv-option [value]="v.id" [label]="v.name" />
                    }
                  </lv-select>
                  <lv-number
                    [label]="'Weeks later, part ' + ($index + 2)"
                    hideLabel
                    [min]="1"
                    [max]="60"
                    [value]="s.later / WEEK"
                    (typed)="setStep($index, { later: ($event ?? 1) * WEEK })"
                  />
                  <span>{{ s.later === WEEK ? 'week later' : 'weeks later' }}</span>
                  <button
                    type="button"
                    lvIcon="x"
                    [says]="'Take part ' + ($index + 2) + ' away'"
                    (click)="dropStep($index)"
                  ></button>
                </div>
              }
              <button
                pButton
                severity="secondary"
                type="button"
                [disabled]="steps().length >= MOST"
                (click)="addStep()"
              >
                <svg lucideIcon="plus"></svg>The next version
              </button>
            </fieldset>
          }
          <p class="small">
            Nothing of anybody’s work comes along. A date that falls on a day without school goes to the next with.
          </p>
          <div class="row end">
            <button pButton severity="secondary" text type="button" (click)="keepAsTemplate()">
              Keep it as a template
            </button>
            <button pButton type="submit" [disabled]="!title().trim()">
              {{ steps().length ? counted(steps().length + 1, 'Make {n} plan', 'Make {n} plans') : 'Make the plan' }}
            </button>
          </div>
        </form>
      }
    </p-dialog>
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 12px;
    }
    fieldset {
      display: grid;
      gap: 8px;
      justify-items: start;
      margin: 0;
      padding: 6px 10px 10px;
      border: 1px solid var(--line);
      border-radius: var(--r);
    }
    legend {
      font-size: 13px;
      font-weight: 600;
    }
    .end {
      justify-content: flex-end;
    }
    lv-number {
      max-width: 110px;
    }
  `,
})
export class AgainBox {
  protected readonly counted = counted;
  /** The hand-out that is used again; null: the box is closed. */
  readonly of = model.required<string | null>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly notice = inject(Notice);
  protected readonly SAME = SAME;
  protected readonly AS_IT_WAS = AS_IT_WAS;
  protected readonly MASTER = MASTER;
  protected readonly WEEK = WEEK;
  protected readonly MOST = 12;
  protected readonly many = many;
  protected readonly ready = inject(Parts).hold(
    () => this.of(),
    async (id, want) => {
      await want('handOuts', [id]);
      const familyId = this.work.handOuts()[id]?.familyId;
      if (familyId) await wantFamily(familyId, want, this.work.doc);
    },
  );
  protected readonly plan = computed<HandOut | undefined>(() => this.work.handOuts()[this.of() ?? '']);
  protected readonly family = computed(() => this.work.families()[this.plan()?.familyId ?? '']);
  protected readonly classes = computed(() => this.work.people().classes);
  protected readonly versions = computed(() => {
    const family = this.family();
    if (!family) return [];
    const all = versionTree(family).flatMap(({ version: v }) => (v.learnerId ? [] : [{ id: v.id, name: v.name }]));
    return [{ id: MASTER, name: 'Master' }, ...all];
  });
  protected readonly forWhom = linkedSignal({ source: this.of, computation: () => SAME });
  protected readonly weeks = linkedSignal({ source: this.of, computation: () => 1 });
  protected readonly version = linkedSignal({ source: this.of, computation: () => AS_IT_WAS });
  protected readonly steps = linkedSignal<string | null, readonly SeriesStep[]>({
    source: this.of,
    computation: () => [],
  });
  /** Two pieces of work of one name cannot be told apart: for the same learners it is called something else. */
  protected readonly title = linkedSignal({
    source: () => ({ title: this.plan()?.title ?? '', isSame: this.forWhom() === SAME }),
    computation: ({ title, isSame }) => (isSame && title ? this.freeTitle(title) : title),
  });

  protected setStep(at: number, patch: Partial<SeriesStep>): void {
    this.steps.set(this.steps().map((s, i) => (i === at ? { ...s, ...patch } : s)));
  }

  protected addStep(): void {
    const later = (this.steps().at(-1)?.later ?? 0) + WEEK;
    const next = this.versions()[Math.min(this.steps().length + 2, this.versions().length - 1)]?.id ?? MASTER;
    this.steps.set([...this.steps(), { versionId: next === MASTER ? null : next, later }]);
  }

  protected dropStep(at: number): void {
    this.steps.set(this.steps().filter((_, i) => i !== at));
  }

  protected make(): void {
    const [plan, family] = [this.plan(), this.family()];
    if (!plan || !this.title().trim()) return;
    const days = this.work.calendars()[SCHOOL_ID] ?? NO_DAYS_OFF;
    const newId = () => this.clock.newId();
    const version = this.version();
    const at = this.clock.iso();
    const first = again(
      plan,
      {
        id: newId(),
        createdAt: at,
        title: this.title().trim(),
        later: WEEK * this.weeks(),
        ...(this.forWhom() === SAME ? {} : { classId: this.forWhom() }),
        ...(version === AS_IT_WAS ? {} : { versionId: version === MASTER ? null : version }),
      },
      newId,
      days,
    );
    const all =
      family && this.steps().length
        ? seriesOf(first, this.steps(), family, this.clock.local(), at, newId, days)
        : [first];
    this.work.dispatch(HandOutActions.plansMade({ handOuts: all, label: `use “${plan.title}” again` }));
    this.of.set(null);
    if (all.length > 1)
      this.notice.done(
        counted(all.length, '{n} plan made', '{n} plans made'),
        'Each is a draft until you give it out.',
      );
    void this.router.navigate(['/hand-outs', first.id]);
  }

  protected keepAsTemplate(): void {
    const plan = this.plan();
    if (!plan) return;
    const newId = () => this.clock.newId();
    const title = this.title().trim() || plan.title;
    const template = again(plan, { id: newId(), createdAt: this.clock.iso(), title, isTemplate: true }, newId);
    this.work.dispatch(HandOutActions.plansMade({ handOuts: [template], label: `template “${title}”` }));
    this.of.set(null);
    this.notice.done('Kept as a template', 'It stands under “New hand-out”.');
  }

  /** The title with a number that no other has. */
  private freeTitle(title: string): string {
    const taken = new Set(this.work.handOutHeads().map((h) => h.title.toLowerCase()));
    const plain = title.replace(/ \(\d{1,3}\)$/, '');
    for (let n = 2; n < 500; n++) {
      const next = `${plain.slice(0, 190)} (${n})`;
      if (!taken.has(next.toLowerCase())) return next;
    }
    return title;
  }
}
