import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  blocksOf,
  type Content,
  findBlock,
  type Id,
  latest,
  learnersWith,
  masterChanges,
  plainTextOf,
  versionOf,
  versionTree,
} from '@lorvet/core';
import { measureFamily } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { BenchActions } from '../store/actions';
import { holdFamily } from '../store/hold-family';
import { WorkspaceStore } from '../store/workspace';
import { Changes } from '../ui/changes';
import { SELECT } from '../ui/controls/select';
import { Notice } from '../ui/notice';
import { SwatchMark } from '../ui/swatch';
import { dayIn } from '../ui/when';
import { figure } from '../ui/tenth';
import { many } from '../platform/many';

const STEP = 110;
const LINE = 44;
const LEFT = 150;

/** The family's picture, and the master's history: what changed between any two revisions, and a way back. */
@Component({
  selector: 'lv-history',
  imports: [ButtonDirective, Changes, RouterLink, SwatchMark, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './history.html',
  styleUrl: './history.css',
})
export class History {
  readonly familyId = input.required<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);
  protected readonly ready = holdFamily(() => this.familyId());
  protected readonly family = computed(() => this.work.families()[this.familyId()]);
  protected readonly title = computed(() => {
    const f = this.family();
    return f ? latest(f).content.title : '';
  });
  protected readonly revisions = computed(() =>
    [...(this.family()?.revisions ?? [])]
      .reverse()
      .map((r) => ({ n: r.n, at: dayIn(r.at), author: r.author, note: r.note })),
  );
  protected readonly last = computed(() => this.revisions()[0]?.n ?? 1);
  protected readonly to = linkedSignal(() => this.last());
  protected readonly from = linkedSignal(() => Math.max(1, this.last() - 1));

  private contentOf(n: number): Content | undefined {
    return this.family()?.revisions.find((r) => r.n === n)?.content;
  }
  protected readonly changes = computed(() => {
    const before = this.contentOf(this.from());
    const after = this.contentOf(this.to());
    if (!before || !after) return [];
    return masterChanges(before, after).map((c) => ({
      ...c,
      was: wordsIn(before, c.id),
      now: wordsIn(after, c.id),
    }));
  });

  /** Revisions along the top, each version on a line of its own from the revision it was last brought up to. */
  protected readonly picture = computed(() => {
    const family = this.family();
    if (!family) return null;
    const n = latest(family).n;
    const x = (revision: number) => LEFT + (revision - 1) * STEP;
    const handOuts = this.work.handOutHeads();
    const people = this.work.people();
    const tree = versionTree(family);
    const lineOf = new Map<Id | null, number>([[null, 0], ...tree.map((t, i) => [t.version.id, i + 1] as const)]);
    const versions = tree.map(({ version: v, depth }, i) => {
      const who = learnersWith(handOuts, family.id, v.id).map(
        (id) => people.learners.find((l) => l.id === id)?.name ?? '',
      );
      return {
        id: v.id,
        name: v.name,
        swatch: v.swatch,
        y: LINE * (i + 1) + 36,
        x: x(Math.min(v.upTo, n)),
        path: branch(x(Math.min(v.upTo, n)), LINE * (lineOf.get(v.basis) ?? 0) + 36, LINE * (i + 1) + 36),
        indent: depth * 12,
        behind: v.upTo < n,
        who: who.filter(Boolean),
        says: `${v.name}, up to revision ${v.upTo}${v.upTo < n ? `, ${n - v.upTo} behind` : ''}, ${many(who.length, 'learner')}`,
      };
    });
    return {
      width: x(n) + 420,
      height: LINE * (tree.length + 1) + 30,
      end: x(n),
      left: LEFT,
      revisions: family.revisions.map((r) => ({ n: r.n, x: x(r.n), note: r.note })),
      versions,
    };
  });

  protected readonly measureNames = [
    'Pages',
    'Items',
    'Words',
    'Words a sentence',
    'Grade of the hardest text',
    'Dale–Chall',
    'Hard words',
    'Choices',
    'Minutes',
    'Objectives',
    'Supports',
  ];
  protected readonly measures = computed(() => {
    const family = this.family();
    if (!family) return [];
    return measureFamily(family).map(({ versionId, measures: m }) => ({
      name: versionId === null ? 'Master' : (versionOf(family, versionId)?.name ?? ''),
      values: [
        m.pages,
        m.items,
        m.words,
        m.readability.wordsPerSentence.toFixed(1),
        figure(m.readability.figures.kincaid),
        figure(m.readability.figures['dale-chall']),
        m.readability.hardWords.length,
        m.choicesPerItem?.toFixed(1) ?? '–',
        m.minutes.toFixed(0),
        m.objectivesKept.length,
        m.supports.length,
      ],
    }));
  });

  protected restore(n: number): void {
    this.work.dispatch(BenchActions.revisionRestored({ familyId: this.familyId(), n, stamp: this.work.stamp() }));
    this.notice.done(`Revision ${n} is restored`, `It is revision ${this.last()} now; nothing before it is changed.`);
  }
}

/** From the basis's line round to the version's own, beside what stands between. */
const branch = (x: number, from: number, to: number): string =>
  `M${x} ${from + 12} C${x - 4} ${from + 18} ${x - 24} ${from + 10} ${x - 24} ${from + 26} V${to - 8} Q${x - 24} ${to} ${x - 13} ${to}`;

/** What a block, or every block of a page, says. */
function wordsIn(content: Content, id: Id): string {
  const block = findBlock(content, id)?.block;
  if (block) return plainTextOf(block);
  return [...blocksOf(content)]
    .filter(({ page }) => page.id === id)
    .map(({ block: b }) => plainTextOf(b))
    .join('\n');
}
