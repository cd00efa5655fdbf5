import { Injectable, computed, inject, signal } from '@angular/core';
import {
  type Copy,
  copyIdOf,
  copyState,
  type CopyState,
  type HandOut,
  learnerPackage,
  type LearnerPackage,
  listOf,
  openGo,
  responseTo,
} from '@lorvet/core';
import { Clock } from '../platform/clock';
import { WorkspaceStore } from '../store/workspace';

const AT_DESK = 'lorvet-desk';

/** What a learner may know of one piece of their work. */
export interface DeskWork {
  readonly sheet: LearnerPackage;
  readonly state: CopyState;
  readonly go: number;
  readonly answers: Copy['goes'][number]['answers'];
  readonly locked: boolean;
  /** What the teacher said to the last go that was answered. */
  readonly comment: string;
  readonly comments: Readonly<Record<string, string>>;
}

/** Who sits at this machine's desk, and their work: built from packages, so that nothing else can reach the page. */
@Injectable({ providedIn: 'root' })
export class DeskSession {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly learnerId = signal(sessionStorage.getItem(AT_DESK) ?? '');

  readonly learner = computed(() => this.work.people().learners.find((l) => l.id === this.learnerId()));
  readonly comfort = computed(() => this.learner()?.comfort);

  sit(learnerId: string): void {
    sessionStorage.setItem(AT_DESK, learnerId);
    this.learnerId.set(learnerId);
  }

  leave(): void {
    sessionStorage.removeItem(AT_DESK);
    this.learnerId.set('');
  }

  /** Everything that is open for the learner, the newest first. */
  readonly all = computed(() =>
    listOf(this.work.handOuts())
      .flatMap((h) => {
        const work = this.workOn(h);
        return work && work.state !== 'not open yet'
          ? [{ id: h.id, opened: h.opensAt ?? h.givenAt ?? '', ...work }]
          : [];
      })
      .sort((a, b) => b.opened.localeCompare(a.opened)),
  );

  of(handOutId: string): DeskWork | undefined {
    const handOut = this.work.handOuts()[handOutId];
    const work = handOut && this.workOn(handOut);
    return work && work.state !== 'not open yet' ? work : undefined;
  }

  /** The learner's copy with one more answer in its open go; begun where there was none. */
  answered(handOutId: string, answers: DeskWork['answers'], submit = false): Copy | undefined {
    const handOut = this.work.handOuts()[handOutId];
    const hash = handOut?.given[this.learnerId()];
    if (!handOut || hash === undefined) return undefined;
    const id = copyIdOf(handOutId, this.learnerId());
    const before = this.work.copies()[id];
    const most = handOut.frozen[hash]?.content.settings?.goes;
    const open = openGo(before, this.work.markings()[id], most);
    if (!open) return undefined;
    const now = this.clock.iso();
    const submittedAt = submit ? now : null;
    const goes = before?.goes ?? [];
    const go =
      typeof open === 'string'
        ? { n: goes.length + 1, startedAt: now, submittedAt, answers }
        : { ...open, answers, submittedAt };
    const kept = typeof open === 'string' ? goes : goes.filter((g) => g !== open);
    return { id, handOutId, learnerId: this.learnerId(), frozen: hash, goes: [...kept, go] };
  }

  private workOn(handOut: HandOut): DeskWork | undefined {
    const hash = handOut.given[this.learnerId()];
    const frozen = hash === undefined ? undefined : handOut.frozen[hash];
    if (!frozen) return undefined;
    const id = copyIdOf(handOut.id, this.learnerId());
    const copy = this.work.copies()[id];
    const marking = this.work.markings()[id];
    const last = copy?.goes.at(-1);
    const open = openGo(copy, marking, frozen.content.settings?.goes);
    const said = [...(marking?.responses ?? [])].reverse().find((r) => r.decision !== null);
    const current = last && responseTo(marking, last.n);
    const n = open === 'next' ? (last?.n ?? 0) + 1 : (last?.n ?? 1);
    return {
      sheet: learnerPackage(handOut, frozen, `${id}.${n}`),
      state: copyState(handOut, copy, marking, this.clock.local()),
      go: n,
      // Another go begins with what was there: it is looked over, not begun anew.
      answers: last?.answers ?? {},
      locked: handOut.way === 'to-read' || open === undefined || current?.decision === 'complete',
      comment: said?.comment ?? '',
      comments: said?.comments ?? {},
    };
  }
}
