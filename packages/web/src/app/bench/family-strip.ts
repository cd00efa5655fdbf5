import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type Block,
  blocksOf,
  derive,
  latest,
  learnersWith,
  plainTextOf,
  plainWords,
  snippet,
  versionTree,
  upkeepWaiting,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { SwatchMark } from '../ui/swatch';
import { BenchView } from './bench-view';
import { NewVersion } from './new-version';

const MOST_FOUND = 12;

/** The family: the master and its versions as a tree, and what waits. */
@Component({
  selector: 'lv-family-strip',
  imports: [ButtonDirective, InputText, LucideDynamicIcon, NewVersion, RouterLink, RouterLinkActive, SwatchMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.family(); as family) {
      <nav aria-label="Family">
        <h3>Family</h3>
        <a
          [routerLink]="['/bench', family.id]"
          routerLinkActive="on"
          [routerLinkActiveOptions]="{ exact: true }"
          ariaCurrentWhenActive="page"
        >
          <lv-swatch [swatch]="family.swatch" />
          <span
            ><strong>{{ title() }}</strong
            ><small>master · revision {{ revision() }}{{ family.draft ? ' + changes' : '' }}</small></span
          >
        </a>
        @for (v of versions(); track v.id) {
          <a
            [routerLink]="['/bench', family.id, v.id]"
            routerLinkActive="on"
            ariaCurrentWhenActive="page"
            [style.margin-left.px]="12 + v.depth * 18"
            class="version"
          >
            <lv-swatch [swatch]="v.swatch" />
            <span
              ><strong>{{ v.name }}</strong
              ><small>{{ v.changes }} · {{ v.learners }}</small></span
            >
          </a>
        }
      </nav>
      <input
        pInputText
        #seek
        class="input"
        type="search"
        placeholder="Find in the family"
        aria-label="Find in the family"
        [value]="sought()"
        (input)="sought.set(seek.value)"
      />
      @if (sought().trim().length > 1) {
        <ul class="found" aria-label="Found in the family" aria-live="polite">
          @for (x of found(); track x.key) {
            <li>
              <a [routerLink]="x.link" [queryParams]="{ find: sought() }"
                ><span
                  ><strong>{{ x.name }}</strong
                  ><small>{{ x.words }}</small></span
                ></a
              >
            </li>
          } @empty {
            <li class="small">Nothing in the family says “{{ sought() }}”.</li>
          }
        </ul>
      }
      <button pButton severity="secondary" type="button" (click)="adding.set(true)">
        <svg lucideIcon="plus"></svg>New version
      </button>
      <a pButton severity="secondary" [routerLink]="['/bench', family.id, 'tiers']">Make tiers by recipes</a>
      <a pButton severity="secondary" [routerLink]="['/bench', family.id, 'history']">History and picture</a>
      @if (waiting(); as n) {
        <div class="card ochre">
          <h3>{{ n }} to decide</h3>
          <p class="small">The master changed what {{ n === 1 ? 'a version' : 'versions' }} had changed as well.</p>
          <a pButton severity="secondary" [routerLink]="['/bench', family.id, 'upkeep']">Open upkeep</a>
        </div>
      } @else if (family.revisions.length > 1) {
        <a pButton severity="secondary" text [routerLink]="['/bench', family.id, 'upkeep']">Last upkeep</a>
      }
      <lv-new-version [(open)]="adding" />
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      gap: 10px;
      padding: 14px 12px;
    }
    nav {
      display: grid;
      gap: 3px;
    }
    nav h3 {
      margin: 0 0 4px 6px;
    }
    a:not(.p-button) {
      display: flex;
      align-items: center;
      gap: 9px;
      padding: 6px;
      border-radius: var(--r);
      text-decoration: none;
    }
    a:not(.p-button):hover {
      background: var(--sunken);
    }
    a.on:not(.p-button) {
      background: var(--accent-soft);
    }
    .version {
      position: relative;
    }
    .version::before {
      content: '';
      position: absolute;
      left: -7px;
      top: -3px;
      bottom: 0;
      border-left: 2px solid var(--line);
    }
    span,
    strong,
    small {
      display: block;
      min-width: 0;
      line-height: 1.3;
    }
    strong {
      font-weight: 650;
      overflow-wrap: anywhere;
    }
    .found {
      display: grid;
      gap: 2px;
      max-height: 260px;
      overflow: auto;
    }
    .card {
      display: grid;
      gap: 6px;
    }
    .card .p-button {
      justify-self: start;
    }
  `,
})
export class FamilyStrip {
  protected readonly view = inject(BenchView);
  protected readonly adding = signal(false);
  protected readonly title = computed(() => this.view.master()?.title ?? '');
  protected readonly revision = computed(() => {
    const family = this.view.family();
    return family ? latest(family).n : 0;
  });
  protected readonly waiting = computed(() => {
    const family = this.view.family();
    return family ? upkeepWaiting(family) : 0;
  });
  protected readonly sought = signal('');
  /** The master's blocks that say what is sought, and those of versions that say it in other words than their basis. */
  protected readonly found = computed(() => {
    const family = this.view.family();
    const words = plainWords(this.sought());
    if (!family || words.length < 2) return [];
    const says = (b: Block) => plainWords(plainTextOf(b)).includes(words);
    const master = derive(family, null).content;
    const first = [...blocksOf(master)].filter(({ block: b }) => says(b)).map(({ block: b }) => b);
    const known = new Set(first);
    const hit = (name: string, link: string[], b: Block) => ({
      key: `${link.join('/')} ${b.id}`,
      name,
      link,
      words: snippet(plainTextOf(b), 60),
    });
    const inVersions = versionTree(family).flatMap(({ version: v }) =>
      [...blocksOf(derive(family, v.id).content)]
        .filter(({ block: b }) => !known.has(b) && says(b))
        .map(({ block: b }) => {
          // A version on this one that leaves it alone says nothing new.
          known.add(b);
          return hit(v.name, ['/bench', family.id, v.id], b);
        }),
    );
    return [...first.map((b) => hit('Master', ['/bench', family.id], b)), ...inVersions].slice(0, MOST_FOUND);
  });
  protected readonly versions = computed(() => {
    const family = this.view.family();
    if (!family) return [];
    const handOuts = this.view.work.handOutHeads();
    return versionTree(family).map(({ version, depth }) => {
      const n = version.adjustments.length;
      const learners = learnersWith(handOuts, family.id, version.id).length;
      return {
        id: version.id,
        name: version.name,
        swatch: version.swatch,
        depth,
        changes: `${n} ${version.basis ? 'more' : n === 1 ? 'change' : 'changes'}`,
        learners: `${learners} learner${learners === 1 ? '' : 's'}`,
      };
    });
  });
}
