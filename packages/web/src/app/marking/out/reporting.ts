import { inject, Injectable, signal } from '@angular/core';
import type { HandOut, Id, Learner } from '@lorvet/core';
import { answersFor, calledOf, saidOf } from '@lorvet/core';
import type { Report, Reported } from '@lorvet/core/report';
import { type Remote, wrap } from 'comlink';
import { Clock } from '../../platform/clock';
import { makeReportWorker } from '../../platform/workers/make-worker';
import type { ReportApi } from '../../platform/workers/report.worker';
import type { Row } from '../row';

export type ForWhom = 'learner' | 'family';

/** Learner's and family's reports of a hand-out as PDF, written in a worker. */
@Injectable({ providedIn: 'root' })
export class Reporting {
  private readonly clock = inject(Clock);
  private api: Remote<ReportApi> | null = null;
  /** Whether one is being written. */
  readonly busy = signal(false);

  /** One document with a report for each learner of these pieces of work that is decided; null where none is. */
  async pdf(
    handOut: HandOut,
    rows: readonly Row[],
    learners: readonly Learner[],
    forWhom: ForWhom,
  ): Promise<Blob | null> {
    const { learnersReport, familysReport, reportLanguage } = await import('@lorvet/core/report');
    const known = new Map(learners.map((l) => [l.id, l]));
    const reports = rows.flatMap((row) =>
      row.memberIds.flatMap((id): Report[] => {
        const learner = known.get(id);
        const of = this.reported(handOut, row, id, learner ? calledOf(learner) : row.name);
        if (!of) return [];
        return forWhom === 'learner'
          ? [learnersReport(of, reportLanguage(learner?.needs.comfort?.language ?? ''))]
          : [familysReport(of, reportLanguage(learner?.needs.comfort?.home ?? ''))];
      }),
    );
    if (!reports.length) return null;
    this.busy.set(true);
    try {
      this.api ??= wrap<ReportApi>(makeReportWorker());
      const bytes = await this.api.pdf(reports, handOut.title, document.baseURI);
      return new Blob([bytes as BlobPart], { type: 'application/pdf' });
    } finally {
      this.busy.set(false);
    }
  }

  private reported(handOut: HandOut, row: Row, learnerId: Id, name: string): Reported | null {
    const { go, response, marking, frozen } = row;
    if (!go || !marking || !response?.decision) return null;
    // As the learner is told it once it is out.
    const out = marking.responses.map(({ heldUntil: _, ...r }) => r);
    const answersAt = answersFor(handOut, learnerId);
    return {
      ...{ name, title: handOut.title, frozen, go, decision: response.decision, withPoints: handOut.points },
      said: saidOf({ ...marking, responses: out }),
      family: response.family ?? '',
      isOnPaper: (response.paper?.length ?? 0) > 0,
      withKeys: answersAt !== null && answersAt <= this.clock.minute() && response.decision === 'complete',
    };
  }
}
