import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type Exchange, isSafe } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { counted, many } from '../../platform/many';
import { PlanAfter } from './plan-after';
import { PlanHere } from './plan-here';

/** Names that are said of one part. */
const SHOWN = 6;

/** What another sheet, or a correction, would mean for those who have one already; it is given from here. */
@Component({
  selector: 'lv-plan-exchange',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (after.asked(); as a) {
      <section class="card ochre" aria-label="What it would mean" role="status">
        <h3>
          {{ isCorrection() ? 'As it is now' : name() }}, for {{ many(all().length || a.keys.length, 'piece') }} of work
        </h3>
        @if (!after.isReady()) {
          <p class="small">Looking at the work …</p>
        } @else if (!all().length) {
          <p class="small">They have it already.</p>
        } @else if (a.keys.length > all().length) {
          <p class="small">
            {{ counted(a.keys.length - all().length, '{n} more has it already.', '{n} more have it already.') }}
          </p>
        }
        @for (p of parts(); track p.name) {
          <div>
            <p>
              <strong>{{ p.of.length }} {{ p.name }}</strong> {{ p.says }}
            </p>
            <p class="small">{{ names(p.of) }}</p>
          </div>
        }
        @for (e of conflicts().slice(0, SHOWN); track e.key) {
          <p class="small">
            {{
              counted(e.same, '{who}: {n} answer comes along.', '{who}: {n} answers come along.', { who: nameOf(e) })
            }}
            @if (e.otherwise[0]; as q) {
              {{ e.otherwise.length }} asked otherwise (“{{ q.slice(0, 50) }}”).
            }
            @if (e.gone[0]; as q) {
              {{ e.gone.length }} not in it (“{{ q.slice(0, 50) }}”).
            }
          </p>
        }
        <div class="row">
          @if (isCorrection() && conflicts().length && safe().length) {
            <button pButton type="button" (click)="after.giveAsked(safe())">
              Send it to the {{ safe().length }} it suits
            </button>
          }
          @if (all().length) {
            <button
              pButton
              [severity]="isCorrection() && conflicts().length && safe().length ? 'secondary' : undefined"
              type="button"
              (click)="after.giveAsked(all())"
            >
              {{ isCorrection() ? 'Send it to' : 'Give it to' }} all {{ all().length
              }}{{ goes() ? ', ' + goes() + ' with another go' : '' }}
            </button>
          }
          <button pButton severity="secondary" text type="button" (click)="after.asked.set(null)">
            Leave it as it is
          </button>
        </div>
      </section>
    } @else if (after.behind().length) {
      <section class="card ochre" aria-label="Corrected since">
        <h3>
          {{
            counted(
              after.behind().length,
              '{n} sheet changed since it was given',
              '{n} sheets changed since they were given'
            )
          }}
        </h3>
        <p class="small">The master or the version was corrected. What they have stays until you send it.</p>
        <button pButton severity="secondary" type="button" (click)="after.askCorrection()">
          See what it would mean
        </button>
      </section>
    }
  `,
  styleUrl: './panel.css',
})
export class PlanExchange {
  protected readonly counted = counted;
  protected readonly after = inject(PlanAfter);
  private readonly here = inject(PlanHere);
  protected readonly many = many;
  protected readonly SHOWN = SHOWN;
  protected readonly all = computed(() => this.after.exchanges());
  protected readonly isCorrection = computed(() => this.after.asked()?.versionId === undefined);
  protected readonly safe = computed(() => this.all().filter(isSafe));
  protected readonly conflicts = computed(() => this.all().filter((e) => !isSafe(e)));
  protected readonly goes = computed(() => this.after.goesAnew(this.all()));
  protected readonly name = computed(() => {
    const id = this.after.asked()?.versionId;
    return this.here.columns().find((c) => c.id === id)?.name ?? 'Their own version';
  });
  protected readonly parts = computed(() => {
    const of = (standing: Exchange['standing']) => this.safe().filter((e) => e.standing === standing);
    const again = 'What they did stays; another go begins on it.';
    return [
      { name: 'not started:', says: 'They get it at once.', of: of('not started') },
      { name: 'started, and what was answered fits:', says: 'It is exchanged under them.', of: of('working') },
      {
        name: 'submitted, and what was answered fits:',
        says: this.isCorrection() ? 'It stays submitted.' : again,
        of: of('submitted'),
      },
      { name: 'with answers to questions that are others now:', says: again, of: this.conflicts() },
    ].filter((p) => p.of.length);
  });

  protected nameOf(e: Exchange): string {
    const { learners } = this.here.people();
    const team = this.here.plan()?.teams.find((t) => t.id === e.key);
    return team?.name ?? learners.find((l) => l.id === e.key)?.name ?? 'Everybody';
  }

  protected names(list: readonly Exchange[]): string {
    const names = list.slice(0, SHOWN).map((e) => this.nameOf(e));
    return list.length > SHOWN ? `${names.join(', ')} and ${list.length - SHOWN} more` : names.join(', ');
  }
}
