import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { latest } from '@lorvet/core';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { computed } from '@angular/core';
import { PlanCompanions } from './plan-companions';
import { PlanHere } from './plan-here';

/** What is given: the activity, what it is called at the desk, and a word with it. */
@Component({
  selector: 'lv-plan-what',
  imports: [InputText, PlanCompanions, RouterLink, Textarea],
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
  private readonly last = computed(() => {
    const family = this.here.family();
    return family && latest(family);
  });
  protected readonly title = computed(() => this.last()?.content.title ?? '');
  protected readonly revision = computed(() => this.last()?.n ?? 0);
}
