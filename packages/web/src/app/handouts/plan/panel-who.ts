import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { evaluateAudience, type Id, recipientsOf } from '@lorvet/core';
import { many } from '../../platform/many';
import { CheckBox } from '../../ui/controls/check';
import { Several } from '../../ui/controls/several';
import { PlanHere } from './plan-here';

/** Whom it is for: classes, groups, audiences and learners by name, each learner once. */
@Component({
  selector: 'lv-plan-who',
  imports: [CheckBox, RouterLink, Several],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here.plan(); as h) {
      <fieldset>
        <legend>Classes</legend>
        @for (c of here.people().classes; track c.id) {
          <lv-check [on]="h.classIds.includes(c.id)" (turned)="turn('classIds', c.id, $event)"
            >{{ c.name }}, {{ c.learnerIds.length }}</lv-check
          >
        } @empty {
          <p class="small">No classes yet: begin under <a routerLink="/learners">Learners</a>.</p>
        }
      </fieldset>
      @if (here.people().groups.length) {
        <fieldset>
          <legend>Groups</legend>
          @for (g of here.people().groups; track g.id) {
            <lv-check [on]="h.groupIds.includes(g.id)" (turned)="turn('groupIds', g.id, $event)"
              >{{ g.name }}, {{ g.learnerIds.length }}</lv-check
            >
          }
        </fieldset>
      }
      @if (audiences().length) {
        <fieldset>
          <legend>Audiences</legend>
          @for (a of audiences(); track a.id) {
            <lv-check [on]="h.audienceIds.includes(a.id)" (turned)="turn('audienceIds', a.id, $event)"
              >{{ a.name }}, {{ a.count }}</lv-check
            >
          }
        </fieldset>
      }
      <lv-several
        label="Single learners"
        placeholder="type a name"
        [options]="names()"
        [value]="h.learnerIds"
        (told)="here.setPart('learnerIds', $event)"
      />
      <lv-several
        label="Left out"
        placeholder="nobody"
        [options]="inIt()"
        [value]="h.leftOutIds"
        (told)="here.setPart('leftOutIds', $event)"
      />
      <p class="small">
        {{ many(here.audience().length, 'learner') }}, each once. Who joins a class, group or audience later is in it
        too.
      </p>
    }
  `,
  styleUrl: './panel.css',
})
export class PanelWho {
  protected readonly here = inject(PlanHere);
  protected readonly many = many;
  protected readonly names = computed(() => this.here.people().learners.map((l) => ({ id: l.id, label: l.name })));
  /** Everybody who is in one of its parts, those too who are left out. */
  protected readonly inIt = computed(() => {
    const plan = this.here.plan();
    const all = plan ? recipientsOf({ ...plan, leftOutIds: [] }, this.here.people()) : [];
    return all.map((l) => ({ id: l.id, label: l.name }));
  });
  /** Those used last come first. */
  protected readonly audiences = computed(() =>
    [...this.here.people().audiences]
      .sort((a, b) => b.usedAt.localeCompare(a.usedAt))
      .map((a) => ({ id: a.id, name: a.name, count: evaluateAudience(a, this.here.people()).length })),
  );

  protected turn(kind: 'classIds' | 'groupIds' | 'audienceIds', id: Id, on: boolean): void {
    const now = this.here.plan()?.[kind] ?? [];
    this.here.setPart(kind, on ? [...now, id] : now.filter((x) => x !== id));
  }
}
