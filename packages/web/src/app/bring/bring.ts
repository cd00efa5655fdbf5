import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Audience, type Block, forLearner, keyWordsOf } from '@lorvet/core';
import { QUESTION_FIELD_LABELS, QUESTION_FIELDS, type QuestionField } from '@lorvet/core/intake';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { LearnerBlockView } from '../ui/blocks/learner-block';
import { CheckBox } from '../ui/controls/check';
import { FOLD } from '../ui/controls/fold';
import { SELECT } from '../ui/controls/select';
import { FileButton } from '../ui/file-button';
import { Near } from '../ui/near';
import { Notice } from '../ui/notice';
import { BringState } from './bring-state';
import { isQuestion } from './brought';
import { type As } from './review';
import type { KeptAsset } from '../platform/storage/kept-asset';
import { ProblemCard } from '../ui/problem';
import { ProgressLine } from '../ui/progress';
import { counted } from '../platform/many';

/** What a decision is turned into, on its button. */
const TURNED: Readonly<Record<Audience, string>> = {
  learner: 'No, it is for learners',
  key: 'It is the answer key',
  teacher: 'It is for me only',
};

/** Proposals drawn at first, and at each further step. */
const SHOWN = 40;

/** Where what a teacher owns already comes in: a file is read, looked over, and taken or left. */
@Component({
  selector: 'lv-bring',
  imports: [
    ProgressLine,
    ProblemCard,
    ButtonDirective,
    CheckBox,
    FileButton,
    InputText,
    LearnerBlockView,
    LucideDynamicIcon,
    Near,
    RouterLink,
    ...FOLD,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:paste)': 'pasted($event)' },
  templateUrl: './bring.html',
  styleUrl: './bring.css',
})
export class Bring {
  protected readonly counted = counted;
  /** The master it is for; a new one where none is named. */
  readonly into = input<string>();
  protected readonly state = inject(BringState);
  protected readonly review = this.state.review;
  private readonly router = inject(Router);
  private readonly notice = inject(Notice);
  protected readonly over = signal(false);
  protected readonly target = signal<string | null>(null);
  protected readonly fields = QUESTION_FIELDS.map((field) => ({ field, label: QUESTION_FIELD_LABELS[field] }));
  protected readonly ways: readonly { as: As; label: string }[] = [
    { as: 'blocks', label: 'as blocks that flow' },
    { as: 'picture', label: 'as a picture, with answer places on it' },
    { as: 'leave', label: 'not at all' },
  ];
  protected readonly pageNumbers = computed(() => Array.from({ length: this.state.pdf.count() }, (_, i) => i + 1));
  protected readonly masters = computed(() => this.state.families().map((f) => ({ id: f.id, title: f.title })));
  protected readonly where = computed(() => this.target() ?? this.into() ?? '');
  protected readonly canBePicture = computed(() => this.state.pdf.here() || this.review.page()?.pictureOnly);
  protected readonly proposals = computed(() => {
    const page = this.review.page();
    if (!page) return [];
    const choice = this.review.choiceOf(page.n);
    return page.proposals.slice(0, this.most()).map((p) => ({
      ...p,
      question: isQuestion(p),
      yes: choice.accepted.has(p.id),
      shown: this.shown(p.block),
      picture: this.pictureIn(p.block),
      keys: keyWordsOf(p.block).join(' / '),
    }));
  });
  /** How many proposals of the page are drawn: a long document opens at once. */
  protected readonly most = linkedSignal({ source: () => this.review.at(), computation: () => SHOWN });
  protected readonly hidden = computed(() => Math.max(0, (this.review.page()?.proposals.length ?? 0) - this.most()));

  /** What was decided on this page of the file, and what might have been. */
  protected readonly decisions = computed(() => {
    const page = this.review.page();
    const proposed = this.review.reading()?.proposed;
    if (!page || !proposed || !this.review.reading()?.canTurn) return [];
    const near = (proposed.near ?? []).filter(
      (d) => d.id.startsWith(`${page.page}.`) && (page.audience === 'learner' || this.review.isTurned(d)),
    );
    return [...(page.decided ? [page.decided] : []), ...near].map((d) => ({
      d,
      turn: this.review.isTurned(d) ? 'Decide as before' : TURNED[d.or],
    }));
  });

  /** Whether the page is shown as a learner gets it. */
  protected readonly asLearner = signal(false);
  protected readonly learners = computed(() => {
    const page = this.review.page();
    if (!page || !this.asLearner()) return [];
    return this.state
      .pagesTaken(page)
      .filter((p) => (p.audience ?? 'learner') === 'learner')
      .map((p) => ({
        id: p.id,
        title: p.title,
        blocks: p.blocks
          .filter((b) => b.audience === 'learner')
          .map((b) => ({ id: b.id, shown: this.shown(b), picture: this.pictureIn(b), place: p.places?.[b.id] })),
      }));
  });

  private readonly stripLength = signal(SHOWN);
  /** The pages listed so far: a long file opens at once. */
  protected readonly strip = computed(() => this.review.pages().slice(0, this.stripLength()));

  protected growStrip(): void {
    this.stripLength.update((n) => n + SHOWN);
  }

  protected showMore(): void {
    this.most.update((n) => n + SHOWN);
  }

  /** The page as it stands in the file, where it has a look of its own. */
  protected readonly looks = computed(() => {
    const page = this.review.page();
    if (!page) return null;
    const large = this.state.pdf.large();
    if (this.state.pdf.here())
      return large?.n === page.page ? large.url : (this.state.pdf.thumbs().get(page.page) ?? null);
    const asset = page.pictureOnly ? this.review.reading()?.pictures[page.page - 1] : null;
    return asset ? this.urlOf(asset) : null;
  });

  private readonly urls = new Map<string, string>();

  constructor() {
    inject(DestroyRef).onDestroy(() => this.urls.forEach((url) => URL.revokeObjectURL(url)));
    effect(() => {
      const n = this.state.step() === 'review' ? this.review.page()?.page : undefined;
      if (n !== undefined) untracked(() => void this.state.pdf.enlarge(n));
    });
  }

  protected async dropped(event: DragEvent): Promise<void> {
    event.preventDefault();
    this.over.set(false);
    await this.state.choose([...(event.dataTransfer?.files ?? [])]);
  }

  protected async pasted(event: ClipboardEvent): Promise<void> {
    const files = [...(event.clipboardData?.files ?? [])].filter((f) => f.type.startsWith('image/'));
    if (files.length && this.state.step() === 'choose') await this.state.choose(files);
  }

  protected toggle(n: number): void {
    const chosen = new Set(this.state.pdf.chosen());
    if (!chosen.delete(n)) chosen.add(n);
    this.state.pdf.chosen.set(chosen);
  }

  protected allPages(yes: boolean): void {
    this.state.pdf.chosen.set(new Set(yes ? this.pageNumbers() : []));
  }

  protected column(at: number, value: string): void {
    const field = QUESTION_FIELDS.find((f) => f === value) ?? null;
    // Only choices may stand in several columns.
    this.state.columns.set(
      this.state
        .columns()
        .map((c, i) => (i === at ? field : c === field && field !== 'choice' ? null : (c as QuestionField | null))),
    );
  }

  protected setAs(value: string): void {
    const page = this.review.page();
    const way = this.ways.find((w) => w.as === value);
    if (page && way) this.review.change(page.n, { as: way.as });
  }

  protected setAudience(value: string): void {
    const page = this.review.page();
    // What was set apart is read for its questions where it is the learners' after all.
    if (page?.decided && page.audience !== 'learner' && value === 'learner') void this.state.turn(page.decided);
    else if (page && (value === 'learner' || value === 'teacher' || value === 'key'))
      this.review.change(page.n, { audience: value });
  }

  protected async take(): Promise<void> {
    const id = await this.state.take(this.where() || null);
    if (!id) return;
    const n = this.review.taken().length;
    this.notice.done(counted(n, '{n} page brought in', '{n} pages brought in'), 'One undo takes them back.');
    await this.router.navigate(['/bench', id]);
    this.state.reset();
  }

  private shown(block: Block) {
    // A picture of the file has no place in the store yet: it is shown from what was read.
    if (block.kind === 'teacher-note' || block.kind === 'picture') return null;
    return forLearner(block);
  }

  private pictureIn(block: Block): string | null {
    if (block.kind !== 'picture') return null;
    const reading = this.review.reading();
    const at = /^picture:(\d+)$/.exec(block.assetId)?.[1];
    const asset =
      at === undefined ? reading?.pictures.find((p) => p?.id === block.assetId) : reading?.pictures[Number(at)];
    return asset ? this.urlOf(asset) : null;
  }

  /** Pictures of the file have addresses of their own while it is looked over: they are not kept yet. */
  private urlOf(asset: KeptAsset): string {
    let url = this.urls.get(asset.id);
    if (!url) this.urls.set(asset.id, (url = URL.createObjectURL(asset.data)));
    return url;
  }
}
