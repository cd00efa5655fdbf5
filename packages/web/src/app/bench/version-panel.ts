import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  type Adjustment,
  adjustmentKinds,
  type Asset,
  basisContent,
  type Block,
  BLOCK_KIND_NAMES,
  blockKinds,
  choicesToLeaveOut,
  classify,
  counts,
  derive,
  findBlock,
  freshBlock,
  isChoice,
  isItem,
  itemsOf,
  keyIdsOf,
  kindOfAdjustment,
  measurePages,
  originOf,
  personalFieldsIn,
  pictureIn,
  proposeWords,
  wordsAt,
  wordsIn,
} from '@lorvet/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type AdjustmentPatch, BenchActions } from '../store/actions';
import { BenchView, nameOf, numbersOf } from './bench-view';
import { measured } from '../ui/measured';
import { Take } from '../ui/blocks/take';
import { PictureField } from '../ui/picture-field';
import { DoHere } from './do-here';
import { FromElsewhere } from './from-elsewhere';
import { MeasuresTable } from './measures-table';
import { VersionChain } from './version-chain';
import { WritingHelp } from './writing-help';

const ADDABLE = BLOCK_KIND_NAMES.filter((k) => k !== 'word-bank' && k !== 'picture');

/** Beside a version: what can be done here, what has been done, and what it comes to. */
@Component({
  selector: 'lv-version-panel',
  imports: [
    DoHere,
    FromElsewhere,
    MeasuresTable,
    LucideDynamicIcon,
    NgTemplateOutlet,
    PictureField,
    Take,
    VersionChain,
    WritingHelp,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './version-panel.html',
  styleUrl: './version-panel.css',
})
export class VersionPanel {
  protected readonly view = inject(BenchView);
  protected readonly counts = counts;
  protected readonly kinds = ADDABLE.map((kind) => ({ kind, label: blockKinds[kind].label }));
  private readonly state = computed(() => {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return null;
    const derived = derive(family, version.id);
    return { family, version, derived, basis: basisContent(family, version), classified: classify(family, version.id) };
  });
  protected readonly verdict = computed(() => this.state()?.classified ?? null);
  protected readonly masterMeasures = measured(() => {
    const s = this.state();
    return s && derive(s.family, null).content;
  });
  protected readonly measures = measured(() => this.state()?.derived.content);
  protected readonly headline = computed(() => {
    switch (this.verdict()?.judgement) {
      case 'modification':
        return 'A modification';
      case 'accommodation':
        return 'An accommodation';
      case 'addition':
        return 'More is asked';
      default:
        return 'As the master';
    }
  });

  protected readonly chosen = computed(() => {
    const s = this.state();
    const found = s && findBlock(s.derived.content, this.view.chosenInPanel() ?? '');
    if (!s || !found) return null;
    const { block, page } = found;
    const onBasis = findBlock(s.basis, block.id)?.block ?? block;
    const from = originOf(s.derived, block.id).from;
    const own = from !== 'master' && from.versionId === s.version.id;
    const most = isChoice(onBasis) ? onBasis.options.length : 0;
    const least = isChoice(onBasis) ? Math.max(1, keyIdsOf(onBasis).length) : 0;
    const bank = s.version.adjustments.find((a) => a.kind === 'word-bank' && a.page === page.id);
    return {
      block,
      page,
      onBasis,
      name: nameOf(block, numbersOf(derive(s.family, null).content).get(block.id) ?? 0),
      hint: isItem(block) ? (block.hint ?? '') : null,
      counts: most && !own ? Array.from({ length: most - least + 1 }, (_, i) => most - i) : [],
      count: isChoice(block) ? block.options.length : 0,
      bank: bank?.kind === 'word-bank' ? bank.words.join(', ') : '',
      proposed: proposeWords(page),
    };
  });

  protected readonly bringing = signal(false);
  /** The words of the chosen block that may be made easier, and the grade they should reach. */
  protected readonly writing = computed(() => {
    const s = this.state();
    const block = this.chosen()?.block;
    const field = block && ['text', 'prompt'].find((f) => wordsAt(block, f) !== undefined);
    const text = block && field ? wordsAt(block, field) : undefined;
    if (!s || !field || !text || wordsIn(text).length < 4) return null;
    const { learners } = this.view.work.people();
    // A personal version aims at its learner; any other at the middle of those who have it.
    const whom = s.version.learnerId ? [s.version.learnerId] : this.view.given();
    const grades = learners
      .filter((l) => whom.includes(l.id))
      .flatMap((l) => l.needs.readingGrade ?? [])
      .sort((a, b) => a - b);
    return { field, text, target: grades[Math.floor(grades.length / 2)] ?? null };
  });

  protected swapWord(block: Block, field: string, text: string, { from, to }: { from: string; to: string }): void {
    const word = new RegExp(`(?<![\\p{L}])${from}(?![\\p{L}])`, 'giu');
    const now = text.replace(word, (w) =>
      w.charAt(0) === w.charAt(0).toUpperCase() ? to.charAt(0).toUpperCase() + to.slice(1) : to,
    );
    this.view.recorded({ did: 'words', blockId: block.id, field, text: now }, `“${to}” for “${from}”`);
  }

  protected readonly selection = this.view.selection;

  protected replacePicture(onBasis: Block, assetId: string): void {
    const was = pictureIn(onBasis);
    if (was)
      this.view.recorded(
        { did: 'adjust', drafts: [{ kind: 'replace-picture', target: onBasis.id, was, now: { ...was, assetId } }] },
        'other picture',
      );
  }

  protected recordInstruction(onBasis: Block, asset: Asset): void {
    this.view.work.dispatch(BenchActions.pictureAdded({ asset }));
    const recording = { assetId: asset.id, what: 'sound' as const };
    const was = onBasis.kind === 'instruction' ? onBasis.text : '';
    this.view.recorded(
      { did: 'adjust', drafts: [{ kind: 'recorded-instruction', target: onBasis.id, recording, was }] },
      'recorded instruction',
    );
  }

  /** The adjustments that touched the chosen block; all of the version's where none is chosen. */
  protected readonly adjustments = computed(() => {
    const s = this.state();
    if (!s) return [];
    // What is chosen may just have been left out: then the whole version is spoken of.
    const id = this.chosen()?.block.id;
    const touched = id ? originOf(s.derived, id).touched.map((t) => t.adjustment.id) : [];
    // Those that are switched off touch nothing, and still speak of the block.
    const list = s.version.adjustments.filter(
      (a) => !id || touched.includes(a.id) || kindOfAdjustment(a).targets(a).includes(id),
    );
    return list.map((a) => ({
      a,
      label: a.name || adjustmentKinds[a.kind].label,
      sentence: kindOfAdjustment(a).describe(a, s.basis),
      verdict: s.classified.adjustments.get(a.id),
      report: s.derived.reports.find((r) => r.adjustmentId === a.id && r.versionId === s.version.id),
      by: `${a.author}, ${a.at.slice(0, 10)}`,
    }));
  });

  protected readonly pages = computed(() => {
    const s = this.state();
    const keep = s?.version.adjustments.find((a) => a.kind === 'keep-pages');
    return (s?.basis.pages ?? []).map((p) => ({
      id: p.id,
      title: p.title,
      facts: this.factsOf(p.id),
      kept: keep?.kind === 'keep-pages' ? keep.pages.includes(p.id) : !s?.derived.leftOut.has(p.id),
    }));
  });
  /** A page's own measures, as the version has it. */
  private factsOf(pageId: string): string {
    const page = this.state()?.derived.content.pages.find((p) => p.id === pageId);
    if (!page) return '';
    const m = measurePages([page], []);
    const grade = m.readability.figures.kincaid;
    return `${m.items} items, ${m.words} words${grade === undefined ? '' : `, grade ${grade.toFixed(1)}`}`;
  }
  protected readonly personal = computed(() => {
    const s = this.state();
    if (!s) return null;
    const filled = s.version.adjustments.some((a) => a.kind === 'personal-fields');
    return { filled, fields: personalFieldsIn(s.derived.content).map((f) => `[${f}]`) };
  });
  protected readonly who = computed(() => {
    const people = this.view.work.people();
    return this.view
      .given()
      .map((id) => people.learners.find((l) => l.id === id)?.name ?? '')
      .filter(Boolean);
  });

  protected setCount(block: Block, count: number): void {
    if (isChoice(block))
      this.view.recorded(
        { did: 'remove-options', blockId: block.id, optionIds: choicesToLeaveOut(block, count) },
        'fewer choices',
      );
  }

  protected setHint(block: Block, text: string): void {
    this.view.recorded({ did: 'hint', blockId: block.id, text: text.trim() }, 'hint');
  }

  protected setBank(pageId: string, after: string, words: string): void {
    const list = words
      .split(',')
      .map((w) => w.trim())
      .filter(Boolean);
    this.view.recorded({ did: 'word-bank', pageId, after, words: list }, 'word bank');
  }

  protected proposeBank(pageId: string, after: string): void {
    this.view.recorded({ did: 'word-bank', pageId, after }, 'word bank');
  }

  protected leaveOut(block: Block): void {
    this.view.recorded({ did: 'remove-block', blockId: block.id }, 'leave out');
    this.view.choose(null);
  }

  protected add(kind: string, pageId: string, after: string): void {
    const known = ADDABLE.find((k) => k === kind);
    if (!known) return;
    const ids = [...this.view.work.stamp(8).ids];
    const newId = () => ids.shift() ?? crypto.randomUUID();
    const block = freshBlock(known, newId(), newId);
    this.view.recorded({ did: 'insert-block', pageId, after, block }, `add ${blockKinds[known].label.toLowerCase()}`);
    this.view.choose(block.id);
    setTimeout(() => {
      const el = document.querySelector<HTMLElement>(`[data-block="${CSS.escape(block.id)}"]`);
      el?.scrollIntoView({ block: 'center' });
      el?.querySelector<HTMLElement>('lv-words button')?.click();
    });
  }

  /** Whether the page is kept now: leaving out the last one is refused. */
  protected keepPage(id: string, keep: boolean): boolean {
    const ids = this.pages()
      .filter((p) => (p.id === id ? keep : p.kept))
      .map((p) => p.id);
    this.view.recorded({ did: 'keep-pages', pageIds: ids }, 'keep only some pages');
    return this.pages().find((p) => p.id === id)?.kept ?? false;
  }

  protected personalise(): void {
    const otherwise = { name: 'You', interest: 'what you like', class: 'your class' };
    this.view.recorded({ did: 'personal-fields', otherwise }, 'fill personal fields');
  }

  protected patch(a: Adjustment, patch: AdjustmentPatch): void {
    const s = this.state();
    if (s)
      this.view.work.dispatch(
        BenchActions.adjustmentPatched({ familyId: s.family.id, versionId: s.version.id, adjustmentId: a.id, patch }),
      );
  }

  protected overrule(a: Adjustment, judgement: string, reason: string): void {
    if (judgement === '') this.patch(a, { overrule: null });
    else if (judgement === 'accommodation' || judgement === 'modification' || judgement === 'addition')
      this.patch(a, { overrule: { judgement, reason: reason.trim() || 'the teacher’s judgement' } });
  }

  protected remove(a: Adjustment): void {
    const s = this.state();
    if (s)
      this.view.work.dispatch(
        BenchActions.adjustmentRemoved({ familyId: s.family.id, versionId: s.version.id, adjustmentId: a.id }),
      );
  }

  protected revise(patch: { name?: string; purpose?: string }): void {
    const s = this.state();
    if (s && (patch.name === undefined || patch.name.trim()))
      this.view.work.dispatch(BenchActions.versionRevised({ familyId: s.family.id, versionId: s.version.id, patch }));
  }

  protected readonly droppedObjectives = computed(() => {
    const s = this.state();
    if (!s) return [];
    const asked = new Set(itemsOf(s.derived.content).map((i) => i.objectiveId));
    return (this.masterMeasures()?.objectivesKept ?? []).filter((o) => !asked.has(o.id));
  });
}
