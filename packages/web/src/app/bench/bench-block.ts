import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Block, isChoice, isItem, keyIdsOf, keyWordsOf, labelOf, wordsAt } from '@lorvet/core';
import { readPicture } from '../platform/files';
import { BenchActions } from '../store/actions';
import { WorkspaceStore } from '../store/workspace';
import { Notice } from '../ui/notice';
import { Picture } from '../ui/picture';
import { Words } from '../ui/words';

/**
 * A block on the Bench, edited where it stands. 'all': a block of the master or one that a version added; 'words':
 * what a version may change of its basis; 'none': only shown.
 */
@Component({
  selector: 'lv-bench-block',
  imports: [Words, Picture, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-block.html',
  styleUrl: './bench-block.css',
})
export class BenchBlock {
  readonly block = input.required<Block>();
  readonly basis = input<Block | null>(null);
  readonly editable = input<'all' | 'words' | 'none'>('none');
  readonly number = input(0);
  readonly words = output<{ field: string; text: string }>();
  /** With 'all': the block as it is now. */
  readonly changed = output<Block>();
  readonly optionDropped = output<string>();

  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);
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

  protected async choosePicture(files: FileList | null): Promise<void> {
    const [file] = files ?? [];
    const b = this.block();
    if (!file || b.kind !== 'picture') return;
    const read = await readPicture(file);
    if ('problem' in read) {
      this.notice.wrong('This picture was not taken', read.problem);
      return;
    }
    this.work.dispatch(BenchActions.pictureAdded({ asset: read }));
    this.changed.emit({ ...b, assetId: read.id });
  }
}
