import { NgComponentOutlet, NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, type Type } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type Block,
  type BlockKindName,
  forLearner,
  isChoice,
  isItem,
  keyIdsOf,
  keyWordsOf,
  labelOf,
  mostIn,
  mostWords,
  wordsAt,
  wordsOf,
} from '@lorvet/core';
import { WorkspaceStore } from '../store/workspace';
import { IconButton } from '../ui/icon-button';
import { Picture } from '../ui/picture';
import { type BlockChange, type BlockOf, MOST_SEVERAL, several } from '../ui/blocks/editor-part';
import { EDITOR_PARTS } from '../ui/blocks/editors';
import { LearnerBlockView } from '../ui/blocks/learner-block';
import { PictureField } from '../ui/picture-field';
import { RichWords } from '../ui/rich-words';
import { Words } from '../ui/words';

/**
 * A block on the Bench, edited where it stands. 'all': a block of the master or one that a version added; 'words':
 * what a version may change of its basis; 'none': only shown.
 */
/** The block with something accepted besides its key no more. */
function notToo<B extends { readonly also?: string[] | undefined }>(block: B, id: string): B {
  const { also = [], ...rest } = block;
  const left = also.filter((x) => x !== id);
  return (left.length ? { ...rest, also: left } : rest) as B;
}

@Component({
  selector: 'lv-bench-block',
  imports: [
    IconButton,
    Words,
    RichWords,
    Picture,
    PictureField,
    LearnerBlockView,
    NgComponentOutlet,
    NgTemplateOutlet,
    LucideDynamicIcon,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-block.html',
  styleUrl: './bench-block.css',
})
export class BenchBlock {
  readonly block = input.required<Block>();
  readonly basis = input<Block | null>(null);
  readonly editable = input<'all' | 'words' | 'none'>('none');
  readonly number = input(0);
  /** Whether the block's own editor stands open; else it is seen as a learner sees it. */
  readonly open = input(true);
  readonly words = output<{ field: string; text: string }>();
  /** With 'all': what is to become of the block. */
  readonly changed = output<BlockChange>();
  readonly optionDropped = output<string>();

  private readonly work = inject(WorkspaceStore);
  protected readonly item = computed(() => {
    const b = this.block();
    return isItem(b) ? b : null;
  });
  protected readonly options = computed(() => {
    const b = this.block();
    if (!isChoice(b)) return null;
    const key = keyIdsOf(b);
    return b.options.map((o, i) => ({
      ...o,
      field: `option:${o.id}`,
      label: `Choice ${i + 1}`,
      isKey: key.includes(o.id),
    }));
  });
  protected readonly label = computed(() => labelOf(this.block()));
  /** What counts as right besides the key, where that is no list of words itself. */
  protected readonly also = computed(() => {
    const b = this.block();
    if (b.kind === 'number') return (b.also ?? []).map((words) => ({ id: words, words }));
    const options = b.kind === 'single-choice' ? b.options.filter((o) => b.also?.includes(o.id)) : [];
    return options.map((o) => ({ id: o.id, words: o.text || 'a picture' }));
  });
  protected readonly keyText = computed(() => {
    const b = this.block();
    if (b.kind === 'short-text') return b.key.join(' / ');
    return b.kind === 'long-text' ? b.key : keyWordsOf(b).join(', ');
  });

  protected readonly mostIn = mostIn;
  protected readonly mostInNote = mostIn('single-choice', 'note');
  protected readonly mostSeveral = MOST_SEVERAL;

  protected most(field: string): number {
    return mostWords(this.block(), field);
  }

  protected was(field: string): string | undefined {
    const basis = this.basis();
    return basis ? wordsAt(basis, field) : undefined;
  }

  protected say(field: string, text: string): void {
    this.words.emit({ field, text });
  }

  protected setKey(optionId: string): void {
    this.edit('single-choice', (b) => notToo({ ...b, key: optionId }, optionId));
    this.edit('multiple-choice', (b) => {
      const key = b.key.includes(optionId) ? b.key.filter((k) => k !== optionId) : [...b.key, optionId];
      return { ...b, key };
    });
  }

  protected acceptNoMore(id: string): void {
    this.edit('single-choice', (b) => notToo(b, id));
    this.edit('number', (b) => notToo(b, id));
  }

  protected addOption(): void {
    const [id] = this.work.stamp(1).ids;
    if (id) this.changed.emit((b) => (isChoice(b) ? { ...b, options: [...b.options, { id, text: '' }] } : b));
  }

  protected dropOption(id: string): void {
    if (this.editable() === 'words') return this.optionDropped.emit(id);
    this.edit('single-choice', (b) => ({
      ...notToo(b, id),
      options: b.options.filter((o) => o.id !== id),
      key: b.key === id ? '' : b.key,
    }));
    this.edit('multiple-choice', (b) => ({
      ...b,
      options: b.options.filter((o) => o.id !== id),
      key: b.key.filter((k) => k !== id),
    }));
  }

  protected setKeyText(text: string): void {
    this.edit('short-text', (b) => ({ ...b, key: several(text) }));
    this.edit('long-text', (b) => ({ ...b, key: text }));
  }

  protected setNumber(field: 'key' | 'tolerance', text: string): void {
    const value = text.trim() === '' ? NaN : Number(text.replace(',', '.'));
    this.edit('number', (b) =>
      field === 'key'
        ? { ...b, key: Number.isFinite(value) ? value : null }
        : { ...b, tolerance: Number.isFinite(value) && value >= 0 ? value : 0 },
    );
  }

  protected setUnit(unit: string): void {
    this.edit('number', (b) => ({ ...b, unit }));
  }

  protected setNote(note: string): void {
    this.changed.emit((b) => {
      if (!isItem(b)) return b;
      const { note: _, ...rest } = b;
      return (note ? { ...rest, note } : rest) as Block;
    });
  }

  /** The editor of the block's kind, where it has one of its own. */
  protected readonly editor = computed(
    () => (EDITOR_PARTS as Partial<Record<string, Type<unknown>>>)[this.block().kind],
  );
  private readonly change = (change: BlockChange) => this.changed.emit(change);
  protected readonly editorInputs = computed(() => ({ block: this.block(), change: this.change }));
  /** As a learner sees it, for the side that is only shown. */
  protected readonly learners = computed(() => {
    const b = this.block();
    return this.editor() && b.kind !== 'teacher-note' ? forLearner(b) : null;
  });
  /** What a version may reword of a block with an editor of its own, beyond its question and hint. */
  protected readonly fields = computed(() =>
    wordsOf(this.block()).filter((w) => w.field !== 'prompt' && w.field !== 'hint'),
  );

  protected setStarters(text: string): void {
    const starters = text
      .split('\n')
      .map((t) => t.trim())
      .filter(Boolean);
    this.edit('long-text', ({ starters: _, ...rest }) => (starters.length ? { ...rest, starters } : rest));
  }

  protected pictureOf(optionId: string, assetId: string): void {
    this.changed.emit((b) => {
      if (!isChoice(b)) return b;
      const options = b.options.map((o) => {
        if (o.id !== optionId) return o;
        const { assetId: _, ...rest } = o;
        return assetId ? { ...rest, assetId } : rest;
      });
      return { ...b, options };
    });
  }

  protected setPicture(assetId: string): void {
    if (assetId) this.edit('picture', (b) => ({ ...b, assetId }));
  }

  /** Changes the block as it is by then, where it is of this kind. */
  private edit<K extends BlockKindName>(kind: K, change: (block: BlockOf<K>) => BlockOf<K>): void {
    if (this.block().kind === kind)
      this.changed.emit((b) => (b.kind === kind ? (change(b as BlockOf<K>) as Block) : b));
  }
}
