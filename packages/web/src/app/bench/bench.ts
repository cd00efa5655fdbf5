import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { FamilyStrip } from './family-strip';
import { BenchView } from './bench-view';
import { MasterPage } from './master-page';
import { MasterPanel } from './master-panel';
import { PagePanel } from './page-panel';
import { VersionPage } from './version-page';
import { VersionPanel } from './version-panel';

/** Where a master is written and its versions are made: the family, the pages, what can be done here. */
@Component({
  selector: 'lv-bench',
  imports: [FamilyStrip, MasterPage, MasterPanel, PagePanel, VersionPage, VersionPanel, RouterLink],
  providers: [BenchView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.family()) {
      <div class="place bench">
        <lv-family-strip class="pane strip" />
        @if (view.version()) {
          <lv-version-page class="pane" />
          <lv-version-panel class="pane panel" />
        } @else {
          <lv-master-page class="pane" />
          @if (view.chosenPage() && !view.chosen()) {
            <lv-page-panel class="pane panel" />
          } @else {
            <lv-master-panel class="pane panel" />
          }
        }
      </div>
    } @else {
      <div class="empty">
        <h1>This family is not here</h1>
        <p>It may have been removed. Undo can bring it back.</p>
        <a class="btn" routerLink="/shelf">To the Shelf</a>
      </div>
    }
  `,
  styles: `
    .bench {
      grid-template-columns: 226px minmax(0, 1fr) 272px;
    }
    .strip {
      border-right: 1px solid var(--line);
      background: var(--surface);
    }
    .panel {
      border-left: 1px solid var(--line);
      background: var(--surface);
      padding: 14px;
    }
    @media (max-width: 900px) {
      .place {
        height: auto;
      }
      .bench {
        grid-template-columns: minmax(0, 1fr);
      }
      .strip,
      .panel {
        border: 0;
        border-bottom: 1px solid var(--line);
      }
    }
  `,
})
export class Bench {
  readonly familyId = input.required<string>();
  readonly versionId = input<string>();
  protected readonly view = inject(BenchView);
  private readonly router = inject(Router);
  private readonly lostVersion = computed(() => this.versionId() && this.view.family() && !this.view.version());

  constructor() {
    effect(() => {
      this.view.familyId.set(this.familyId());
      this.view.versionId.set(this.versionId() ?? null);
      this.view.chosen.set(null);
      this.view.chosenPage.set(null);
      localStorage.setItem(
        'lorvet-bench',
        this.versionId() ? `${this.familyId()}/${this.versionId()}` : this.familyId(),
      );
    });
    effect(() => {
      if (this.lostVersion() && this.view.versionId() === this.versionId())
        void this.router.navigate(['/bench', this.familyId()], { replaceUrl: true });
    });
  }
}
