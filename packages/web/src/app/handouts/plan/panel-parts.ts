import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { type Id, isItem, latest } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { SELECT } from '../../ui/controls/select';
import { MASTER } from './loom-row';
import { Focused } from '../../ui/focused';
import { PlanHere } from './plan-here';

const AS_ALL = 'as all';

/** One learner, page by page: a learner is not on one level in everything. */
@Component({
  selector: 'lv-plan-parts',
  imports: [Focused, ButtonDirective, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (row(); as r) {
      <h3 lvFocused>{{ r.learner.name }}, page by page</h3>
      <p class="small">{{ here.saysOf(r.learner) }}</p>
      @for (p of pages(); track p.id) {
        <lv-select [label]="p.name" [value]="p.value" (chosen)="set(p.id, $event)">
          <lv-option [value]="AS_ALL" [label]="'as the rest: ' + rest()" />
          @for (c of here.columns(); track c.id) {
            <lv-option [value]="c.id ?? MASTER" [label]="c.name" />
          }
        </lv-select>
        @if (p.about) {
          <p class="small">{{ p.about }}</p>
        }
      }
      <button pButton severity="secondary" type="button" (click)="done.emit()">Done</button>
    }
  `,
  styleUrl: './panel.css',
})
export class PanelParts {
  readonly done = output();
  protected readonly here = inject(PlanHere);
  protected readonly MASTER = MASTER;
  protected readonly AS_ALL = AS_ALL;
  protected readonly row = computed(() => this.here.rows().find((r) => r.learner.id === this.here.partsOf()));
  private readonly line = computed(() => this.here.versionsOf().get(this.here.partsOf() ?? ''));
  protected readonly rest = computed(() => {
    const id = this.line()?.versions[0] ?? null;
    const own = this.here.family()?.versions.find((v) => v.id === id);
    return own?.name ?? 'Master';
  });
  protected readonly pages = computed(() => {
    const family = this.here.family();
    if (!family) return [];
    const { content } = latest(family);
    const objectives = new Map(content.objectives.map((o) => [o.id, o.text]));
    const parts = this.line()?.parts ?? [];
    return content.pages
      .filter((p) => (p.audience ?? 'learner') === 'learner')
      .map((p, i) => {
        const part = parts.find((x) => x.pageId === p.id);
        const asked = new Set(p.blocks.filter(isItem).flatMap((b) => objectives.get(b.objectiveId ?? '') ?? []));
        return {
          id: p.id,
          name: `Page ${i + 1}${p.title ? `: ${p.title}` : ''}`,
          value: part ? (part.versionId ?? MASTER) : AS_ALL,
          about: [...asked].join('; '),
        };
      });
  });

  protected set(pageId: Id, value: string): void {
    const [line, learnerId] = [this.line(), this.here.partsOf()];
    if (!line || !learnerId) return;
    const others = line.parts.filter((p) => p.pageId !== pageId);
    const parts = value === AS_ALL ? others : [...others, { pageId, versionId: value === MASTER ? null : value }];
    this.here.setParts(learnerId, line.versions[0] ?? null, parts);
  }
}
