import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { FamilyStrip } from './family-strip';
import { afterDrawing } from '../ui/after-drawing';
import { Commands } from '../ui/commands';
import { Soon } from '../ui/soon';
import { BenchView } from './bench-view';
import { type Doing, DOINGS } from './doings';
import { MasterPage } from './master-page';
import { MasterPanel } from './master-panel';
import { PagePanel } from './page-panel';
import { ReadyParts } from './ready-parts';
import { VersionPage } from './version-page';
import { VersionPanel } from './version-panel';

/** Where a master is written and its versions are made: the family, the pages, what can be done here. */
@Component({
  selector: 'lv-bench',
  imports: [
    ButtonDirective,
    FamilyStrip,
    MasterPage,
    MasterPanel,
    PagePanel,
    ReadyParts,
    RouterLink,
    Soon,
    VersionPage,
    VersionPanel,
  ],
  providers: [BenchView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.family()) {
      <div class="room bench">
        @if (beside()) {
          <lv-family-strip class="pane strip" />
        } @else {
          <div class="pane strip"></div>
        }
        @if (view.version()) {
          <lv-version-page class="pane" />
        } @else {
          <lv-master-page class="pane" />
        }
        @if (!beside()) {
          <div class="pane panel"></div>
        } @else if (view.version()) {
          <lv-version-panel class="pane panel" />
        } @else if (view.chosenPage() && !view.chosen()) {
          <lv-page-panel class="pane panel" />
        } @else {
          <lv-master-panel class="pane panel" />
        }
        <lv-ready-parts *lvSoon />
      </div>
    } @else if (view.ready()) {
      <div class="empty">
        @if (damaged()) {
          <h1>This activity cannot be read</h1>
          <p>What is kept of it is damaged. It was set aside and is not lost: it may be mended there.</p>
          <a pButton severity="secondary" routerLink="/keeping">See what was set aside</a>
        } @else {
          <h1>This family is not here</h1>
          <p>It may have been removed. It waits under Keeping then, and can be put back.</p>
          <a pButton severity="secondary" routerLink="/shelf">To the Shelf</a>
        }
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
      .room {
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
  /** Words to be found on the pages, from a search in the family. */
  readonly find = input<string>();
  protected readonly view = inject(BenchView);
  /** What stands on both sides of the page is drawn after it: a large family opens in two steps. */
  protected readonly beside = afterDrawing(signal(true), false);
  private readonly router = inject(Router);
  protected readonly damaged = computed(() => this.view.work.familyHeadsById()[this.view.familyId()] !== undefined);
  private readonly lostVersion = computed(() => this.versionId() && this.view.family() && !this.view.version());

  constructor() {
    effect(() => {
      this.view.familyId.set(this.familyId());
      this.view.versionId.set(this.versionId() ?? null);
      untracked(() => this.view.choose(null));
      this.view.filter.set('all');
      this.view.sought.set(this.find() ?? '');
      this.view.chosenPage.set(null);
      localStorage.setItem(
        'lorvet-bench',
        this.versionId() ? `${this.familyId()}/${this.versionId()}` : this.familyId(),
      );
    });
    const commands = inject(Commands);
    effect((onCleanup) => {
      const family = this.view.familyId();
      const version = this.view.version()?.id;
      const go = (name: string, ...path: string[]) => ({
        group: 'Bench',
        name,
        run: () => void this.router.navigate(['/bench', family, ...path]),
      });
      const show = (name: string, filter: 'all' | 'changed' | 'left out') => ({
        group: 'Bench',
        name,
        run: () => this.view.filter.set(filter),
      });
      const asked = (d: Doing) => ({ group: d.group, name: d.label, run: () => this.view.asked.set(d.id) });
      const list = [
        go('The master'),
        ...(this.view.family()?.versions ?? []).map((v) => go(`Version ${v.name}`, v.id)),
        go('Make tiers by recipes', 'tiers'),
        go('History and picture of the family', 'history'),
        go('Compare versions', 'compare'),
        go('Upkeep', 'upkeep'),
        ...(version
          ? [
              show('Show all blocks', 'all'),
              show('Show only what is changed', 'changed'),
              show('Show only what is left out', 'left out'),
              ...DOINGS.filter((d) => d.suits(this.view.selection())).map(asked),
            ]
          : []),
      ];
      onCleanup(untracked(() => commands.add(list)));
    });
    effect(() => {
      if (this.lostVersion() && this.view.versionId() === this.versionId())
        void this.router.navigate(['/bench', this.familyId()], { replaceUrl: true });
    });
  }
}
