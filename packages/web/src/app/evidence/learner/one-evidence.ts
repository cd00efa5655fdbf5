import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Evidence, summary, withFolder } from '@lorvet/core/evidence';
import { ButtonDirective } from 'primeng/button';
import { counted } from '../../platform/many';
import { WorkspaceStore } from '../../store/workspace';
import { Empty } from '../../ui/empty';
import { growing } from '../../ui/growing';
import { inStages } from '../../ui/in-stages';
import { Near } from '../../ui/near';
import { dayIn, daysReady } from '../../ui/when';
import { EvidenceChoices } from '../choices';
import { EvidenceHead } from '../evidence-head';
import { EvidenceWork } from '../evidence-work';
import { EvidenceWriting } from '../writing';
import { FolderHere } from './folder-here';
import { Observations } from './observations';
import { Reviews } from './reviews';
import { WorkEvidence } from './work-evidence';

/** All that was adjusted for one learner in a time, with the work done; what the teacher adds; and the way to a document. */
@Component({
  selector: 'lv-one-evidence',
  imports: [ButtonDirective, Empty, EvidenceHead, Near, Observations, Reviews, RouterLink, WorkEvidence],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './one-evidence.html',
  styleUrl: './one-evidence.css',
})
export class OneEvidence {
  readonly learnerId = input.required<string>();
  /** The hand-out to be looked at, from the address. */
  readonly work = input<string>();
  private readonly store = inject(WorkspaceStore);
  private readonly evidenceWork = inject(EvidenceWork);
  protected readonly choices = inject(EvidenceChoices);
  protected readonly writing = inject(EvidenceWriting);
  protected readonly folder = new FolderHere(() => this.learnerId());
  protected readonly dayIn = dayIn;
  protected readonly counted = counted;
  protected readonly learner = computed(() => this.store.people().learners.find((l) => l.id === this.learnerId()));

  /** As it was gathered last; null until it was, or where the learner is not here. */
  private readonly gathered = signal<Evidence | null>(null);
  protected readonly failed = signal(false);
  protected readonly evidence = computed(() => {
    const e = this.gathered();
    // What the teacher added has come too: else a press would be written over it.
    return e?.learner.id === this.learnerId() && this.folder.ready() ? e : null;
  });
  /** With what the teacher added, as a document has it. */
  private readonly shown = computed(() => {
    const e = this.evidence();
    return e && withFolder(e, this.folder.folder());
  });
  protected readonly says = computed(() => {
    const e = this.shown();
    return e ? summary(e, { privacy: 'full' }) : '';
  });
  /** The newest first; the one that was asked for before all. */
  protected readonly works = computed(() => {
    const all = [...(this.evidence()?.works ?? [])].reverse();
    const asked = all.filter((w) => w.handOutId === this.work());
    return [...asked, ...all.filter((w) => !asked.includes(w))];
  });
  private readonly isThere = computed(() => this.evidence() !== null);
  protected readonly drawn = growing(() => [this.learnerId(), this.isThere()], 1, 2);
  /** What is in its head, one frame after the other. */
  protected readonly head = inStages(() => true, 3);
  /** What was given first, then what stands beside it. */
  protected readonly stage = inStages(this.isThere, 5);
  protected readonly drawnWorks = computed(() => this.works().slice(0, this.drawn.budget()));

  constructor() {
    effect(() => {
      const [id, period] = [this.learnerId(), this.choices.period()];
      // What is given and done meanwhile is gathered anew.
      this.store.states();
      this.store.handOutHeads();
      untracked(() => void this.gather(id, period));
    });
  }

  private async gather(id: string, period: Evidence['period']): Promise<void> {
    try {
      const [got] = await Promise.all([this.evidenceWork.one(id, period), daysReady()]);
      if (id !== this.learnerId() || period !== this.choices.period()) return;
      this.failed.set(false);
      this.gathered.set(got);
    } catch {
      this.failed.set(true);
    }
  }
}
