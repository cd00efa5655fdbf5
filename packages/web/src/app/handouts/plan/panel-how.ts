import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { HandOut, Id, OwnDates } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { counted, many } from '../../platform/many';
import { HandOutActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { DateField } from '../../ui/controls/date';
import { Fold } from '../../ui/controls/fold';
import { SELECT } from '../../ui/controls/select';
import { Several } from '../../ui/controls/several';
import { IconButton } from '../../ui/icon-button';
import { pieceByPiece } from '../../ui/piece-by-piece';
import { dayIn, whenIn } from '../../ui/when';
import { PlanHere } from './plan-here';
import { PlanWay } from './plan-way';

const MOST = 8;
const GOES = [1, 2, 3, 4, 5, 6, 8, 10] as const;

/** In which way it is given, and when: for everybody, for some, and on which days there is no school. */
@Component({
  selector: 'lv-plan-how',
  imports: [IconButton, ButtonDirective, DateField, Fold, InputText, PlanWay, Several, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here.plan(); as h) {
      @if (h.kind === 'work' && pieces() >= 1) {
        <lv-plan-way />
      }
      @if (pieces() >= 2) {
        <lv-date
          [label]="h.kind === 'work' ? 'Opens' : 'Seen from'"
          withTime
          [value]="h.opensAt ?? ''"
          (told)="setDate('opensAt', $event)"
        />
        @if (h.kind === 'work') {
          <lv-date
            label="Due"
            withTime
            timeWhenNone="23:59"
            [value]="h.dueAt ?? ''"
            (told)="setDate('dueAt', $event)"
          />
        }
        <lv-date
          [label]="h.kind === 'work' ? 'Closes' : 'until'"
          withTime
          timeWhenNone="23:59"
          [value]="h.closesAt ?? ''"
          (told)="setDate('closesAt', $event)"
        />
      }
      @if (h.kind === 'work' && pieces() >= 3) {
        <lv-date
          label="Answers come out"
          withTime
          timeWhenNone="15:00"
          [value]="h.answersAt ?? ''"
          (told)="setDate('answersAt', $event)"
        />
        <lv-select label="Goes" [value]="h.goes ?? 0" (chosen)="here.change({ goes: $event || null }, 'goes')">
          <lv-option [value]="0" label="as the version says" />
          @for (n of GOES; track n) {
            <lv-option [value]="n" [label]="counted(n, 'one go', '{n} goes')" />
          }
        </lv-select>
      }
      <p class="small">
        Times are those of this machine ({{ zone }}).
        {{ h.kind === 'work' ? 'After it closes nobody can write in it any more.' : seen() }}
      </p>
      @if (h.kind === 'work' && pieces() >= 4) {
        <fieldset>
          <legend>Other dates for some</legend>
          @for (o of set(); track o.learner.id) {
            <div class="own">
              <lv-date
                [label]="'Due for ' + o.learner.name"
                withTime
                timeWhenNone="23:59"
                [value]="o.dates.dueAt ?? ''"
                (told)="setOwn(o.learner.id, { dueAt: $event || null })"
              />
              <button pButton severity="secondary" text type="button" (click)="dropOwn(o.learner.id)">
                As for everybody
              </button>
            </div>
          }
          @if (agreed().length) {
            <ul class="small">
              @for (o of agreed().slice(0, MOST); track o.learner.id) {
                <li>
                  <strong>{{ o.learner.name }}</strong>:
                  {{ o.dates.dueAt ? 'due ' + whenIn(o.dates.dueAt) : 'due any time' }}, {{ o.dates.why }}
                </li>
              }
              @if (agreed().length > MOST) {
                <li>and {{ agreed().length - MOST }} more with more time, as agreed</li>
              }
            </ul>
          }
          <lv-several
            label="Set them for"
            placeholder="type a name"
            [options]="rest()"
            [value]="[]"
            (told)="addOwn($event[0] ?? '')"
          />
        </fieldset>
      }
      @if (pieces() >= 5) {
        <lv-fold name="Days without school">
          @for (o of here.days().off; track $index) {
            <div class="off">
              <span class="grow"
                >{{ dayIn(o.from) }}{{ o.until && o.until !== o.from ? ' to ' + dayIn(o.until) : ''
                }}{{ o.name ? ', ' + o.name : '' }}</span
              >
              <button
                type="button"
                lvIcon="x"
                [says]="'There is school: ' + (o.name || dayIn(o.from))"
                (click)="dropOff($index)"
              ></button>
            </div>
          }
          <div class="two">
            <lv-date label="From" [value]="from()" (told)="from.set($event)" />
            <lv-date label="until" [value]="until()" (told)="until.set($event)" />
          </div>
          <form class="row" (submit)="$event.preventDefault(); addOff(n.value); n.value = ''">
            <input pInputText class="grow" #n maxlength="80" aria-label="What for" placeholder="holidays" /><button
              pButton
              severity="secondary"
              type="submit"
              [disabled]="!from()"
            >
              Add
            </button>
          </form>
        </lv-fold>
      }
    }
  `,
  styleUrl: './panel.css',
})
export class PanelHow {
  protected readonly counted = counted;
  protected readonly here = inject(PlanHere);
  private readonly work = inject(WorkspaceStore);
  protected readonly pieces = pieceByPiece(() => 5);
  protected readonly whenIn = whenIn;
  protected readonly dayIn = dayIn;
  protected readonly zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  protected readonly from = signal('');
  protected readonly until = signal('');
  protected readonly MOST = MOST;
  protected readonly GOES = GOES;
  protected readonly set = computed(() => this.here.otherDates().filter((o) => o.isSet));
  protected readonly agreed = computed(() => this.here.otherDates().filter((o) => !o.isSet));
  /** Who has no dates of their own. */
  protected readonly rest = computed(() => {
    const set = new Set(this.set().map((o) => o.learner.id));
    return this.here.audience().flatMap((l) => (set.has(l.id) ? [] : [{ id: l.id, label: l.name }]));
  });

  /** Who sees a notice or a folder, and when, in words. */
  protected seen(): string {
    const h = this.here.plan();
    if (!h) return '';
    const who = many(this.here.audience().length, 'learner');
    const from = h.opensAt ? `from ${whenIn(h.opensAt)}` : 'as soon as it is given';
    return `${who} will see it ${from}${h.closesAt ? `, until ${whenIn(h.closesAt)}` : ', for as long as it is not taken back'}.`;
  }

  protected setDate(field: 'opensAt' | 'dueAt' | 'closesAt' | 'answersAt', value: string): void {
    const names = {
      opensAt: 'opening date',
      dueAt: 'due date',
      closesAt: 'closing date',
      answersAt: 'date of the answers',
    };
    this.here.change({ [field]: value || null, zone: this.zone }, names[field]);
  }

  protected setOwn(id: Id, patch: OwnDates): void {
    const plan = this.here.plan();
    if (!plan) return;
    const ownDates = { ...plan.ownDates, [id]: { ...plan.ownDates[id], ...patch } };
    this.here.change({ ownDates }, 'dates of one learner', `dates ${id}`);
  }

  protected addOwn(id: Id): void {
    const plan = this.here.plan();
    if (plan && id) this.setOwn(id, { dueAt: plan.dueAt });
  }

  protected dropOwn(id: Id): void {
    const plan = this.here.plan();
    if (!plan) return;
    const ownDates: HandOut['ownDates'] = Object.fromEntries(Object.entries(plan.ownDates).filter(([k]) => k !== id));
    this.here.change({ ownDates }, 'dates of one learner');
  }

  protected addOff(name: string): void {
    const [from, until] = [this.from(), this.until() || this.from()];
    if (!from) return;
    const off = [
      ...this.here.days().off,
      { from: from < until ? from : until, until: from < until ? until : from, name: name.trim() },
    ];
    this.saveDays(off.sort((a, b) => a.from.localeCompare(b.from)));
    this.from.set('');
    this.until.set('');
  }

  protected dropOff(at: number): void {
    this.saveDays(this.here.days().off.filter((_, i) => i !== at));
  }

  private saveDays(off: ReturnType<PlanHere['days']>['off']): void {
    this.work.dispatch(HandOutActions.schoolDaysSaved({ days: { ...this.here.days(), off } }));
  }
}
