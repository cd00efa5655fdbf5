import { ChangeDetectionStrategy, Component, computed, inject, model } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { type Block, type Id, labelOf, latest, takenTogether, wordsOf } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { CheckBox } from '../ui/controls/check';
import { FOLD } from '../ui/controls/fold';
import { SELECT } from '../ui/controls/select';
import { valueOf } from '../ui/controls/value-of';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { holdFamily } from '../store/hold-family';
import { BenchView } from './bench-view';
import { many } from '../platform/many';

/** What a block is called in a list to pick from: its kind, and how its words begin. */
const called = (b: Block): string => {
  const text = wordsOf(b)[0]?.text ?? '';
  return text.length > 60 ? `${text.slice(0, 59)}…` : text;
};

const manyIfAny = (n: number, word: string): string => (n ? many(n, word) : '');

/** Brings pages and blocks of another activity into a version, at a chosen place; they follow their source, or stay. */
@Component({
  selector: 'lv-from-elsewhere',
  imports: [ButtonDirective, CheckBox, DIALOG, ReactiveFormsModule, ...FOLD, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './from-elsewhere.html',
  styleUrl: './from-elsewhere.css',
})
export class FromElsewhere {
  readonly open = model(false);
  private readonly view = inject(BenchView);
  private readonly clock = inject(Clock);
  protected readonly called = called;
  protected readonly labelOf = labelOf;
  protected readonly many = many;
  protected readonly form = new FormGroup({
    /** The first of all until somebody chooses. */
    familyId: new FormControl<Id | null>(null),
    /** Pages and blocks, by id. */
    picked: new FormControl<ReadonlySet<Id>>(new Set(), { nonNullable: true }),
    follow: new FormControl(true, { nonNullable: true }),
    /** Places asked for; null until somebody chooses, '' for the first. */
    afterPage: new FormControl<Id | null>(null),
    toPage: new FormControl<Id | null>(null),
    afterBlock: new FormControl<Id | null>(null),
  });
  private readonly asked = valueOf(this.form);
  protected readonly picked = computed(() => this.asked().picked);

  protected readonly families = computed(() =>
    this.view.work
      .familyHeads()
      .filter((f) => f.id !== this.view.familyId())
      .map((f) => ({ id: f.id, title: f.title })),
  );
  protected readonly chosen = computed(() => this.asked().familyId ?? this.families()[0]?.id ?? '');
  protected readonly ready = holdFamily(() => (this.open() ? this.chosen() : null));
  protected readonly source = computed(() => {
    const family = this.view.work.families()[this.chosen()];
    return family && { familyId: family.id, revision: latest(family).n, content: latest(family).content };
  });
  protected readonly here = computed(() => this.view.derived()?.whole.pages ?? []);
  /** The page that blocks go to: the one asked for, the one of the chosen block, or the last. */
  protected readonly onPage = computed(() => {
    const pages = this.here();
    const chosen = this.view.chosen();
    return (
      pages.find((p) => p.id === this.asked().toPage) ??
      pages.find((p) => p.blocks.some((b) => b.id === chosen)) ??
      pages.at(-1)
    );
  });
  protected readonly pageBefore = computed(() => this.asked().afterPage ?? this.here().at(-1)?.id ?? '');
  protected readonly blockBefore = computed(() => {
    const blocks = this.onPage()?.blocks ?? [];
    return this.asked().afterBlock ?? (blocks.find((b) => b.id === this.view.chosen()) ?? blocks.at(-1))?.id ?? '';
  });
  /** How many pages and, beside them, how many single blocks are picked. */
  protected readonly taking = computed(() => {
    const picked = this.picked();
    const pages = this.source()?.content.pages ?? [];
    return {
      pages: pages.filter((p) => picked.has(p.id)).length,
      blocks: pages.filter((p) => !picked.has(p.id)).flatMap((p) => p.blocks.filter((b) => picked.has(b.id))).length,
    };
  });
  protected readonly what = computed(() => {
    const { pages, blocks } = this.taking();
    return [manyIfAny(pages, 'page'), manyIfAny(blocks, 'block')].filter(Boolean).join(' and ');
  });

  constructor() {
    const { familyId, picked, toPage, afterBlock } = this.form.controls;
    familyId.valueChanges.pipe(takeUntilDestroyed()).subscribe(() => picked.reset());
    toPage.valueChanges.pipe(takeUntilDestroyed()).subscribe(() => afterBlock.reset());
  }

  protected toggle(id: Id): void {
    const next = new Set(this.picked());
    if (!next.delete(id)) next.add(id);
    this.form.controls.picked.setValue(next);
  }

  protected take(): void {
    const source = this.source();
    if (!source || !this.what()) return;
    const place = {
      afterPage: this.pageBefore() || null,
      onPage: this.onPage()?.id ?? null,
      afterBlock: this.blockBefore() || null,
    };
    const drafts = takenTogether(source, this.picked(), place, () => this.clock.newId()).map((taken) => ({
      kind: 'from-activity' as const,
      follow: this.asked().follow,
      ...taken,
    }));
    const name = `${this.what()} from “${source.content.title}”`;
    this.view.recorded({ did: 'adjust', drafts, name }, name);
    const { familyId, follow } = this.asked();
    this.form.reset({ familyId, follow });
    this.open.set(false);
  }
}
