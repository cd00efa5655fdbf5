import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  type Block,
  BLOCK_KIND_NAMES,
  blockKinds,
  choicesToLeaveOut,
  freshBlock,
  isChoice,
  pictureIn,
  wordsAt,
  wordsIn,
  readingGrade,
} from '@lorvet/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { BenchActions } from '../store/actions';
import { Take } from '../ui/blocks/take';
import { FOLD } from '../ui/controls/fold';
import { SELECT } from '../ui/controls/select';
import { IconButton } from '../ui/icon-button';
import { PictureField } from '../ui/picture-field';
import { Soon } from '../ui/soon';
import { BenchView } from './bench-view';
import { DoHere } from './do-here';
import { VersionHere } from './version-here';
import { WritingHelp } from './writing-help';
import type { KeptAsset } from '../platform/storage/kept-asset';
import { KindMenu } from './kind-menu';

const ADDABLE = BLOCK_KIND_NAMES.filter((k) => k !== 'word-bank' && k !== 'picture');

/** What can be done with what is chosen in a version. */
@Component({
  selector: 'lv-block-here',
  imports: [
    IconButton,
    ButtonDirective,
    DoHere,
    InputText,
    KindMenu,
    LucideDynamicIcon,
    PictureField,
    Soon,
    Take,
    Textarea,
    WritingHelp,
    ...FOLD,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './block-here.html',
  styles: `
    .top {
      flex-wrap: nowrap;
    }
    .line {
      grid-template-columns: 1fr 70px;
      align-items: center;
    }
  `,
})
export class BlockHere {
  protected readonly view = inject(BenchView);
  private readonly here = inject(VersionHere);
  protected readonly groups = [{ kinds: ADDABLE.map((kind) => ({ kind, label: blockKinds[kind].label })) }];
  protected readonly chosen = this.here.chosen;
  protected readonly selection = this.view.selection;

  /** The words of the chosen block that may be made easier, and the grade they should reach. */
  protected readonly writing = computed(() => {
    const s = this.here.state();
    const block = this.chosen()?.block;
    const field = block && ['text', 'prompt'].find((f) => wordsAt(block, f) !== undefined);
    const text = block && field ? wordsAt(block, field) : undefined;
    if (!s || !field || !text || wordsIn(text).length < 4) return null;
    const { learners } = this.view.work.people();
    // A personal version aims at its learner; any other at the middle of those who have it.
    const whom = s.version.learnerId ? [s.version.learnerId] : this.view.given();
    const grades = learners
      .filter((l) => whom.includes(l.id))
      .flatMap((l) => readingGrade(l.needs.levels) ?? [])
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

  protected replacePicture(onBasis: Block, assetId: string): void {
    const was = pictureIn(onBasis);
    if (was)
      this.view.recorded(
        { did: 'adjust', drafts: [{ kind: 'replace-picture', target: onBasis.id, was, now: { ...was, assetId } }] },
        'other picture',
      );
  }

  protected recordInstruction(onBasis: Block, asset: KeptAsset): void {
    this.view.work.dispatch(BenchActions.pictureAdded({ asset }));
    const recording = { assetId: asset.id, what: 'sound' as const };
    const was = onBasis.kind === 'instruction' ? onBasis.text : '';
    this.view.recorded(
      { did: 'adjust', drafts: [{ kind: 'recorded-instruction', target: onBasis.id, recording, was }] },
      'recorded instruction',
    );
  }

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

  /** What the menu of kinds does after a block. */
  protected adding(pageId: string, after: string): (kind: string) => void {
    return (kind) => this.add(kind, pageId, after);
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
}
