import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type Block,
  blocksOf,
  derive,
  type Family,
  latest,
  learnersWith,
  plainTextOf,
  plainWords,
  snippet,
  versionTree,
  upkeepWaiting,
} from '@lorvet/core';
import { PrimeTemplate, type TreeNode } from 'primeng/api';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Tree } from 'primeng/tree';
import { SwatchMark } from '../ui/swatch';
import { TreeNodeSays } from '../ui/tree-node-says';
import { BenchView } from './bench-view';
import { NewVersion } from './new-version';
import { counted, many } from '../platform/many';

const MOST_FOUND = 12;
const MASTER = 'the master';

/** What a node of the tree shows. */
interface Member {
  readonly name: string;
  readonly says: string;
  readonly swatch: Family['swatch'];
}

/** The family: the master and its versions as a tree, and what waits. */
@Component({
  selector: 'lv-family-strip',
  imports: [
    ButtonDirective,
    InputText,
    LucideDynamicIcon,
    NewVersion,
    PrimeTemplate,
    RouterLink,
    SwatchMark,
    Tree,
    TreeNodeSays,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.family(); as family) {
      <h3>Family</h3>
      <p-tree
        [value]="tree()"
        ariaLabel="Family"
        selectionMode="single"
        [metaKeySelection]="true"
        [(selection)]="chosen"
        [trackBy]="byKey"
        (onNodeSelect)="go($event.node)"
        (onNodeUnselect)="stay()"
        (onNodeCollapse)="turn($event.node, false)"
        (onNodeExpand)="turn($event.node, true)"
      >
        <ng-template pTemplate="default" let-n>
          <span class="node" [lvTreeNode]="n.parent?.children?.length ?? 1">
            <lv-swatch [swatch]="n.data.swatch" />
            <span
              ><strong>{{ n.data.name }}</strong
              ><small>{{ n.data.says }}</small></span
            >
          </span>
        </ng-template>
      </p-tree>
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
          <p class="small">
            {{
              counted(
                n,
                'The master changed what a version had changed as well.',
                'The master changed what versions had changed as well.'
              )
            }}
          </p>
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
    .node {
      display: flex;
      align-items: center;
      gap: 9px;
    }
    .found a {
      padding: 6px;
      border-radius: var(--r);
      text-decoration: none;
    }
    .found a:hover {
      background: var(--sunken);
    }
    .node span,
    .found a,
    .found span,
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
  protected readonly counted = counted;
  protected readonly view = inject(BenchView);
  private readonly router = inject(Router);
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
  /** What stands folded up in the tree. */
  private readonly folded = signal<ReadonlySet<string>>(new Set());
  /** The master and what is made on it, each version under its basis. */
  protected readonly tree = computed<TreeNode<Member>[]>(() => {
    const family = this.view.family();
    if (!family) return [];
    const handOuts = this.view.work.handOutHeads();
    const folded = this.folded();
    const node = (key: string, data: Member): TreeNode<Member> => ({
      key,
      data,
      label: `${data.name}, ${data.says}`,
      expanded: !folded.has(key),
      children: [],
    });
    const root = node(MASTER, {
      name: this.title(),
      says: `master · revision ${this.revision()}${family.draft ? ' + changes' : ''}`,
      swatch: family.swatch,
    });
    const nodes = new Map([[MASTER, root]]);
    for (const { version: v } of versionTree(family)) {
      const n = v.adjustments.length;
      const learners = learnersWith(handOuts, family.id, v.id).length;
      const changes = v.basis ? `${n} more` : many(n, 'change');
      const says = `${changes} · ${many(learners, 'learner')}`;
      const own = node(v.id, { name: v.name, says, swatch: v.swatch });
      nodes.set(v.id, own);
      (nodes.get(v.basis ?? MASTER) ?? root).children?.push(own);
    }
    for (const x of nodes.values()) if (!x.children?.length) delete x.expanded;
    return [root];
  });
  /** A new object each time: the part lets its own go when what is chosen is pressed again. */
  protected readonly chosen = linkedSignal<TreeNode | null>(() => ({ key: this.view.versionId() ?? MASTER }));
  protected readonly byKey = (_: number, node: TreeNode) => node.key;
  protected go(node: TreeNode): void {
    const id = node.key === MASTER ? [] : [node.key];
    void this.router.navigate(['/bench', this.view.familyId(), ...id]);
  }

  protected stay(): void {
    this.chosen.set({ key: this.view.versionId() ?? MASTER });
  }

  protected turn(node: TreeNode, open: boolean): void {
    const folded = new Set(this.folded());
    if (open) folded.delete(node.key ?? '');
    else folded.add(node.key ?? '');
    this.folded.set(folded);
  }
}
