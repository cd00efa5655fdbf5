import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import {
  askedObjectives,
  type BankEntry,
  type Content,
  type Family,
  FAMILY_FORMAT,
  findBlock,
  forLearner,
  type LearnerBlock,
  labelOf,
  latest,
  objectiveCoverage,
  pickFromBank,
  plainTextOf,
  swatchFrom,
  withPicked,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { BankSearch } from '../platform/bank-search';
import { Clock } from '../platform/clock';
import type { BankFilter } from '../platform/workers/search.worker';
import { BringActions } from '../store/actions';
import { Parts } from '../store/parts';
import { WorkspaceStore } from '../store/workspace';
import { LearnerBlockView } from '../ui/blocks/learner-block';
import { SELECT } from '../ui/controls/select';
import { IconButton } from '../ui/icon-button';
import { Notice } from '../ui/notice';
import { Empty } from '../ui/empty';
import { FootBar } from '../ui/panes';
import { ObjectiveList } from './objective-list';
import { Latest } from '../ui/latest';
import { counted } from '../platform/many';

const NO_FILTER: BankFilter = { subject: '', ages: '', objective: '', kind: '', source: '' };
const PAUSE_MS = 120;

/** All activities as one bank: searched as you type, picked across activities, put into a master with the sources kept. */
@Component({
  selector: 'lv-bank',
  imports: [
    IconButton,
    ButtonDirective,
    Empty,
    FootBar,
    InputText,
    LearnerBlockView,
    LucideDynamicIcon,
    ObjectiveList,
    RouterLink,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bank.html',
  styleUrl: './bank.css',
})
export class Bank {
  /** The master to put things into; a new one where none is named. */
  readonly into = input<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly search = inject(BankSearch);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  private readonly router = inject(Router);

  protected readonly query = signal('');
  protected readonly filter = signal<BankFilter>(NO_FILTER);
  protected readonly choices = signal<Record<keyof BankFilter, string[]> | null>(null);
  protected readonly found = signal<readonly BankEntry[]>([]);
  protected readonly total = signal(0);
  protected readonly picked = signal<readonly BankEntry[]>([]);
  protected readonly target = signal<string | null>(null);
  protected readonly afterPage = signal<string>('');
  /** Where items go: "<page>/<block>", or "<page>/" for its top; empty for a page of their own. */
  protected readonly itemsAt = signal('');
  protected readonly title = signal('');
  protected readonly view = signal<'things' | 'objectives'>('things');
  /** Which sheet is open on a narrow screen. */
  protected readonly sheet = signal<string | null>(null);
  protected readonly sheets = computed(() => [{ id: 'beside-picked', name: `Picked: ${this.picked().length}` }]);
  private readonly filled = signal(false);
  /** Whether what is found was looked for in all that there is. */
  protected readonly isRead = signal(false);
  protected readonly filters: readonly { key: keyof BankFilter; label: string; any: string }[] = [
    { key: 'kind', label: 'Kind', any: 'any kind' },
    { key: 'subject', label: 'Subject', any: 'any subject' },
    { key: 'ages', label: 'Ages', any: 'any ages' },
    { key: 'objective', label: 'Objective', any: 'any objective' },
    { key: 'source', label: 'Source', any: 'any source' },
  ];
  private timer: ReturnType<typeof setTimeout> | undefined;

  protected readonly families = computed(() => this.work.familyHeads().map((f) => ({ id: f.id, title: f.title })));
  /** Read only where the objectives are shown. */
  protected readonly asked = computed(() =>
    this.view() === 'objectives' ? askedObjectives(Object.values(this.work.families())) : [],
  );
  protected readonly where = computed(() => this.target() ?? this.into() ?? '');
  protected readonly master = computed<Content | null>(() => {
    const family = this.work.families()[this.where()];
    return family ? (family.draft ?? latest(family).content) : null;
  });
  /** What the master asks already, and what it would ask with what is picked. */
  protected readonly coverage = computed(() => {
    const master = this.master();
    if (!master) return [];
    const now = objectiveCoverage(master);
    const then = objectiveCoverage(withPicked(master, this.picks(), null, () => 'x'));
    return then.map((o) => ({ ...o, before: now.find((n) => n.id === o.id)?.items ?? 0 }));
  });
  protected readonly shown = computed(() =>
    this.found().map((e) => ({ ...e, on: this.picked().some((p) => p.id === e.id), blocks: this.blocksOf(e) })),
  );

  /** Everything in all activities is searched. */
  protected readonly ready = inject(Parts).hold(
    () => this.work.familyHeads().map((f) => f.id),
    (ids, want) => want('families', ids),
  );

  constructor() {
    this.search.forget();
    effect(() => {
      const families = this.work.families();
      // Once all are here: before that, what is found would be a part of what there is.
      if (this.ready()) untracked(() => void this.fill(families));
    });
  }

  protected typed(query: string): void {
    this.query.set(query);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.find(), PAUSE_MS);
  }

  protected narrow(key: keyof BankFilter, value: string): void {
    this.filter.set({ ...this.filter(), [key]: value });
    void this.find();
  }

  protected showAll(): void {
    this.filter.set(NO_FILTER);
    this.typed('');
  }

  protected toggle(entry: BankEntry): void {
    const others = this.picked().filter((p) => p.id !== entry.id);
    this.picked.set(others.length < this.picked().length ? others : [...this.picked(), entry]);
  }

  protected take(): void {
    const picked = this.picks();
    const newId = () => this.clock.newId();
    const n = this.picked().length;
    const master = this.master();
    const label = `${n} from the bank`;
    let id = this.where();
    if (master) {
      const content = withPicked(master, picked, this.afterPage() || null, newId, this.place());
      this.work.dispatch(BringActions.addedToMaster({ familyId: id, content, assets: [], label }));
    } else {
      const stamp = this.work.stamp(1);
      id = stamp.ids[0] ?? newId();
      const empty: Content = {
        title: this.title().trim() || 'From the bank',
        subject: '',
        ages: '',
        objectives: [],
        pages: [],
      };
      const content = withPicked(empty, picked, null, newId);
      const family: Family = {
        format: FAMILY_FORMAT,
        id,
        createdAt: stamp.at,
        swatch: swatchFrom(id),
        revisions: [{ n: 1, at: stamp.at, author: stamp.author, note: 'From the bank', content }],
        versions: [],
      };
      this.work.dispatch(BringActions.madeMaster({ family, assets: [], label }));
    }
    this.picked.set([]);
    this.notice.done(
      counted(n, '{n} thing put in, sources kept', '{n} things put in, sources kept'),
      'One undo takes them out again.',
    );
    void this.router.navigate(['/bench', id]);
  }

  /** The blocks of the master after which items can go, page by page. */
  protected readonly places = computed(() =>
    (this.master()?.pages ?? []).map((p) => ({
      id: p.id,
      title: p.title,
      blocks: p.blocks.map((b) => ({ id: b.id, name: plainTextOf(b).slice(0, 50) || labelOf(b) })),
    })),
  );
  protected readonly hasItems = computed(() => this.picked().some((p) => p.blockId !== null));

  private place() {
    const [pageId, after] = this.itemsAt().split('/');
    return pageId ? { pageId, after: after || null } : undefined;
  }

  private picks() {
    return pickFromBank(
      this.work.families(),
      this.picked().map((p) => p.id),
      () => this.clock.newId(),
    );
  }

  private readonly filling = new Latest();
  private readonly finding = new Latest();

  private async fill(families: Readonly<Record<string, Family>>): Promise<void> {
    const isLast = this.filling.begin();
    const filled = await this.search.fill(families);
    if (filled && isLast()) this.choices.set(filled.choices);
    this.filled.set(true);
    await this.find();
  }

  private async find(): Promise<void> {
    const isLast = this.finding.begin();
    const { entries, total } = await this.search.search(this.query(), this.filter());
    if (!isLast()) return;
    this.found.set(entries);
    this.total.set(total);
    if (this.filled()) this.isRead.set(true);
  }

  private blocksOf(e: BankEntry): LearnerBlock[] {
    const family = this.work.families()[e.familyId];
    const content = family && latest(family).content;
    if (!content) return [];
    const block = e.blockId ? findBlock(content, e.blockId)?.block : undefined;
    const blocks = e.blockId
      ? block
        ? [block]
        : []
      : (content.pages.find((p) => p.id === e.pageId)?.blocks.slice(0, 4) ?? []);
    return blocks.filter((b) => b.audience === 'learner').map(forLearner);
  }
}
