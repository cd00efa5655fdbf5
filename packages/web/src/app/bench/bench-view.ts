import { computed, inject, Injectable, signal } from '@angular/core';
import {
  type Block,
  type Content,
  derive,
  type Family,
  type Id,
  type InPlace,
  isItem,
  labelOf,
  latest,
  overfull,
  overfullBy,
  blockSchema,
  findBlock,
  learnersWith,
  type Version,
  versionOf,
} from '@lorvet/core';
import { holdFamily } from '../store/hold-family';
import { WorkspaceStore } from '../store/workspace';
import { afterDrawing } from '../ui/after-drawing';
import type { BlockChange } from '../ui/blocks/editor-part';
import { Notice } from '../ui/notice';
import type { Selection } from './doings';

const EMPTY: Content = { title: '', subject: '', ages: '', objectives: [], pages: [] };

/** What the parts of one open Bench share: which family and version, what is chosen, and how to change them. */
@Injectable()
export class BenchView {
  readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);
  readonly familyId = signal<Id>('');
  readonly versionId = signal<Id | null>(null);
  readonly chosen = signal<Id | null>(null);
  /** Further blocks of a version chosen together with it. */
  readonly also = signal<ReadonlySet<Id>>(new Set());
  /** What of a version is shown. */
  readonly filter = signal<'all' | 'changed' | 'left out'>('all');
  /** Words looked for on the pages. */
  readonly sought = signal('');
  /** The page whose own panel is open. */
  readonly chosenPage = signal<Id | null>(null);

  /** Whether the family has come, if there is one. */
  readonly ready = holdFamily(this.familyId);
  readonly family = computed<Family | undefined>(() => this.work.families()[this.familyId()]);
  readonly version = computed<Version | undefined>(() => {
    const family = this.family();
    const id = this.versionId();
    return family && id ? versionOf(family, id) : undefined;
  });
  readonly derived = computed(() => {
    const family = this.family();
    const version = this.version();
    return family && version ? derive(family, version.id) : undefined;
  });
  /** The master as it is being written: its draft, or its latest revision. */
  readonly master = computed<Content | undefined>(() => {
    const family = this.family();
    return family && (family.draft ?? latest(family).content);
  });
  readonly given = computed(() => {
    const family = this.family();
    return family ? learnersWith(this.work.handOutHeads(), family.id, this.versionId()) : [];
  });

  /** The choice as the panels speak of it: they follow once the page has shown it. */
  private readonly spokenOf = afterDrawing(computed(() => ({ chosen: this.chosen(), also: this.also() })));
  readonly chosenInPanel = computed(() => this.spokenOf().chosen);
  /** What is chosen of a version, with its pages, for the panels. */
  readonly selection = computed<Selection>(() => {
    const content = this.derived()?.whole ?? EMPTY;
    const { chosen, also } = this.spokenOf();
    const ids = new Set([...also, chosen ?? '']);
    const blocks = content.pages.flatMap((p) => p.blocks.filter((b) => ids.has(b.id)));
    const pages = blocks.length ? content.pages.filter((p) => p.blocks.some((b) => ids.has(b.id))) : content.pages;
    return { content, blocks, pages };
  });
  /** A doing that was asked for by name. */
  readonly asked = signal<string | null>(null);

  /** A block that the address names: the page goes to it once it is there. */
  readonly wanted = signal<Id | null>(null);

  /** Chooses a block: alone, or with those chosen before it. */
  choose(id: Id | null, together = false): void {
    if (!together || id === null) {
      if (this.also().size && !this.also().has(id ?? '')) this.also.set(new Set());
      this.chosen.set(id);
      return;
    }
    const before = this.chosen();
    const next = new Set(this.also());
    if (before) next.add(before);
    if (next.delete(id)) {
      this.also.set(next);
      this.chosen.set([...next].at(-1) ?? null);
      return;
    }
    next.add(id);
    this.also.set(next);
    this.chosen.set(id);
  }

  isChosen(id: Id): boolean {
    return this.chosen() === id || this.also().has(id);
  }

  recorded(done: InPlace, label: string): void {
    const family = this.family();
    const version = this.version();
    if (family && version) this.work.changeInPlace(family.id, version.id, done, label);
  }

  /** Changes a block that the version added itself, as it is by now. */
  changeAdded(id: Id, change: BlockChange): void {
    const content = this.derived()?.content;
    const block = content && findBlock(content, id)?.block;
    const next = block && change(block);
    if (!next || next === block || this.isFull(overfull(blockSchema, next))) return;
    this.recorded({ did: 'replace-inserted', block: next }, 'change an added block');
  }

  /**
   * Whether it was done: what there is no room for is not, and is said; what was typed stays in its field.
   */
  changeMaster(change: (content: Content) => Content, label: string, mergeKey?: string): boolean {
    const family = this.family();
    if (!family) return false;
    const before = family.draft ?? latest(family).content;
    const after = change(before);
    if (this.isFull(overfullBy(before, after))) return false;
    this.work.changeMaster(family, () => after, label, mergeKey);
    return true;
  }

  changeBlock(id: Id, change: BlockChange, label: string, mergeKey?: string): void {
    this.changeMaster(
      (c) => {
        const block = findBlock(c, id)?.block;
        const next = block && change(block);
        if (!next || next === block) return c;
        const pages = c.pages.map((p) =>
          p.blocks.includes(block) ? { ...p, blocks: p.blocks.map((b) => (b === block ? next : b)) } : p,
        );
        return { ...c, pages };
      },
      label,
      mergeKey,
    );
  }

  private isFull(why: string): boolean {
    if (why) this.notice.cannot(why);
    return why !== '';
  }
}

/** What a block is called where it is spoken of: "question 3, single choice". */
export function nameOf(block: Block, number: number): string {
  if (!isItem(block)) return labelOf(block);
  return `Question${number ? ` ${number}` : ''}, ${labelOf(block).toLowerCase()}`;
}
