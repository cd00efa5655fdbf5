import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import {
  adjustmentKinds,
  compareVersions,
  derive,
  type Id,
  latest,
  plainTextOf,
  swatchOf,
  versionTree,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { holdFamily } from '../store/hold-family';
import { WorkspaceStore } from '../store/workspace';
import { Changes } from '../ui/changes';
import { SELECT } from '../ui/controls/select';
import { measured } from '../ui/measured';
import { SwatchMark } from '../ui/swatch';
import { MeasuresTable } from './measures-table';

/** Two versions of a family, or the master and one, beside each other: what differs, by words, and why. */
@Component({
  selector: 'lv-compare',
  imports: [ButtonDirective, Changes, MeasuresTable, RouterLink, SwatchMark, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (family(); as f) {
      <div class="page">
        <div class="row">
          <h1>Compare in {{ title() }}</h1>
          <span class="grow"></span>
          <a pButton severity="secondary" [routerLink]="['/bench', f.id]">Back to the Bench</a>
        </div>
        <div class="row">
          @for (side of sides(); track side.name) {
            <div class="row">
              <lv-swatch [swatch]="side.swatch" [size]="24" />
              <lv-select [label]="side.name" hideLabel [value]="side.id ?? 'master'" (chosen)="go(side.name, $event)">
                <lv-option value="master" label="Master" />
                @for (v of versions(); track v.id) {
                  <lv-option [value]="v.id" [label]="v.name" />
                }
              </lv-select>
            </div>
          }
          <span class="small sum">{{ rows().length }} blocks differ, {{ same() }} are the same.</span>
        </div>
        <div class="both">
          <ul class="stack">
            @for (r of rows(); track r.id) {
              <li class="card">
                <p class="row">
                  <span class="tag">{{ r.how }}</span><span class="small grow">{{ r.by }}</span>
                </p>
                <p class="words"><lv-changes [was]="r.was" [now]="r.now" /></p>
              </li>
            } @empty {
              <li class="card moss"><p>They show the same.</p></li>
            }
          </ul>
          <aside class="card">
            @if (leftMeasures(); as l) {
              <lv-measures-table [master]="l" [here]="rightMeasures()" [names]="['left', 'right']" />
            }
          </aside>
        </div>
      </div>
    }
  `,
  styles: `
    .page {
      display: grid;
      gap: 12px;
      max-width: 1100px;
      margin: 0 auto;
      padding: 16px 20px 60px;
    }
    .both {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 260px;
      gap: 16px;
      align-items: start;
    }
    .sum {
      align-self: end;
      padding-bottom: 8px;
    }
    .words {
      white-space: pre-line;
    }
    @media (max-width: 800px) {
      .both {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class Compare {
  readonly familyId = input.required<string>();
  /** A version's id, or 'master'. Where nobody has chosen yet: the master beside the first version. */
  readonly left = input<string>();
  readonly right = input<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly router = inject(Router);
  protected readonly ready = holdFamily(() => this.familyId());
  protected readonly family = computed(() => this.work.families()[this.familyId()]);
  protected readonly title = computed(() => {
    const f = this.family();
    return f ? latest(f).content.title : '';
  });
  protected readonly versions = computed(() => {
    const f = this.family();
    return f ? versionTree(f).map((t) => t.version) : [];
  });
  private readonly idOf = (id: string | undefined): Id | null =>
    this.family()?.versions.some((v) => v.id === id) ? (id ?? null) : null;
  private readonly compared = computed(() => ({
    left: this.idOf(this.left()),
    right: this.idOf(this.right() ?? this.versions()[0]?.id),
  }));
  protected readonly sides = computed(() =>
    (['left', 'right'] as const).map((name) => {
      const f = this.family();
      const id = this.compared()[name];
      return { name, id, swatch: f ? swatchOf(f, id) : null };
    }),
  );
  private readonly all = computed(() => {
    const f = this.family();
    return f ? compareVersions(f, this.compared().left, this.compared().right).flatMap((p) => p.rows) : [];
  });
  protected readonly same = computed(() => this.all().filter((r) => r.how === 'same').length);
  protected readonly rows = computed(() =>
    this.all()
      .filter((r) => r.how !== 'same')
      .map((r) => ({
        id: r.id,
        how: r.how,
        was: r.left ? plainTextOf(r.left) : '',
        now: r.right ? plainTextOf(r.right) : '',
        by: [...new Set(r.adjustments.map((a) => a.name || adjustmentKinds[a.kind].done))].join(', '),
      })),
  );
  protected readonly leftMeasures = measured(() => {
    const f = this.family();
    return f && derive(f, this.compared().left).content;
  });
  protected readonly rightMeasures = measured(() => {
    const f = this.family();
    return f && derive(f, this.compared().right).content;
  });

  protected go(side: 'left' | 'right', id: string): void {
    const { left, right } = this.compared();
    const queryParams = { left: left ?? 'master', right: right ?? 'master', [side]: id };
    void this.router.navigate(['/bench', this.familyId(), 'compare'], { queryParams, replaceUrl: true });
  }
}
