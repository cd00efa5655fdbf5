import { inject, Injectable } from '@angular/core';
import { type Album, type Copy, copyIdOf, pagesFor, type Remark, type SheetPage } from '@lorvet/core/desk';
import { Clock } from '../../platform/clock';
import { Parts } from '../../store/parts';
import { WorkspaceStore } from '../../store/workspace';
import { DeskCopies } from '../desk-copies';
import { DeskSession } from '../desk-session';
import type { DeskSheetWork } from '../desk-work';

/** The places of everybody in one piece of work, where they are open, and what learners write to each other's. */
@Injectable({ providedIn: 'root' })
export class DeskAlbum {
  private readonly session = inject(DeskSession);
  private readonly copies = inject(DeskCopies);
  private readonly store = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly parts = inject(Parts);

  /** Holds the places of everybody, and the work in one of them, for the part that calls it. */
  holdPlaces(handOutId: () => string, placeId: () => string): () => boolean {
    return this.parts.hold(
      () => ({ id: handOutId(), learnerId: this.session.learnerId(), placeId: placeId() }),
      async ({ id, learnerId, placeId: whose }, want) => {
        await want('slips', [learnerId]);
        if (!this.session.slipped(id)?.place?.isOpen) return;
        await want('albums', [id]);
        const places = this.store.index().albums[id]?.places ?? [];
        const place = places.find((p) => p.id === whose);
        await Promise.all([
          want(
            'copies',
            [learnerId, ...(place ? [place.id] : [])].map((key) => copyIdOf(id, key)),
          ),
          place ? want('sheets', [place.sheet]) : null,
        ]);
      },
    );
  }

  /** The places of everybody, where this learner may see them; undefined where not. */
  album(handOutId: string): Album | undefined {
    return this.session.slipped(handOutId)?.place?.isOpen ? this.store.index().albums[handOutId] : undefined;
  }

  /** One of the places: its pages, and what is in them. */
  placeIn(handOutId: string, placeId: string): { pages: SheetPage[]; answers: DeskSheetWork['answers'] } | undefined {
    const album = this.album(handOutId);
    const place = album?.places.find((p) => p.id === placeId);
    const sheet = place && this.store.index().sheets[place.sheet];
    if (!album || !place || !sheet) return undefined;
    const copyId = copyIdOf(handOutId, placeId);
    const go = this.store.copies()[copyId]?.goes.at(-1);
    const pages = pagesFor(sheet, place.own, `${copyId}.${go?.n ?? 1}`).filter((p) => album.pageIds.includes(p.id));
    return { pages, answers: go?.answers ?? {} };
  }

  /** What this learner wrote to the others' places: what the teacher has said nothing to yet too. */
  remarks(handOutId: string): readonly Remark[] {
    return this.store.copies()[copyIdOf(handOutId, this.session.learnerId())]?.remarks ?? [];
  }

  /** The learner's copy with a few words to another's place; the teacher reads them first. */
  remarked(handOutId: string, to: string, text: string): Copy | undefined {
    const work = this.session.slipped(handOutId);
    if (!work?.place?.comments || !text) return undefined;
    const before = this.store.copies()[this.session.copyId(handOutId, work)];
    const remark = { id: this.clock.newId(), to, text, at: this.clock.iso() };
    return { ...this.copies.copy(handOutId, work, before?.goes ?? []), remarks: [...(before?.remarks ?? []), remark] };
  }
}
