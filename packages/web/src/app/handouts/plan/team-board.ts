import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { countOfTeams, freeNames, type Id, levelIn, placed, READING, type Team, teamsOf, unplaced } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../../platform/clock';
import { Grouping } from '../../platform/grouping';
import { counted, many } from '../../platform/many';
import { Stopped } from '../../platform/workers/task';
import { NumberField } from '../../ui/controls/number';
import { SELECT } from '../../ui/controls/select';
import { Several } from '../../ui/controls/several';
import { IconButton } from '../../ui/icon-button';
import { MASTER } from './loom-row';
import { PlanAfter } from './plan-after';
import { PlanHere } from './plan-here';

/**
 * The groups that get one copy each: made here, of mixed reading levels, or taken from those there are. Only who is in
 * none yet is offered, so that nobody is in two.
 */
@Component({
  selector: 'lv-team-board',
  imports: [IconButton, ButtonDirective, InputText, LucideDynamicIcon, NumberField, Several, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here.plan(); as h) {
      <div class="row fill" role="group" aria-label="Make groups">
        @if (here.isDraft()) {
          @if (loose().length) {
            <lv-number
              label="In a group"
              class="inline"
              [value]="size()"
              [min]="1"
              [max]="40"
              (typed)="size.set(Math.max(1, $event ?? 1))"
            />
            <button pButton type="button" [disabled]="isBusy()" (click)="make()">
              {{
                counted(count(), 'Make {n} group of {learners}', 'Make {n} groups of {learners}', {
                  learners: loose().length,
                })
              }}
            </button>
          }
          @if (groups().length && loose().length) {
            <lv-select
              label="Take a group"
              hideLabel
              placeholder="Take groups there are …"
              value=""
              (chosen)="take($event)"
            >
              <lv-option value="*" label="all of them" />
              @for (g of groups(); track g.id) {
                <lv-option [value]="g.id" [label]="g.name" />
              }
            </lv-select>
          }
          <button pButton severity="secondary" type="button" (click)="add()">
            <svg lucideIcon="plus"></svg>A group
          </button>
        }
        <span class="grow"></span>
        <strong [class.bad]="loose().length">{{
          loose().length
            ? counted(loose().length, '{n} learner in no group yet', '{n} learners in no group yet')
            : 'Everybody is in a group'
        }}</strong>
      </div>
      <div class="board">
        @for (t of teams(); track t.id) {
          <section class="card" [attr.aria-label]="t.name">
            <div class="row">
              <input
                pInputText
                #n
                class="grow"
                maxlength="80"
                [value]="t.name"
                [attr.aria-label]="'Name of ' + t.name"
                (change)="set(t, { name: n.value.trim() || t.name }); n.value = n.value.trim() || t.name"
              />
              @if (here.isDraft()) {
                <button
                  type="button"
                  lvIcon="x"
                  [says]="'Take the group ' + t.name + ' away'"
                  (click)="drop(t)"
                ></button>
              }
            </div>
            <lv-select
              [label]="'Version of ' + t.name"
              hideLabel
              [value]="t.versionId ?? MASTER"
              (chosen)="setVersion(t, $event === MASTER ? null : $event)"
            >
              @for (c of here.columns(); track c.id) {
                <lv-option [value]="c.id ?? MASTER" [label]="c.name" />
              }
            </lv-select>
            <ul>
              @for (l of t.learners; track l.id) {
                <li>
                  <span class="grow">{{ l.name }}</span>
                  @if (l.isLoose) {
                    <button
                      type="button"
                      lvIcon="x"
                      [says]="'Take ' + l.name + ' out of ' + t.name"
                      (click)="move(l.id, '')"
                    ></button>
                  }
                </li>
              } @empty {
                <li class="small">Nobody is in it yet.</li>
              }
            </ul>
            @if (loose().length) {
              <lv-several
                [label]="'Into ' + t.name"
                placeholder="who is in none"
                [options]="loose()"
                [value]="[]"
                (told)="move($event[0] ?? '', t.id)"
              />
            }
          </section>
        }
      </div>
    }
  `,
  styles: `
    .fill {
      padding: 0 16px 10px;
      align-items: end;
    }
    .board {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 210px), 1fr));
      gap: 12px;
      align-items: start;
      padding: 0 16px 16px;
      overflow: auto;
    }
    .card {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 8px;
      padding: 10px;
    }
    .card .row {
      flex-wrap: nowrap;
    }
    input {
      min-width: 0;
      font-weight: 650;
    }
    li {
      display: flex;
      align-items: center;
      min-height: 30px;
    }
    .bad {
      color: var(--madder);
    }
  `,
})
export class TeamBoard {
  protected readonly counted = counted;
  protected readonly here = inject(PlanHere);
  private readonly after = inject(PlanAfter);
  private readonly clock = inject(Clock);
  private readonly grouping = inject(Grouping);
  protected readonly MASTER = MASTER;
  protected readonly many = many;
  protected readonly Math = Math;
  protected readonly size = signal(3);
  protected readonly isBusy = computed(() => this.grouping.share() !== null);
  private readonly ids = computed(() => {
    const plan = this.here.plan();
    return plan ? unplaced(plan, this.here.people()) : [];
  });
  private readonly byId = computed(() => new Map(this.here.people().learners.map((l) => [l.id, l])));
  /** Who is in no group. */
  protected readonly loose = computed(() => this.ids().map((id) => ({ id, label: this.byId().get(id)?.name ?? '' })));
  protected readonly count = computed(() => countOfTeams(this.ids().length, this.size()));
  protected readonly teams = computed(() =>
    (this.here.plan()?.teams ?? []).map((t) => ({
      ...t,
      learners: t.learnerIds.flatMap((id) => {
        const l = this.byId().get(id);
        // Who has the group's copy stays with it.
        return l ? [{ id, name: l.name, isLoose: this.here.isDraft() || !this.here.plan()?.given[id] }] : [];
      }),
    })),
  );
  /** Groups of which somebody is in none here yet. */
  protected readonly groups = computed(() => {
    const loose = new Set(this.ids());
    return this.here.people().groups.filter((g) => g.learnerIds.some((id) => loose.has(id)));
  });

  /** Those who are in none, parted so that each group is as mixed in reading as the whole. */
  protected async make(): Promise<void> {
    const ids = this.ids();
    const levels = ids.flatMap((id) => {
      const level = levelIn(this.byId().get(id)?.needs.levels ?? [], READING);
      return level ? [[id, level.value] as const] : [];
    });
    try {
      const [best] = await this.grouping.propose(
        {
          learnerIds: ids,
          groups: this.count(),
          need: 'mixed',
          skills: levels.length ? [{ name: READING, levels: Object.fromEntries(levels) }] : [],
          wishes: [],
          assistants: 0,
          besideAssistant: [],
          company: new Map(),
          kept: {},
        },
        1,
      );
      const made = best?.groups ?? [];
      const names = this.names(made.length);
      this.save(
        [...this.own(), ...made.map((learnerIds, i) => this.team(names[i] ?? '', [...learnerIds]))],
        'make groups',
      );
    } catch (error) {
      if (!(error instanceof Stopped)) throw error;
    }
  }

  protected take(of: string): void {
    const plan = this.here.plan();
    if (!plan) return;
    const groups = this.groups().filter((g) => of === '*' || g.id === of);
    this.save([...this.own(), ...teamsOf(groups, plan, this.here.people(), () => this.clock.newId())], 'take groups');
  }

  protected add(): void {
    this.save([...this.own(), this.team(this.names(1)[0] ?? '', [])], 'a group');
  }

  protected set(team: Team, patch: Partial<Team>): void {
    this.save(
      this.own().map((t) => (t.id === team.id ? { ...t, ...patch } : t)),
      'group',
    );
  }

  /** In a plan it is so; of what was given it is asked first what that would mean. */
  protected setVersion(team: Team, versionId: Id | null): void {
    if (this.here.isDraft()) this.set(team, { versionId });
    else this.after.ask(team.learnerIds, versionId);
  }

  protected drop(team: Team): void {
    this.save(
      this.own().filter((t) => t.id !== team.id),
      'take a group away',
    );
  }

  protected move(learnerId: Id, to: Id): void {
    if (learnerId) this.save(placed(this.own(), learnerId, to), 'who is in a group');
  }

  private own(): readonly Team[] {
    return this.here.plan()?.teams ?? [];
  }

  private team(name: string, learnerIds: Id[]): Team {
    return { id: this.clock.newId(), name, learnerIds, versionId: null };
  }

  private names(count: number): string[] {
    return freeNames(
      count,
      [...this.own(), ...this.here.people().groups].map((t) => t.name),
    );
  }

  private save(teams: readonly Team[], label: string): void {
    this.here.change({ teams: [...teams] }, label);
  }
}
