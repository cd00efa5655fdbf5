import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, type Type } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type Block,
  forLearner,
  isChoice,
  isItem,
  keyIdsOf,
  keyWordsOf,
  labelOf,
  wordsAt,
  wordsOf,
} from '@lorvet/core';
import { WorkspaceStore } from '../store/workspace';
import { Picture } from '../ui/picture';
import { EDITOR_PARTS } from '../ui/blocks/editors';
import { LearnerBlockView } from '../ui/blocks/learner-block';
import { PictureField } from '../ui/picture-field';
import { RichWords } from '../ui/rich-words';
import { Words } from '../ui/words';

/**
 * A block on the Bench, edited where it stands. 'all': a block of the master or one that a version added; 'words':
 * what a version may change of its basis; 'none': only shown.
 */
@Component({
  selector: 'lv-bench-block',
  imports: [Words, RichWords, Picture, PictureField, LearnerBlockView, NgComponentOutlet, LucideDynamicIcon],
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
  /** With 'all': the block as it is now. */
  readonly changed = output<Block>();
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
  protected readonly keyText = computed(() => {
    const b = this.block();
    if (b.kind === 'short-text') return b.key.join(' / ');
    return b.kind === 'long-text' ? b.key : keyWordsOf(b).join(', ');
  });

  protected was(field: string): string | undefined {
    const basis = this.basis();
    return basis ? wordsAt(basis, field) : undefined;
  }

  protected say(field: string, text: string): void {
    this.words.emit({ field, text });
  }

  protected setKey(optionId: string): void {
    const b = this.block();
    if (b.kind === 'single-choice') this.changed.emit({ ...b, key: optionId });
    if (b.kind === 'multiple-choice') {
      const key = b.key.includes(optionId) ? b.key.filter((k) => k !== optionId) : [...b.key, optionId];
      this.changed.emit({ ...b, key });
    }
  }

  protected addOption(): void {
    const b = this.block();
    const [id] = this.work.stamp(1).ids;
    if (isChoice(b) && id) this.changed.emit({ ...b, options: [...b.options, { id, text: '' }] });
  }

  protected dropOption(id: string): void {
    const b = this.block();
    if (this.editable() === 'words') this.optionDropped.emit(id);
    else if (b.kind === 'single-choice')
      this.changed.emit({ ...b, options: b.options.filter((o) => o.id !== id), key: b.key === id ? '' : b.key });
    else if (b.kind === 'multiple-choice')
      this.changed.emit({ ...b, options: b.options.filter((o) => o.id !== id), key: b.key.filter((k) => k !== id) });
  }

  protected setKeyText(text: string): void {
    const b = this.block();
    if (b.kind === 'short-text')
      this.changed.emit({
        ...b,
        key: text
          .split('/')
          .map((k) => k.trim())
          .filter(Boolean),
      });
    if (b.kind === 'long-text') this.changed.emit({ ...b, key: text });
  }

  protected setNumber(field: 'key' | 'tolerance', text: string): void {
    const b = this.block();
    if (b.kind !== 'number') return;
    const value = text.trim() === '' ? NaN : Number(text.replace(',', '.'));
    if (field === 'key') this.changed.emit({ ...b, key: Number.isFinite(value) ? value : null });
    else this.changed.emit({ ...b, tolerance: Number.isFinite(value) && value >= 0 ? value : 0 });
  }

  protected setUnit(unit: string): void {
    const b = this.block();
    if (b.kind === 'number') this.changed.emit({ ...b, unit });
  }

  protected setNote(note: string): void {
    const b = this.block();
    if (!isItem(b)) return;
    const { note: _, ...rest } = b;
    this.changed.emit((note ? { ...rest, note } : rest) as Block);
  }

  /** The editor of the block's kind, where it has one of its own. */
  protected readonly editor = computed(
    () => (EDITOR_PARTS as Partial<Record<string, Type<unknown>>>)[this.block().kind],
  );
  private readonly change = (block: Block) => this.changed.emit(block);
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
    const b = this.block();
    if (b.kind !== 'long-text') return;
    const { starters: _, ...rest } = b;
    const starters = text
      .split('\n')
      .map((t) => t.trim())
      .filter(Boolean)
      .slice(0, 12);
    this.changed.emit(starters.length ? { ...rest, starters } : rest);
  }

  protected pictureOf(optionId: string, assetId: string): void {
    const b = this.block();
    if (!isChoice(b)) return;
    const options = b.options.map((o) => {
      if (o.id !== optionId) return o;
      const { assetId: _, ...rest } = o;
      return assetId ? { ...rest, assetId } : rest;
    });
    this.changed.emit({ ...b, options });
  }

  protected setPicture(assetId: string): void {
    const b = this.block();
    if (b.kind === 'picture' && assetId) this.changed.emit({ ...b, assetId });
  }
}
