import { ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, input, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { answerIsEmpty, type PaperPage } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../../platform/clock';
import { counted } from '../../platform/many';
import { FileButton } from '../../ui/file-button';
import { growing } from '../../ui/growing';
import { IconButton } from '../../ui/icon-button';
import { Near } from '../../ui/near';
import { Notice } from '../../ui/notice';
import { onceDrawn } from '../../ui/once-drawn';
import { ProgressLine } from '../../ui/progress';
import { WorkspaceStore } from '../../store/workspace';
import { SwatchMark } from '../../ui/swatch';
import { MarkingHead } from '../head';
import { MarkingHere } from '../here';
import { NotHere } from '../not-here';
import type { Row } from '../row';
import { PaperSheet } from './paper-sheet';
import { Papers, type Target } from './papers';
import { Scans } from './scans';

/** Rows, and pictures that wait, which are drawn at once. */
const ROWS = 20;
const STRIP = 12;

/** Photographs and scans of learners' sheets: chosen, and placed on the work of the learner whose they are. */
@Component({
  selector: 'lv-paper-place',
  imports: [
    ButtonDirective,
    FileButton,
    IconButton,
    InputText,
    LucideDynamicIcon,
    MarkingHead,
    Near,
    NotHere,
    PaperSheet,
    ProgressLine,
    SwatchMark,
  ],
  providers: [MarkingHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './paper-place.html',
  styleUrl: './paper-place.css',
})
export class PaperPlace {
  readonly id = input.required<string>();
  private readonly here = inject(MarkingHere);
  private readonly notice = inject(Notice);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly onceDrawn = onceDrawn();
  protected readonly table = this.here.table;
  protected readonly papers = new Papers(this.table.handOut);
  protected readonly scans = new Scans();
  protected readonly counted = counted;

  /** Which of those that wait is to be placed now. */
  private readonly at = signal(0);
  protected readonly waiting = computed(() => this.table.handOut()?.toPlace ?? []);
  protected readonly place = computed(() => Math.max(0, Math.min(this.at(), this.waiting().length - 1)));
  protected readonly now = computed(() => this.waiting()[this.place()] ?? '');
  /** Those next to the one that is placed now. */
  protected readonly strip = computed(() => {
    const from = Math.max(0, Math.min(this.place() - 2, this.waiting().length - STRIP));
    return this.waiting()
      .slice(from, from + STRIP)
      .map((assetId, i) => ({ assetId, at: from + i }));
  });

  protected readonly wanted = signal('');
  private readonly found = computed(() => {
    const words = this.wanted().trim().toLocaleLowerCase();
    const rows = this.table.rows();
    return words ? rows.filter((r) => `${r.name} ${r.members}`.toLocaleLowerCase().includes(words)) : rows;
  });
  protected readonly drawn = growing(() => `${this.id()} ${this.wanted()}`, ROWS, 2 * ROWS);
  protected readonly rows = computed(() =>
    this.found()
      .slice(0, this.drawn.budget())
      .map((row) => ({
        row,
        pages: pagesOf(row).map((p, i) => ({ id: p.id, name: `${i + 1}`, title: p.title, had: placedOn(row, p.id) })),
        sheets: paperOf(row),
      })),
  );
  protected readonly left = computed(() => this.found().length - this.rows().length);
  /** The pages no sheet was placed on yet, in the order of the list: of those who did nothing at the desk. */
  private readonly free = computed((): readonly Target[] =>
    this.table.rows().flatMap((row) => {
      const isWhole = paperOf(row).some((p) => p.pageId === '');
      return isWhole || isAtDesk(row)
        ? []
        : pagesOf(row).flatMap((p) => (placedOn(row, p.id) ? [] : [{ row, pageId: p.id }]));
    }),
  );
  /** Where all that wait go if they lie in the order of the list. */
  protected readonly inOrder = computed(() => {
    const free = this.free();
    const all = this.waiting().flatMap((assetId, i) => (free[i] ? [{ assetId, to: free[i] }] : []));
    const [first] = all;
    return all.length > 1 && first ? { all, from: first.to.row.name, until: all.at(-1)?.to.row.name ?? '' } : null;
  });

  constructor() {
    effect(() => this.here.id.set(this.id()));
  }

  protected nameOf(row: Row, pageId: string): string {
    const at = pagesOf(row).findIndex((p) => p.id === pageId);
    return at < 0 ? 'the whole sheet' : `page ${at + 1}`;
  }

  protected async choose(files: readonly File[]): Promise<void> {
    const key = `sheets ${this.clock.newId()}`;
    await this.scans.read(files, this.papers.room(), (assets) => this.papers.take(assets, key));
  }

  protected look(at: number): void {
    this.at.set(at);
  }

  protected put(to: Target): void {
    const assetId = this.now();
    if (!assetId) return;
    if (!this.papers.place([{ assetId, to }])) {
      this.notice.wrong(`${to.row.name} has as many sheets as there can be`, 'Take one off first.');
      return;
    }
    this.wanted.set('');
  }

  /** The learner who is found first: on the first of their pages that has none. */
  protected putFound(): void {
    const [row] = this.found();
    if (!row || !this.wanted().trim()) return;
    const page = pagesOf(row).find((p) => !placedOn(row, p.id));
    this.put({ row, pageId: page?.id ?? '' });
  }

  protected putAll(): void {
    const o = this.inOrder();
    if (!o) return;
    const n = this.papers.place(o.all);
    this.notice.done(counted(n, '{n} sheet placed', '{n} sheets placed'), 'Look whether each is where it belongs.');
  }

  protected takeOff(row: Row, page: PaperPage): void {
    this.at.set(0);
    this.papers.takeOff(row, page);
    this.onceDrawn(() => this.host.nativeElement.querySelector<HTMLElement>('.now button, .now a')?.focus());
  }

  protected async turn(way: 1 | -1): Promise<void> {
    const assetId = this.now();
    const kept = this.work.assets()[assetId];
    if (!kept) return;
    const asset = await this.scans.turned(kept, way);
    if (asset) this.papers.replace(assetId, asset);
    else this.notice.wrong('The picture could not be turned', 'Choose the file once more.');
  }
}

/** The pages that the learner has. */
const pagesOf = (row: Row) => row.frozen.content.pages.filter((p) => (p.audience ?? 'learner') === 'learner');
/** Whether the go that is open for them, or was last, was answered at the desk. */
const isAtDesk = (row: Row): boolean =>
  row.response?.decision !== 'another go' && Object.values(row.go?.answers ?? {}).some((a) => !answerIsEmpty(a));
/** What is placed on the go that the next sheet belongs to: of one that is to be done once more, nothing is. */
const paperOf = (row: Row): readonly PaperPage[] =>
  row.response?.decision === 'another go' ? [] : (row.response?.paper ?? []);
const placedOn = (row: Row, pageId: string): number => paperOf(row).filter((p) => p.pageId === pageId).length;
