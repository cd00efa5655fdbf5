import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { derive, labelOf, latest, questionNumbers, snippet, wordsOf } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { localDay } from '../../platform/local-day';
import { Speech } from '../../platform/speech';
import type { PicturePlace, WholeWay } from '../../platform/way-desk';
import { holdFamily } from '../../store/hold-family';
import { WorkspaceStore } from '../../store/workspace';
import { FOLD } from '../../ui/controls/fold';
import { SELECT } from '../../ui/controls/select';
import { Empty } from '../../ui/empty';
import { inStages } from '../../ui/in-stages';
import { TABLE } from '../../ui/table/table';
import { dayIn, daysReady } from '../../ui/when';
import { EvidenceHead } from '../evidence-head';
import { WayWork } from '../way-work';
import { DrawnWay } from './drawn-way';
import { FindSheet } from './find-sheet';
import { graphOf, inWords, onTheWay, rowsOf, wentSaid } from './graph';
import { WhatIf } from './what-if';

const COLUMNS = [
  { field: 'name', name: 'Learner' },
  { field: 'wording', name: 'Wording' },
  { field: 'words', name: 'In these words' },
  { field: 'title', name: 'Hand-out' },
  { field: 'givenAt', name: 'Given' },
  { field: 'answer', name: 'Answered' },
  { field: 'went', name: 'How it went' },
] as const;

/** What the address of a place's way says. */
const queryOf = (p: PicturePlace, picture: string | undefined): object => ({
  ...{ family: p.familyId, block: p.blockId, version: p.versionId, handout: p.handOutId, picture },
});

/** Follows any word from the master to a learner's answer, and back. */
@Component({
  selector: 'lv-the-way',
  imports: [
    ButtonDirective,
    DrawnWay,
    Empty,
    EvidenceHead,
    FindSheet,
    RouterLink,
    WhatIf,
    ...FOLD,
    ...SELECT,
    ...TABLE,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './the-way.html',
  styleUrl: './the-way.css',
})
export class TheWay {
  /** From the address: what is followed, and what of it is chosen first. */
  readonly family = input<string>();
  readonly block = input<string>();
  readonly version = input<string>();
  readonly learner = input<string>();
  readonly handout = input<string>();
  /** A picture or recording that is followed: where it is shown first, then the way of that. */
  readonly picture = input<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly router = inject(Router);
  private readonly ways = inject(WayWork);
  private readonly speech = inject(Speech);
  protected readonly columns = [...COLUMNS];
  protected readonly dayOf = (iso: string): string => dayIn(localDay(iso));

  /** A picture is looked for, and nothing is followed yet. */
  protected readonly seeks = computed(() => !!this.picture() && !this.block());
  /** Nothing that is kept here shows the picture. */
  protected readonly isNowhere = signal(false);
  protected readonly familyId = computed(() => {
    if (this.seeks()) return '';
    const all = this.work.familyHeads();
    return all.find((f) => f.id === this.family())?.id ?? (this.family() ? '' : (all[0]?.id ?? ''));
  });
  protected readonly families = this.work.familyHeads;
  private readonly isHeld = holdFamily(() => this.familyId());
  private readonly kept = computed(() => {
    const all = this.work.doc().families;
    const id = this.familyId();
    return this.isHeld() && Object.hasOwn(all, id) ? all[id] : undefined;
  });
  /** Pages of the master, then what versions added, each with its parts. */
  protected readonly pages = computed(() => {
    const family = this.kept();
    if (!family) return [];
    const { content } = latest(family);
    const numbers = questionNumbers(content.pages);
    const known = new Set<string>();
    const partsOf = (blocks: (typeof content.pages)[number]['blocks']) =>
      blocks.map((b) => {
        known.add(b.id);
        const n = numbers.get(b.id);
        const words = wordsOf(b).find((w) => w.text)?.text ?? '';
        return { id: b.id, says: `${n ? `${n}. ` : ''}${labelOf(b)}${words ? `: ${snippet(words, 70)}` : ''}` };
      });
    const own = content.pages.map((p) => ({ id: p.id, title: p.title, parts: partsOf(p.blocks) }));
    const added = family.versions.flatMap((v) => {
      const blocks = derive(family, v.id).content.pages.flatMap((p) => p.blocks.filter((b) => !known.has(b.id)));
      return blocks.length ? [{ id: `added ${v.id}`, title: `Added by ${v.name}`, parts: partsOf(blocks) }] : [];
    });
    return [...own, ...added].filter((p) => p.parts.length > 0);
  });
  protected readonly page = computed(() => {
    const all = this.pages();
    return all.find((p) => p.parts.some((x) => x.id === this.block())) ?? all[0];
  });
  protected readonly blockId = computed(() => this.block() ?? this.page()?.parts[0]?.id ?? '');

  /** As it was read last; null where nothing has it, undefined until it was. */
  private readonly read = signal<WholeWay | null | undefined>(undefined);
  protected readonly failed = signal(false);
  protected readonly whole = computed(() => {
    const w = this.read();
    return w && w.way.familyId === this.familyId() && w.way.blockId === this.blockId()
      ? w
      : w === null
        ? null
        : undefined;
  });
  protected readonly places = signal<readonly (PicturePlace & { readonly query: object })[]>([]);
  protected readonly chosen = signal('');
  private readonly says = { name: (id: string) => this.nameOf(id), day: (iso: string) => this.dayOf(iso) };
  protected readonly graph = computed(() => {
    const w = this.whole();
    return w ? graphOf(w.way, this.chosen(), this.says) : null;
  });
  protected readonly on = computed(() => {
    const w = this.whole();
    return w ? onTheWay(w.way, this.chosen()) : null;
  });
  protected readonly said = computed(() => {
    const w = this.whole();
    return w ? inWords(w.way, this.chosen(), this.says) : [];
  });
  protected readonly rows = computed(() => {
    const w = this.whole();
    if (!w) return [];
    const wordings = new Map(w.way.wordings.map((x) => [x.n, x.words]));
    return rowsOf(w.way, this.chosen()).map((r, i) => ({
      ...r,
      id: `${i}`,
      name: this.nameOf(r.learnerId),
      words: snippet(wordings.get(r.wording) ?? '', 120),
      went: wentSaid(r),
      given: this.dayOf(r.givenAt),
    }));
  });
  /** Parts of the page come one frame after the other. */
  protected readonly head = inStages(() => this.families().length > 0, 4);
  protected readonly stage = inStages(() => !!this.whole(), 7);
  protected readonly links = computed(() => this.linksOf(this.chosen()));

  private hush: (() => void) | null = null;
  protected readonly isAloud = signal(false);

  constructor() {
    inject(DestroyRef).onDestroy(() => this.hush?.());
    effect(() => {
      const [familyId, blockId] = [this.familyId(), this.blockId()];
      // What is given and done meanwhile is followed anew.
      this.work.states();
      this.work.handOutHeads();
      if (this.kept() && familyId && blockId) untracked(() => void this.follow(familyId, blockId));
    });
    effect(() => {
      const picture = this.picture();
      if (picture && this.seeks()) untracked(() => void this.seek(picture));
    });
    // Rows are made out in a frame of their own, before the table is drawn.
    effect(() => void (this.stage() >= 6 && this.rows()));
    effect(() => {
      const { learner, handout, version } = {
        learner: this.learner(),
        handout: this.handout(),
        version: this.version(),
      };
      this.blockId();
      this.chosen.set(learner ? `l ${learner}` : handout ? `h ${handout}` : version ? `v ${version}` : '');
    });
  }

  /** To the first place that shows it. */
  private async seek(picture: string): Promise<void> {
    this.isNowhere.set(false);
    try {
      const [first] = await this.ways.picture(picture);
      if (picture !== this.picture() || !this.seeks()) return;
      if (!first) this.isNowhere.set(true);
      else await this.router.navigate(['/evidence/way'], { queryParams: queryOf(first, picture), replaceUrl: true });
    } catch {
      this.failed.set(true);
    }
  }

  private async follow(familyId: string, blockId: string): Promise<void> {
    if (this.whole() === undefined) this.places.set([]);
    try {
      const [whole] = await Promise.all([this.ways.way(familyId, blockId), daysReady()]);
      if (familyId !== this.familyId() || blockId !== this.blockId()) return;
      this.failed.set(false);
      this.read.set(whole);
      const asset = this.picture() ?? whole?.way.assetIds[0];
      const places = asset ? await this.ways.picture(asset) : [];
      if (familyId !== this.familyId() || blockId !== this.blockId()) return;
      this.places.set(
        places
          .filter((p) => p.familyId !== familyId || p.blockId !== blockId)
          .map((p) => ({ ...p, query: queryOf(p, asset) })),
      );
    } catch {
      this.failed.set(true);
    }
  }

  private nameOf(id: string): string {
    return this.work.people().learners.find((l) => l.id === id)?.name ?? 'A removed learner';
  }

  private linksOf(node: string): { readonly name: string; readonly link: readonly string[]; readonly query: object }[] {
    const w = this.whole();
    if (!w) return [];
    const { familyId, blockId } = w.way;
    const [sort, id] = [node.slice(0, 2), node.slice(2)];
    const bench = { name: 'On the Bench', link: ['/bench', familyId], query: { block: blockId } };
    if (sort === 'v ')
      return w.way.versions.some((v) => v.versionId === id) ? [{ ...bench, link: ['/bench', familyId, id] }] : [];
    if (sort === 'h ')
      return [
        { name: 'The hand-out', link: ['/hand-outs', id], query: {} },
        { name: 'Its marking', link: ['/marking', id], query: {} },
      ];
    if (sort === 'l ') {
      const last = w.way.had.findLast((h) => h.learnerId === id);
      return [
        { name: 'Evidence', link: ['/evidence/of', id], query: last ? { work: last.handOutId } : {} },
        ...(last ? [{ name: 'The work', link: ['/marking', last.handOutId, 'work'], query: { learner: id } }] : []),
      ];
    }
    return w.way.isInMaster && sort !== 'w ' ? [bench] : [];
  }

  protected go(query: { readonly family?: string; readonly block?: string | undefined }): void {
    void this.router.navigate(['/evidence/way'], { queryParams: query });
  }
  protected toPage(id: string): void {
    this.go({ family: this.familyId(), block: this.pages().find((p) => p.id === id)?.parts[0]?.id });
  }

  protected aloud(): void {
    if (this.hush) {
      this.hush();
      this.quiet();
      return;
    }
    this.isAloud.set(true);
    this.hush = this.speech.say(
      this.said().join(' '),
      { lang: 'en', speed: 1, voice: '' },
      { word: () => undefined, end: () => this.quiet() },
    );
  }

  private quiet(): void {
    this.hush = null;
    this.isAloud.set(false);
  }
}
