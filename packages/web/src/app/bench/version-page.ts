import { ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, untracked } from '@angular/core';
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
  type Id,
  isChoice,
  originOf,
  snippet,
  type Page,
  plainTextOf,
  plainWords,
  wholePageId,
  versionOf,
  wordsOf,
  questionNumbers,
  basisContent,
} from '@lorvet/core';
import { readability } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { FOLD } from '../ui/controls/fold';
import { SELECT } from '../ui/controls/select';
import { isTyping } from '../ui/keys';
import { growing } from '../ui/growing';
import { Near } from '../ui/near';
import { OnPicture } from '../ui/on-picture';
import { PageMarkView } from '../ui/page-mark';
import { SwatchMark } from '../ui/swatch';
import { BenchBlock } from './bench-block';
import { BenchView, nameOf } from './bench-view';
import { tenth } from '../ui/tenth';
import { toneOf } from '../ui/tone';

interface Said {
  readonly id: Id;
  readonly done: string;
  readonly detail: string;
  readonly verdict: AdjustmentVerdict | undefined;
}

type Line = CompareRow & { readonly said: readonly Said[] };

const FIRST_ROWS = 5;
/** Drawn whether or not they are near what is seen. */
const ALWAYS = 40;

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
  imports: [
    BenchBlock,
    ButtonDirective,
    InputText,
    LucideDynamicIcon,
    Near,
    OnPicture,
    PageMarkView,
    RouterLink,
    SwatchMark,
    ...FOLD,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './version-page.html',
  styleUrl: './pages.css',
})
export class VersionPage {
  protected readonly view = inject(BenchView);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly counts = counts;
  protected readonly toneOf = toneOf;
  protected readonly filters = ['all', 'changed', 'left out'] as const;

  protected setFilter(value: string): void {
    this.view.filter.set(this.filters.find((f) => f === value) ?? 'all');
  }

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
  private readonly derived = this.view.derived;
  /** The questions' numbers on the version's own sheet, and on what it is made on. */
  protected readonly numbers = computed(() => questionNumbers(this.derived()?.whole.pages ?? []));
  protected readonly basisNumbers = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    return questionNumbers(family && version ? basisContent(family, version).pages : []);
  });
  protected readonly pages = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return [];
    const filter = this.view.filter();
    const sought = plainWords(this.view.sought());
    const shows = (row: CompareRow) =>
      (filter === 'all' || (filter === 'left out' ? row.how === 'left out' : row.how !== 'same')) &&
      (!sought || [row.left, row.right].some((b) => b && plainWords(plainTextOf(b)).includes(sought)));
    const all = compareVersions(family, version.basis, version.id).map((p, i) => ({ ...p, number: i + 1 }));
    if (filter === 'all' && !sought) return all;
    return all
      .map((p) => ({ ...p, rows: p.rows.filter(shows) }))
      .filter((p) => p.rows.length > 0 || (!p.kept && filter !== 'changed' && !sought));
  });
  /** How many rows are on the page: a few more with each frame, then as their foot comes near. */
  protected readonly rows = growing(
    () => {
      this.view.versionId();
      this.view.filter();
      this.view.sought();
    },
    FIRST_ROWS,
    ALWAYS,
  );
  protected readonly shown = computed(() => {
    let left = this.rows.budget();
    return this.pages().flatMap((p) => {
      if (left <= 0) return [];
      const rows = p.kept ? p.rows.slice(0, left) : [];
      left -= rows.length + 1;
      return [{ ...p, rows: rows.map((row) => this.lineOf(row)) }];
    });
  });
  protected readonly isCut = computed(() => {
    const shown = this.shown();
    return (
      shown.length < this.pages().length ||
      shown.some((s, i) => s.rows.length < (s.kept ? (this.pages()[i]?.rows.length ?? 0) : 0))
    );
  });
  // A row that has not changed stays the same object, so that only what changed is drawn anew.
  private readonly lines = new Map<Id, { row: CompareRow; line: Line }>();

  constructor() {
    // Goes to the block that the address names, once it is there.
    effect(() => {
      const id = this.view.wanted();
      const rows = this.pages().flatMap((p) => p.rows);
      if (id === null || rows.length === 0) return;
      untracked(() => {
        this.view.wanted.set(null);
        const at = rows.findIndex((r) => r.id === id);
        if (at < 0) return;
        this.view.choose(id);
        this.rows.reach(at + this.pages().length + FIRST_ROWS);
        setTimeout(() => {
          const el = this.host.nativeElement.querySelector<HTMLElement>(`[data-block="${CSS.escape(id)}"]`);
          el?.focus();
          el?.scrollIntoView({ block: 'center' });
        });
      });
    });
  }

  private lineOf(row: CompareRow): Line {
    const known = this.lines.get(row.id);
    const same =
      known?.row.left === row.left &&
      known.row.right === row.right &&
      known.row.adjustments.length === row.adjustments.length &&
      known.row.adjustments.every((a, i) => a === row.adjustments[i]);
    if (known && same && row.adjustments.length === 0) return known.line;
    const line = { ...row, said: this.said(row) };
    this.lines.set(row.id, { row, line });
    return line;
  }

  /** In how many pages each page of the version comes, by its id, where a division parts it. */
  protected readonly inParts = computed(() => {
    const derived = this.derived();
    const counts = new Map<Id, number>();
    if (!derived || derived.content === derived.whole) return counts;
    for (const p of derived.content.pages) {
      const id = wholePageId(derived.whole, p.id);
      counts.set(id, (counts.get(id) ?? 0) + 1);
    }
    return counts;
  });

  /** The places on a page's picture that the version still fills, each with its number on the sheet. */
  protected placesOf(page: Page) {
    const numbers = this.numbers();
    return Object.entries(page.places ?? {}).flatMap(([id, r]) => {
      const number = numbers.get(id);
      return number ? [{ ...r, id, number }] : [];
    });
  }

  protected name(block: Block): string {
    return nameOf(block, this.numbers().get(block.id) ?? this.basisNumbers().get(block.id) ?? 0);
  }

  /** As the learner's sheet of the basis numbers it, said with whose it is. */
  protected basisName(block: Block): string {
    return `${this.basis()?.name ?? 'Master'}: ${nameOf(block, this.basisNumbers().get(block.id) ?? 0)}`;
  }

  protected firstWords(block: Block): string {
    return wordsOf(block)[0]?.text ?? '';
  }

  private said(row: CompareRow): Said[] {
    return row.adjustments.map((a) => ({
      id: a.id,
      done: a.name || adjustmentKinds[a.kind].done,
      detail:
        this.detail(row, a.kind) +
        (a.reason?.text ? `${this.detail(row, a.kind) ? ' · ' : ''}${snippet(a.reason.text, 90)}` : ''),
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

  protected pressed(event: MouseEvent, id: Id): void {
    this.view.choose(id, event.ctrlKey || event.metaKey || event.shiftKey);
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
    if (isTyping(event)) return;
    if (event.key === ' ' && event.target === event.currentTarget) {
      event.preventDefault();
      this.view.choose(block.id, true);
      return;
    }
    if (event.key !== 'Delete') return;
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
    return was !== undefined && now !== undefined ? `grade ${tenth(was)} → ${tenth(now)}` : '';
  }
}
