import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { Splitter } from 'primeng/splitter';
import { FamilyStrip } from './family-strip';
import { afterDrawing } from '../ui/after-drawing';
import { Commands } from '../ui/commands';
import { keepSmall } from '../ui/kept-or-let-go';
import { FootBar, Panes } from '../ui/panes';
import { Soon } from '../ui/soon';
import { BenchView } from './bench-view';
import { type Doing, DOINGS } from './doings';
import { MasterPage } from './master-page';
import { MasterPanel } from './master-panel';
import { PagePanel } from './page-panel';
import { ReadyParts } from './ready-parts';
import { VersionPage } from './version-page';
import { VersionPanel } from './version-panel';
import { Empty } from '../ui/empty';

/** Where a master is written and its versions are made: the family, the pages, what can be done here. */
@Component({
  selector: 'lv-bench',
  imports: [
    Empty,
    ButtonDirective,
    FamilyStrip,
    FootBar,
    MasterPage,
    MasterPanel,
    PagePanel,
    Panes,
    ReadyParts,
    RouterLink,
    Soon,
    Splitter,
    VersionPage,
    VersionPanel,
  ],
  providers: [BenchView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.family()) {
      <p-splitter lvPanes="bench" panes="3" [names]="names" [panelSizes]="[20, 58, 22]">
        <ng-template #panel>
          @if (beside()) {
            <lv-family-strip
              id="beside-family"
              tabindex="-1"
              class="pane strip beside"
              [class.open]="open() === 'beside-family'"
            />
          } @else {
            <div class="pane strip beside"></div>
          }
        </ng-template>
        <ng-template #panel>
          @if (view.version()) {
            <lv-version-page class="pane" />
          } @else {
            <lv-master-page class="pane" />
          }
        </ng-template>
        <ng-template #panel>
          <div
            id="beside-here"
            tabindex="-1"
            role="group"
            [attr.aria-label]="here()"
            class="pane panel beside"
            [class.open]="open() === 'beside-here'"
          >
            @if (!beside()) {
            } @else if (view.version()) {
              <lv-version-panel />
            } @else if (view.chosenPage() && !view.chosen()) {
              <lv-page-panel />
            } @else {
              <lv-master-panel />
            }
          </div>
        </ng-template>
      </p-splitter>
      <lv-foot-bar [list]="sheets()" about=".block.chosen" [(open)]="open" />
      <lv-ready-parts *lvSoon />
    } @else if (view.ready()) {
      @if (damaged()) {
        <lv-empty alone heading="This activity cannot be read"
          >What is kept of it is damaged. It was set aside and is not lost: it may be mended there.
          <a pButton severity="secondary" routerLink="/keeping">See what was set aside</a></lv-empty
        >
      } @else {
        <lv-empty alone heading="This family is not here"
          >It may have been removed. It waits under Keeping then, and can be put back.
          <a pButton severity="secondary" routerLink="/shelf">To the Shelf</a></lv-empty
        >
      }
    }
  `,
  styles: `
    .strip,
    .panel {
      background: var(--surface);
    }
    .panel {
      padding: 14px;
    }
  `,
})
export class Bench {
  readonly familyId = input.required<string>();
  readonly versionId = input<string>();
  /** Words to be found on the pages, from a search in the family. */
  readonly find = input<string>();
  /** The block to go to, from where it was spoken of. */
  readonly block = input<string>();
  protected readonly view = inject(BenchView);
  /** What stands on both sides of the page is drawn after it: a large family opens in two steps. */
  protected readonly beside = afterDrawing(signal(true), false);
  protected readonly names = ['Width of the family', 'Width of what can be done'];
  /** Which sheet is open on a narrow screen. */
  protected readonly open = signal<string | null>(null);
  protected readonly here = computed(() => {
    if (this.view.chosen()) return 'What can be done with this block';
    if (this.view.version()) return 'What can be done with this version';
    return this.view.chosenPage() ? 'About this page' : 'About this activity';
  });
  private readonly hereInShort = computed(() => {
    if (this.view.chosen()) return 'This block';
    if (this.view.version()) return 'This version';
    return this.view.chosenPage() ? 'This page' : 'This activity';
  });
  protected readonly sheets = computed(() => [
    { id: 'beside-family', name: 'Family' },
    { id: 'beside-here', name: this.hereInShort() },
  ]);
  private readonly router = inject(Router);
  protected readonly damaged = computed(() => this.view.work.familyHeadsById()[this.view.familyId()] !== undefined);
  private readonly lostVersion = computed(() => this.versionId() && this.view.family() && !this.view.version());

  constructor() {
    effect(() => {
      this.view.familyId.set(this.familyId());
      this.view.versionId.set(this.versionId() ?? null);
      untracked(() => this.view.choose(null));
      this.open.set(null);
      this.view.filter.set('all');
      this.view.sought.set(this.find() ?? '');
      this.view.wanted.set(this.block() ?? null);
      this.view.chosenPage.set(null);
      keepSmall('lorvet-bench', this.versionId() ? `${this.familyId()}/${this.versionId()}` : this.familyId());
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
