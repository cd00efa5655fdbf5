import { ChangeDetectionStrategy, Component, computed, ElementRef, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  adjustmentKinds,
  type AdjustmentVerdict,
  type Block,
  classify,
  type CompareRow,
  compareVersions,
  counts,
  derive,
  type Id,
  isChoice,
  originOf,
  readability,
  versionOf,
  wordsOf,
} from '@lorvet/core';
import { isTyping } from '../ui/keys';
import { SwatchMark } from '../ui/swatch';
import { BenchBlock } from './bench-block';
import { BenchView, nameOf, numbersOf } from './bench-view';

interface Said {
  readonly id: Id;
  readonly done: string;
  readonly detail: string;
  readonly verdict: AdjustmentVerdict | undefined;
}

// Blocks are never changed, only replaced: each is measured once.
const grades = new WeakMap<Block, number | undefined>();

function gradeOf(block: Block): number | undefined {
  if (!grades.has(block)) {
    const text = wordsOf(block)
      .map((w) => w.text)
      .join('\n');
    grades.set(block, readability(text).figures.kincaid);
  }
  return grades.get(block);
}

/** A version beside what it is made on, block against block; what is typed in the version is recorded. */
@Component({
  selector: 'lv-version-page',
  imports: [BenchBlock, SwatchMark, RouterLink, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './version-page.html',
  styleUrl: './pages.css',
})
export class VersionPage {
  protected readonly view = inject(BenchView);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly counts = counts;
  protected readonly basis = computed(() => {
    const family = this.view.family();
    const basis = this.view.version()?.basis ?? null;
    return (family && basis !== null ? versionOf(family, basis) : undefined) ?? null;
  });
  private readonly verdicts = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    return family && version ? classify(family, version.id) : null;
  });
  private readonly derived = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    return family && version ? derive(family, version.id) : null;
  });
  protected readonly numbers = computed(() => {
    const family = this.view.family();
    return family ? numbersOf(derive(family, null).content) : new Map<Id, number>();
  });
  protected readonly pages = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return [];
    return compareVersions(family, version.basis, version.id).map((p) => ({
      ...p,
      rows: p.rows.map((row) => ({ ...row, said: this.said(row) })),
    }));
  });

  protected name(block: Block): string {
    return nameOf(block, this.numbers().get(block.id) ?? 0);
  }

  protected firstWords(block: Block): string {
    return wordsOf(block)[0]?.text ?? '';
  }

  private said(row: CompareRow): Said[] {
    return row.adjustments.map((a) => ({
      id: a.id,
      done: a.name || adjustmentKinds[a.kind].done,
      detail:
        this.detail(row, a.kind) + (a.reason?.text ? `${this.detail(row, a.kind) ? ' · ' : ''}${a.reason.text}` : ''),
      verdict: this.verdicts()?.adjustments.get(a.id),
    }));
  }

  /** Whether a block can be put back here, or was left out further up. */
  protected isOwnGap(row: CompareRow): boolean {
    return this.derived()?.leftOut.get(row.id)?.versionId === this.view.versionId();
  }

  protected editableAs(block: Block): 'all' | 'words' {
    const derived = this.derived();
    const from = derived && originOf(derived, block.id).from;
    const own = from && from !== 'master' && from.versionId === this.view.versionId();
    return own && block.kind !== 'word-bank' ? 'all' : 'words';
  }

  protected words(block: Block, field: string, text: string): void {
    this.view.recorded({ did: 'words', blockId: block.id, field, text }, 'reword');
  }

  protected dropOption(block: Block, optionId: Id): void {
    const row = this.pages()
      .flatMap((p) => p.rows)
      .find((r) => r.id === block.id);
    const gone =
      row?.left && isChoice(row.left) && isChoice(block)
        ? row.left.options.map((o) => o.id).filter((id) => !block.options.some((o) => o.id === id))
        : [];
    this.view.recorded({ did: 'remove-options', blockId: block.id, optionIds: [...gone, optionId] }, 'fewer choices');
  }

  protected leaveOut(block: Block): void {
    this.view.recorded({ did: 'remove-block', blockId: block.id }, `leave out ${this.name(block).toLowerCase()}`);
  }

  protected putBack(id: Id): void {
    this.view.recorded({ did: 'put-back', id }, 'put back');
  }

  protected keyed(event: KeyboardEvent, block: Block): void {
    if (isTyping(event) || event.key !== 'Delete') return;
    event.preventDefault();
    this.leaveOut(block);
    setTimeout(() =>
      this.host.nativeElement.querySelector<HTMLElement>(`[data-back="${CSS.escape(block.id)}"]`)?.focus(),
    );
  }

  private detail(row: CompareRow, kind: string): string {
    const { left, right } = row;
    if (!left || !right) return kind === 'word-bank' ? 'from the keys' : '';
    if (kind === 'fewer-choices' && isChoice(left) && isChoice(right))
      return `${left.options.length} → ${right.options.length}`;
    if (kind !== 'reword') return '';
    const [was, now] = [gradeOf(left), gradeOf(right)];
    return was !== undefined && now !== undefined ? `grade ${was.toFixed(1)} → ${now.toFixed(1)}` : '';
  }
}
