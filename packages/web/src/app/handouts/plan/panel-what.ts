import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { latest, MOST_OBJECTIVES } from '@lorvet/core';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { computed } from '@angular/core';
import { WorkspaceStore } from '../../store/workspace';
import { CheckBox } from '../../ui/controls/check';
import { Several } from '../../ui/controls/several';
import { PlanCompanions } from './plan-companions';
import { PlanHere } from './plan-here';

const used = (words: readonly string[]): string[] => [...new Set(words.filter(Boolean))].sort();

/** What is given: the activity, what it is called at the desk, and a word with it. */
@Component({
  selector: 'lv-plan-what',
  imports: [CheckBox, InputText, PlanCompanions, RouterLink, Several, Textarea],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here.plan(); as h) {
      <label class="field"
        >Title learners see
        <input
          pInputText
          #t
          maxlength="200"
          [value]="h.title"
          (change)="here.change({ title: t.value.trim() || h.title }, 'title')"
      /></label>
      <label class="field"
        >{{ h.kind === 'notice' ? 'What it says' : 'A word to everybody' }}
        <textarea
          pTextarea
          #n
          [rows]="h.kind === 'notice' ? 7 : 4"
          maxlength="5000"
          [value]="h.note"
          (input)="here.isDraft() && here.saysWord(n.value)"
          (change)="here.isDraft() || here.saysWord(n.value.trim())"
        ></textarea>
      </label>
      <lv-plan-companions
        [list]="h.companions"
        (changed)="here.change({ companions: [...$event] }, 'what goes with it')"
      />
      @if (here.family(); as f) {
        <label class="field"
          >Unit
          <input
            pInputText
            #un
            maxlength="120"
            list="units"
            [value]="h.unit"
            (change)="here.change({ unit: un.value.trim() }, 'unit')"
        /></label>
        <datalist id="units">
          @for (x of units(); track x) {
            <option [value]="x"></option>
          }
        </datalist>
        <lv-several
          label="Objectives"
          placeholder="those of the activity"
          [options]="objectives()"
          [most]="MOST_OBJECTIVES"
          [value]="h.objectiveIds"
          (told)="here.change({ objectiveIds: [...$event] }, 'objectives')"
        />
        <label class="field"
          >Category
          <input
            pInputText
            #cn
            maxlength="80"
            list="categories"
            [value]="h.category"
            (change)="here.change({ category: cn.value.trim() }, 'category')"
        /></label>
        <datalist id="categories">
          @for (x of categories(); track x) {
            <option [value]="x"></option>
          }
        </datalist>
        <lv-check [on]="h.points" (turned)="here.change({ points: $event }, 'points')">Points are given</lv-check>
        <p class="small">
          From <a [routerLink]="['/bench', f.id]">{{ title() }}</a>, master at revision {{ revision() }}.
        </p>
      }
    }
  `,
  styleUrl: './panel.css',
})
export class PanelWhat {
  protected readonly here = inject(PlanHere);
  protected readonly MOST_OBJECTIVES = MOST_OBJECTIVES;
  private readonly last = computed(() => {
    const family = this.here.family();
    return family && latest(family);
  });
  private readonly heads = inject(WorkspaceStore).handOutHeads;
  /** What other hand-outs are filed under. */
  protected readonly units = computed(() => used(this.heads().map((h) => h.unit)));
  protected readonly categories = computed(() => used(this.heads().map((h) => h.category)));
  protected readonly objectives = computed(() =>
    (this.last()?.content.objectives ?? []).map((o) => ({ id: o.id, label: o.text })),
  );
  protected readonly title = computed(() => this.last()?.content.title ?? '');
  protected readonly revision = computed(() => this.last()?.n ?? 0);
}
