import { computed, inject, Injectable, signal } from '@angular/core';
import {
  type Block,
  type Content,
  type Family,
  type Id,
  type InPlace,
  isItem,
  labelOf,
  latest,
  learnersWith,
  listOf,
  type Version,
  versionOf,
} from '@lorvet/core';
import { WorkspaceStore } from '../store/workspace';

/** What the parts of one open Bench share: which family and version, what is chosen, and how to change them. */
@Injectable()
export class BenchView {
  readonly work = inject(WorkspaceStore);
  readonly familyId = signal<Id>('');
  readonly versionId = signal<Id | null>(null);
  readonly chosen = signal<Id | null>(null);
  /** The page whose own panel is open. */
  readonly chosenPage = signal<Id | null>(null);

  readonly family = computed<Family | undefined>(() => this.work.families()[this.familyId()]);
  readonly version = computed<Version | undefined>(() => {
    const family = this.family();
    const id = this.versionId();
    return family && id ? versionOf(family, id) : undefined;
  });
  /** The master as it is being written: its draft, or its latest revision. */
  readonly master = computed<Content | undefined>(() => {
    const family = this.family();
    return family && (family.draft ?? latest(family).content);
  });
  readonly given = computed(() => {
    const family = this.family();
    return family ? learnersWith(listOf(this.work.handOuts()), family.id, this.versionId()) : [];
  });

  recorded(done: InPlace, label: string): void {
    const family = this.family();
    const version = this.version();
    if (family && version) this.work.changeInPlace(family.id, version.id, done, label);
  }

  changeMaster(change: (content: Content) => Content, label: string, mergeKey?: string): void {
    const family = this.family();
    if (family) this.work.changeMaster(family, change, label, mergeKey);
  }

  changeBlock(block: Block, label: string, mergeKey?: string): void {
    this.changeMaster(
      (c) => ({
        ...c,
        pages: c.pages.map((p) =>
          p.blocks.some((b) => b.id === block.id)
            ? { ...p, blocks: p.blocks.map((b) => (b.id === block.id ? block : b)) }
            : p,
        ),
      }),
      label,
      mergeKey,
    );
  }
}

/** What a block is called where it is spoken of: "question 3, single choice". */
export function nameOf(block: Block, number: number): string {
  return isItem(block) ? `Question ${number || 'added'}, ${labelOf(block).toLowerCase()}` : labelOf(block);
}

/** The items' numbers on a content, by id. */
export function numbersOf(content: Content): ReadonlyMap<Id, number> {
  const numbers = new Map<Id, number>();
  for (const page of content.pages) for (const b of page.blocks) if (isItem(b)) numbers.set(b.id, numbers.size + 1);
  return numbers;
}
