import { CdkDrag, type CdkDragDrop, CdkDragHandle, CdkDropList, CdkDropListGroup } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  type Block,
  BLOCK_KIND_NAMES,
  blockKinds,
  type BlockKindName,
  type Content,
  freshBlock,
  type Id,
  copyOfPage,
  latest,
  mostAt,
  pageSchema,
  listOf,
  pendingUpkeep,
  saveRevision,
  waits,
  withWords,
  questionNumbers,
  findBlock,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { BenchActions } from '../store/actions';
import type { BlockChange } from '../ui/blocks/editor-part';
import { SELECT } from '../ui/controls/select';
import { IconButton } from '../ui/icon-button';
import { isTyping } from '../ui/keys';
import { Notice } from '../ui/notice';
import { PageMarkView } from '../ui/page-mark';
import { growing } from '../ui/growing';
import { Near } from '../ui/near';
import { Words } from '../ui/words';
import { AnswerSheet } from './answer-sheet';
import { BenchBlock } from './bench-block';
import { BenchView, nameOf } from './bench-view';
import { FIRST_KINDS, KIND_GROUPS } from './kind-groups';
import { PageLayout } from './page-layout';
import { moveBlock, placeBlock, withoutBlock, withPage } from './master-edits';
import { Parts } from '../store/parts';
import { KindMenu } from './kind-menu';

/** Blocks drawn at first, and at each further step. */
const FIRST_BLOCKS = 3;
/** Drawn whether or not they are near what is seen. */
const ALWAYS = 40;

/** The master as it is written: its pages, block by block. */
@Component({
  selector: 'lv-master-page',
  imports: [
    IconButton,
    AnswerSheet,
    BenchBlock,
    ButtonDirective,
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    CdkDropListGroup,
    InputText,
    KindMenu,
    LucideDynamicIcon,
    Near,
    PageLayout,
    PageMarkView,
    RouterLink,
    Words,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './master-page.html',
  styleUrl: './pages.css',
})
export class MasterPage {
  constructor() {
    void inject(Parts).list('templates');
    effect(() => this.goTo());
  }

  protected readonly view = inject(BenchView);
  private readonly notice = inject(Notice);
  private readonly router = inject(Router);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly first = FIRST_KINDS;
  protected readonly mostInTitle = mostAt(pageSchema, 'title');
  protected readonly groups = KIND_GROUPS;
  protected readonly templates = computed(() => listOf(this.view.work.templates()));
  protected readonly announced = signal('');
  protected readonly sheetOpen = signal(false);
  protected readonly numbers = computed(() => {
    return questionNumbers(this.view.master()?.pages ?? []);
  });
  /** How many blocks are on the page: a few more with each frame, then as their foot comes near, so that a large master opens at once. */
  protected readonly blocks = growing(() => void this.view.familyId(), FIRST_BLOCKS, ALWAYS);
  protected readonly shown = computed(() => {
    let left = this.blocks.budget();
    return (this.view.master()?.pages ?? []).flatMap((page) => {
      if (left <= 0) return [];
      const blocks = left >= page.blocks.length ? page.blocks : page.blocks.slice(0, left);
      left -= page.blocks.length + 1;
      return [{ page, blocks, whole: blocks.length === page.blocks.length }];
    });
  });
  protected readonly isCut = computed(() => {
    const shown = this.shown();
    return shown.length < (this.view.master()?.pages.length ?? 0) || shown.some((s) => !s.whole);
  });
  protected readonly nextRevision = computed(() => {
    const family = this.view.family();
    return family ? latest(family).n + 1 : 1;
  });

  protected name(block: Block): string {
    return nameOf(block, this.numbers().get(block.id) ?? 0);
  }

  /** What the menu of kinds does at a place. */
  protected adding(pageId: Id, after: Id | null): (kind: string) => void {
    return (kind) => this.add(kind, pageId, after);
  }

  protected add(kind: string, pageId: Id, after: Id | null): void {
    const known = BLOCK_KIND_NAMES.find((k) => k === kind);
    if (!known) return;
    const ids = [...this.view.work.stamp(8).ids];
    const newId = () => ids.shift() ?? crypto.randomUUID();
    const block = freshBlock(known as BlockKindName, newId(), newId);
    const label = `add ${blockKinds[known].label.toLowerCase()}`;
    if (this.view.changeMaster((c) => placeBlock(c, block, pageId, after), label)) this.choose(block.id, true);
  }

  protected words(block: Block, field: string, text: string): void {
    this.view.changeBlock(block.id, (b) => withWords(b, field, text), 'words', `${block.id} ${field}`);
  }

  protected change(block: Block, change: BlockChange): void {
    this.view.changeBlock(block.id, change, this.name(block).toLowerCase());
  }

  protected remove(block: Block): void {
    this.view.changeMaster((c) => withoutBlock(c, block.id), `remove ${this.name(block).toLowerCase()}`);
    this.notice.done('Removed from the master', 'Undo brings it back.');
  }

  protected move(block: Block, by: -1 | 1): void {
    this.view.changeMaster((c) => moveBlock(c, block.id, by), `move ${this.name(block).toLowerCase()}`);
    this.announced.set(`${this.name(block)} moved ${by < 0 ? 'up' : 'down'}`);
    this.choose(block.id);
  }

  protected dropped(event: CdkDragDrop<Id, Id, Block>): void {
    const from = event.previousContainer.data;
    const to = event.container.data;
    if (from === to && event.previousIndex === event.currentIndex) return;
    const block = event.item.data;
    this.view.changeMaster(
      (c) => {
        const taken = withoutBlock(c, block.id);
        const page = taken.pages.find((p) => p.id === to);
        return placeBlock(taken, block, to, page?.blocks[event.currentIndex - 1]?.id ?? null);
      },
      `move ${this.name(block).toLowerCase()}`,
    );
  }

  protected keyed(event: KeyboardEvent, block: Block): void {
    if (isTyping(event)) return;
    if (event.altKey && event.key === 'ArrowUp') this.move(block, -1);
    else if (event.altKey && event.key === 'ArrowDown') this.move(block, 1);
    else if (event.key === 'Delete') this.remove(block);
    else return;
    event.preventDefault();
  }

  protected addPage(): void {
    const [id] = this.view.work.stamp(1).ids;
    if (id && this.view.changeMaster((c) => withPage(c, id), 'add a page')) this.reach(id);
  }

  protected addTemplate(id: string): void {
    const template = this.view.work.templates()[id];
    if (!template) return;
    const page = copyOfPage(template.page, () => crypto.randomUUID());
    this.view.changeMaster((c) => ({ ...c, pages: [...c.pages, page] }), `page from “${template.name}”`);
  }

  protected openPage(id: Id): void {
    this.view.chosen.set(null);
    this.view.chosenPage.set(id);
  }

  protected titlePage(pageId: Id, title: string): void {
    this.view.changeMaster(
      (c) => ({ ...c, pages: c.pages.map((p) => (p.id === pageId ? { ...p, title } : p)) }),
      'title of a page',
      `page ${pageId}`,
    );
  }

  protected removePage(pageId: Id): void {
    this.view.changeMaster((c: Content) => ({ ...c, pages: c.pages.filter((p) => p.id !== pageId) }), 'remove a page');
    this.notice.done('Page removed', 'Undo brings it back.');
  }

  protected save(note: string): void {
    const family = this.view.family();
    if (!family?.draft) return;
    const stamp = this.view.work.stamp();
    const { report } = saveRevision(family, family.draft, note, { at: stamp.at, by: stamp.author });
    this.view.work.dispatch(BenchActions.revisionSaved({ familyId: family.id, note, stamp }));
    const now = this.view.family();
    const left = now ? pendingUpkeep(now).entries.filter(waits).length : 0;
    if (left > 0 || report.entries.length > 0) void this.router.navigate(['/bench', family.id, 'upkeep']);
    else
      this.notice.done(
        `Revision ${report.to} saved`,
        family.versions.length ? 'Nothing in the versions has to be decided.' : '',
      );
  }

  protected drop(): void {
    const family = this.view.family();
    if (family) this.view.work.dispatch(BenchActions.draftDropped({ familyId: family.id }));
    this.notice.done('Back to the last revision', 'Undo brings your changes back.');
  }

  /** Goes to the block that the address names, once it is there. */
  private goTo(): void {
    const id = this.view.wanted();
    const master = this.view.master();
    if (id === null || !master) return;
    untracked(() => {
      this.view.wanted.set(null);
      if (findBlock(master, id)) this.choose(id);
    });
  }

  private choose(id: Id, open = false): void {
    this.view.chosen.set(id);
    this.reach(id);
    setTimeout(() => {
      const el = this.host.nativeElement.querySelector<HTMLElement>(`[data-block="${CSS.escape(id)}"]`);
      // The first thing to write in: words that open when pressed, or a field.
      const field = open
        ? el?.querySelector<HTMLElement>('lv-words button, lv-rich-words .rest, input, textarea')
        : null;
      if (field?.matches('button')) field.click();
      else if (field) field.focus();
      else el?.focus();
      el?.scrollIntoView({ block: 'nearest' });
    });
  }

  /** Shows as much as it takes to have a block or page on the page. */
  private reach(id: Id): void {
    let n = 0;
    for (const p of this.view.master()?.pages ?? []) {
      const at = p.blocks.findIndex((b) => b.id === id);
      if (at >= 0 || p.id === id) {
        this.blocks.reach(n + at + FIRST_BLOCKS);
        return;
      }
      n += p.blocks.length + 1;
    }
  }
}
