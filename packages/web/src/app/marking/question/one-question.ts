import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { answerIsEmpty, findBlock, forLearner, isItem, keyWordsOf, type Verdict } from '@lorvet/core';
import type { Alike, Gathered } from '@lorvet/core/marking';
import { ButtonDirective } from 'primeng/button';
import { counted, many } from '../../platform/many';
import { LearnerBlockView } from '../../ui/blocks/learner-block';
import { CheckBox } from '../../ui/controls/check';
import { SELECT } from '../../ui/controls/select';
import { growing } from '../../ui/growing';
import { IconButton } from '../../ui/icon-button';
import { Near } from '../../ui/near';
import { onceDrawn } from '../../ui/once-drawn';
import { SwatchMark } from '../../ui/swatch';
import { Accepting } from '../answer/accepting';
import type { Given } from '../answering';
import { Gathering } from './gathering';
import { MarkingHead } from '../head';
import { MarkingHere } from '../here';
import { NotHere } from '../not-here';
import { PaperPages } from '../paper/paper-pages';
import { type Row } from '../row';
import { sentence, SIGNS } from '../signs';

/** Heaps that are drawn at once. */
const HEAPS = 8;
/** Names of one heap that are shown. */
const NAMES = 8;

interface Heap extends Alike {
  readonly id: string;
  readonly rows: readonly Row[];
}

/** All answers to one question, whichever version it was asked in: alike ones lie together and are marked together. */
@Component({
  selector: 'lv-one-question',
  imports: [
    Accepting,
    ButtonDirective,
    CheckBox,
    IconButton,
    LearnerBlockView,
    MarkingHead,
    NotHere,
    Near,
    PaperPages,
    RouterLink,
    SwatchMark,
    ...SELECT,
  ],
  providers: [MarkingHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './one-question.html',
  styleUrl: './one-question.css',
})
export class OneQuestion {
  readonly id = input.required<string>();
  /** The question: the address says it. */
  readonly item = input<string>();
  private readonly here = inject(MarkingHere);
  private readonly gathering = inject(Gathering);
  private readonly router = inject(Router);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly onceDrawn = onceDrawn();
  protected readonly table = this.here.table;
  protected readonly signs = SIGNS;
  protected readonly sentence = sentence;
  protected readonly many = many;
  protected readonly counted = counted;
  protected readonly given: readonly Given[] = ['right', 'partly', 'not-yet'];

  protected readonly itemId = computed(() => {
    const wanted = this.item();
    const all = this.table.columns();
    return all.some((c) => c.id === wanted) ? (wanted ?? '') : (all[0]?.id ?? '');
  });
  protected readonly at = computed(() => this.table.columns().findIndex((c) => c.id === this.itemId()));
  protected readonly name = computed(() => {
    const c = this.table.columns()[this.at()];
    return c ? (c.added ? 'a question added by versions' : `question ${c.name}`) : '';
  });

  /** Who has the question, with their answer. */
  private readonly asked = computed(() => this.table.rows().filter((r) => r.cellOf(this.itemId()).item));
  private readonly answered = computed(() => this.asked().filter((r) => !answerIsEmpty(r.go?.answers[this.itemId()])));
  /** Who did it on paper: each is looked at by itself. */
  private readonly onPaper = computed(() =>
    this.asked().filter((r) => answerIsEmpty(r.go?.answers[this.itemId()]) && r.sheetsWith(this.itemId()).length > 0),
  );
  protected readonly blank = computed(() => {
    const there = new Set([...this.answered(), ...this.onPaper()]);
    return this.asked().flatMap((r) => (there.has(r) ? [] : [r.name]));
  });

  /** What lies together, by what was answered alone: a mark moves nothing. */
  private readonly gathered = signal<{ readonly of: string; readonly heaps: readonly Alike[] }>({ of: '', heaps: [] });
  private readonly all = computed((): readonly Heap[] => {
    const { of, heaps } = this.gathered();
    if (of !== this.itemId()) return [];
    const rows = new Map(this.table.rows().map((r) => [r.learnerId, r]));
    const all = heaps.flatMap((h) => {
      const own = h.keys.flatMap((k) => rows.get(k) ?? []);
      return own.length ? [{ ...h, id: h.keys[0] ?? '', rows: own }] : [];
    });
    // What was the teacher's to mark when it was gathered comes first, and stays there.
    return [...all.filter((h) => h.verdicts.yours), ...this.heapsOnPaper(), ...all.filter((h) => !h.verdicts.yours)];
  });

  protected readonly onlyOpen = signal(false);
  /** Which heaps are shown is settled when it is asked for: what is marked stays where it is. */
  private readonly kept = signal<ReadonlySet<string> | null>(null);
  protected readonly heaps = computed(() => {
    const kept = this.kept();
    return kept ? this.all().filter((h) => kept.has(h.id)) : this.all();
  });
  protected readonly drawn = growing(() => this.itemId(), HEAPS, 3 * HEAPS);
  protected readonly chosen = signal(0);

  protected readonly shown = computed(() => {
    const id = this.itemId();
    const commonKey = this.commonKey();
    return this.heaps()
      .slice(0, this.drawn.budget())
      .map((h) => {
        const cells = h.rows.map((r) => r.cellOf(id));
        const verdicts = new Set(cells.map((c) => c.verdict));
        const [first] = h.rows;
        const item = cells[0]?.item;
        const answer = first?.go?.answers[id];
        const versions = new Map(h.rows.map((r) => [r.frozen.versionId ?? '-', r.frozen]));
        const names = h.rows.slice(0, NAMES).map((r) => r.name);
        const more = h.rows.length - names.length;
        const verdict: Verdict | '' = verdicts.size === 1 ? (([...verdicts][0] as Verdict | undefined) ?? '') : '';
        return {
          ...h,
          also: h.also
            .slice(0, 6)
            .map((w) => `“${w}”`)
            .join(', '),
          forKey: h.accepted === commonKey ? '' : h.accepted,
          names: names.join(', ') + (more ? ` and ${more} more` : ''),
          swatches: [...versions].map(([vid, f]) => ({ id: vid, swatch: f.swatch, name: f.versionName })),
          verdict,
          byTeacher: cells.every((c) => c.byTeacher),
          paper: answer ? [] : (first?.sheetsWith(id) ?? []),
          seen: !h.inWords && item && answer ? { block: forLearner(item), answer } : null,
          says: `${h.words || names.join(', ')}: ${many(h.rows.length, 'answer')}, ${verdict ? SIGNS[verdict].says : 'marked in several ways'}`,
        };
      });
  });
  /** Learners whose answer nobody has judged. */
  protected readonly open = computed(() =>
    [...this.answered(), ...this.onPaper()].filter((r) => r.cellOf(this.itemId()).verdict === 'yours'),
  );
  protected readonly heapRow = computed(() => this.heaps()[this.chosen()]?.rows[0]);

  private readonly commonKey = computed(() => {
    const count = new Map<string, number>();
    for (const h of this.gathered().heaps) count.set(h.accepted, (count.get(h.accepted) ?? 0) + h.keys.length);
    return [...count].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
  });
  protected readonly wordings = computed(() => {
    const out = new Map<string, { words: string; key: string; versions: Map<string, Row['frozen']> }>();
    for (const r of this.asked()) {
      const { item } = r.cellOf(this.itemId());
      if (!item) continue;
      const key = keyWordsOf(item).join(' / ');
      // As it stands on the sheet before a name is filled in: that makes no other wording.
      const shared = findBlock(r.base.content, item.id)?.block;
      const words = shared && isItem(shared) ? shared.prompt : item.prompt;
      const at = `${words}\n${key}`;
      const w = out.get(at) ?? { words, key, versions: new Map() };
      w.versions.set(r.frozen.versionId ?? '-', r.frozen);
      out.set(at, w);
    }
    return [...out.values()].map((w) => ({
      words: w.words,
      key: w.key,
      versions: [...w.versions].map(([id, f]) => ({ id, swatch: f.swatch, name: f.versionName })),
    }));
  });
  protected readonly byVersion = computed(() => {
    const out = new Map<string, { frozen: Row['frozen']; had: number; right: number; open: number }>();
    for (const r of [...this.answered(), ...this.onPaper()]) {
      const id = r.frozen.versionId ?? '-';
      const v = out.get(id) ?? { frozen: r.frozen, had: 0, right: 0, open: 0 };
      const { verdict } = r.cellOf(this.itemId());
      out.set(id, {
        ...v,
        had: v.had + 1,
        right: v.right + Number(verdict === 'right'),
        open: v.open + Number(verdict === 'yours'),
      });
    }
    return [...out].map(([id, { frozen, ...v }]) => ({ id, name: frozen.versionName, swatch: frozen.swatch, ...v }));
  });

  constructor() {
    effect(() => this.here.id.set(this.id()));
    // What was answered, and the keys: gathered anew when either is another.
    const signature = computed(() =>
      this.answered()
        .map((r) => [r.learnerId, r.go?.n, JSON.stringify(r.go?.answers[this.itemId()]), r.frozen.id].join(' '))
        .concat(JSON.stringify(this.table.handOut()?.accepted ?? []))
        .join('\n'),
    );
    effect((onCleanup) => {
      signature();
      const id = this.itemId();
      let isOld = false;
      onCleanup(() => (isOld = true));
      untracked(() => {
        const given = this.answered().flatMap((r): Gathered[] => {
          const { item, verdict } = r.cellOf(id);
          const answer = r.go?.answers[id];
          return item && answer ? [{ key: r.learnerId, item, answer, verdict: verdict as Verdict }] : [];
        });
        void this.gathering.alike(given).then((heaps) => {
          if (!isOld) this.gathered.set({ of: id, heaps });
        });
      });
    });
    effect(() => {
      const on = this.onlyOpen();
      this.gathered();
      untracked(() => {
        const id = this.itemId();
        const isOpen = (h: Heap) => h.rows.some((r) => r.cellOf(id).verdict === 'yours');
        this.kept.set(
          on
            ? new Set(
                this.all()
                  .filter(isOpen)
                  .map((h) => h.id),
              )
            : null,
        );
      });
    });
    effect(() => {
      this.itemId();
      untracked(() => this.chosen.set(0));
    });
  }

  private heapsOnPaper(): Heap[] {
    return this.onPaper().map((row) => ({
      id: `paper ${row.learnerId}`,
      words: '',
      also: [],
      accepted: '',
      keys: [row.learnerId],
      verdicts: {},
      inWords: false,
      rows: [row],
    }));
  }

  protected go(item: string): void {
    void this.router.navigate([], { queryParams: { item }, replaceUrl: true });
  }

  protected step(by: -1 | 1): void {
    const next = this.table.columns()[this.at() + by];
    if (next) this.go(next.id);
  }

  protected mark(at: number, verdict: Given): void {
    const heap = this.heaps()[at];
    if (heap) this.here.answering.markAll(heap.rows, this.itemId(), verdict);
  }

  /** All that nobody has judged yet. */
  protected markRest(verdict: Given): void {
    this.here.answering.markAll(this.open(), this.itemId(), verdict);
  }

  protected keyed(event: KeyboardEvent): void {
    const at = event.target;
    if (!(at instanceof HTMLElement) || event.altKey || event.ctrlKey || event.metaKey) return;
    const move = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    const verdict = at.matches('[data-heap]') ? this.given[Number(event.key) - 1] : undefined;
    if (verdict) this.mark(this.chosen(), verdict);
    else if (!move) return;
    event.preventDefault();
    this.lead(verdict ? 1 : (move ?? 0));
  }

  private lead(by: number): void {
    const to = Math.max(0, Math.min(this.heaps().length - 1, this.chosen() + by));
    this.chosen.set(to);
    this.drawn.reach(to + 1);
    this.onceDrawn(() => {
      const heap = this.host.nativeElement.querySelector<HTMLElement>(`[data-heap="${to}"]`);
      heap?.focus({ preventScroll: true });
      heap?.scrollIntoView({ block: 'nearest' });
    });
  }
}
