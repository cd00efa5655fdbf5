import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Adjusted, EvidenceWork, Side } from '@lorvet/core/evidence';
import { goSaid, pieceKey } from '@lorvet/core/evidence';
import { LucideDynamicIcon } from '@lucide/angular';
import { ButtonDirective } from 'primeng/button';
import { WorkspaceStore } from '../../store/workspace';
import { growing } from '../../ui/growing';
import { Near } from '../../ui/near';
import { SwatchMark } from '../../ui/swatch';
import { dayIn } from '../../ui/when';
import { type FolderHere } from './folder-here';
import { SidesOf } from './sides-of';

interface Shown {
  readonly a: Adjusted;
  readonly key: string;
  readonly sides: readonly Side[];
  /** Where on the Bench it stands: the first block that it speaks of. */
  readonly block: string;
  readonly counts: string;
  readonly tone: string;
  readonly result: string;
}

/** Adjustments that are drawn with each frame, and as many as come by themselves. */
const FIRST = 1;
const MOST = 120;

const COUNTS: Readonly<Record<Adjusted['countsAs'], readonly [says: string, tone: string]>> = {
  accommodation: ['accommodation', 'moss'],
  modification: ['modification', 'madder'],
  addition: ['addition', 'moss'],
  'to judge': ['to judge', 'ochre'],
  '': ['not known', ''],
};

/** One work in a learner's evidence: what was adjusted in it, why, how it went; each leads back to where it was made. */
@Component({
  selector: 'lv-work-evidence',
  imports: [ButtonDirective, LucideDynamicIcon, Near, RouterLink, SidesOf, SwatchMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './work-evidence.html',
  styleUrl: './work-evidence.css',
})
export class WorkEvidence {
  readonly of = input.required<EvidenceWork>();
  readonly learnerId = input.required<string>();
  readonly folder = input.required<FolderHere>();
  private readonly work = inject(WorkspaceStore);
  protected readonly dayIn = dayIn;
  protected readonly goSaid = (g: EvidenceWork['goes'][number]) => goSaid(g, { day: dayIn, privacy: 'full' });
  protected readonly key = computed(() => pieceKey(this.of().handOutId));

  private readonly head = computed(() => {
    const heads = this.work.familyHeadsById();
    const { familyId } = this.of();
    return Object.hasOwn(heads, familyId) ? heads[familyId] : undefined;
  });
  protected readonly isHere = computed(() => this.head() !== undefined);
  /** The version as it is now, if it still is. */
  protected readonly version = computed(() => this.head()?.versions.find((v) => v.id === this.of().versionId));
  protected readonly swatch = computed(() =>
    this.of().versionId === null ? (this.head()?.swatch ?? null) : (this.version()?.swatch ?? null),
  );
  protected readonly wayTo = (versionId: string | null): string[] => {
    const path = ['/bench', this.of().familyId];
    return versionId && this.head()?.versions.some((v) => v.id === versionId) ? [...path, versionId] : path;
  };
  /** A few with each frame: a long sheet opens at once. */
  protected readonly drawn = growing(() => this.of().handOutId, FIRST, MOST);
  protected readonly drawnOnes = computed(() => this.shown().slice(0, this.drawn.budget()));
  protected readonly shown = computed(() => {
    const w = this.of();
    const seen = new Set<Side>();
    return w.adjustments.map((a): Shown => {
      const mine = w.sides.filter((s) => s.adjustmentIds.includes(a.adjustmentId));
      const sides = mine.filter((s) => !seen.has(s));
      sides.forEach((s) => seen.add(s));
      const [counts, tone] = COUNTS[a.countsAs];
      return {
        ...{ a, sides, counts, tone },
        key: pieceKey(w.handOutId, a.adjustmentId),
        block: mine[0]?.blockId ?? '',
        result: a.result ? `${a.result.right} of ${a.result.of} right` : '',
      };
    });
  });
}
