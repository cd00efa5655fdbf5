import { inject } from '@angular/core';
import type { Copy, HandOut, Id, PaperPage } from '@lorvet/core';
import { MOST_PAPER, MOST_TO_PLACE } from '@lorvet/core';
import { goOnPaper, withoutPaperGo } from '@lorvet/core/marking';
import { Clock } from '../../platform/clock';
import type { KeptAsset } from '../../platform/storage/kept-asset';
import { MarkingActions, type ResponsePatch } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import type { Row } from '../row';

/** Where a photograph or scan goes: whose work, and which page of their sheet. */
export interface Target {
  readonly row: Row;
  /** Empty for several pages, or none in particular. */
  readonly pageId: Id | '';
}

/** Photographs and scans of learners' sheets: taken in, placed, and taken off again. Made where things are injected. */
export class Papers {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);

  constructor(private readonly handOut: () => HandOut | undefined) {}

  /** Those that wait to be placed. */
  waiting(): readonly string[] {
    return this.handOut()?.toPlace ?? [];
  }

  /** How many more can wait. */
  room(): number {
    return MOST_TO_PLACE - this.waiting().length;
  }

  /** Takes more in; `key` is the same for all that are chosen together. */
  take(assets: readonly KeptAsset[], key: string): void {
    const toPlace = [...this.waiting(), ...assets.map((a) => a.id)].slice(0, MOST_TO_PLACE);
    this.set({ toPlace: [...new Set(toPlace)] }, 'take sheets in', { assets, mergeKey: key });
  }

  throwAway(assetId: string): void {
    this.set({ toPlace: this.waiting().filter((a) => a !== assetId) }, 'throw a sheet away');
  }

  /** Another picture in the place of one that waits: the same, turned. */
  replace(assetId: string, asset: KeptAsset): void {
    const toPlace = this.waiting().map((a) => (a === assetId ? asset.id : a));
    this.set({ toPlace: [...new Set(toPlace)] }, 'turn a sheet', { assets: [asset] });
  }

  /** Places each where it goes; how many there was room for. */
  place(all: readonly { readonly assetId: string; readonly to: Target }[]): number {
    const h = this.handOut();
    if (!h) return 0;
    const copies = new Map<string, Copy>();
    const papers = new Map<string, { readonly row: Row; readonly go: number; readonly paper: PaperPage[] }>();
    const placed = new Set<string>();
    for (const { assetId, to } of all) {
      const { row } = to;
      const { go, copy } = this.goOf(row, copies.get(row.copyId));
      const before = papers.get(row.copyId)?.paper ?? paperOf(row, go);
      if (before.length >= MOST_PAPER) continue;
      if (copy) copies.set(row.copyId, copy);
      papers.set(row.copyId, { row, go, paper: [...before, { assetId, pageId: to.pageId }] });
      placed.add(assetId);
    }
    const responses = [...papers.values()].map(({ row, go, paper }): ResponsePatch => ({
      copyId: row.copyId,
      go,
      patch: { paper },
    }));
    const toPlace = this.waiting().filter((a) => !placed.has(a));
    this.set({ toPlace }, placed.size === 1 ? 'place a sheet' : 'place sheets', {
      responses,
      copies: [...copies.values()],
    });
    return placed.size;
  }

  /** Takes a sheet off the work it was placed on: it is the next to be placed. */
  takeOff(row: Row, page: PaperPage): void {
    const go = row.go?.n ?? 1;
    const at = paperOf(row, go).indexOf(page);
    const paper = paperOf(row, go).filter((_, i) => i !== at);
    const copy = withoutPaperGo({ copy: row.copy, marking: row.marking }, go);
    this.set({ toPlace: [page.assetId, ...this.waiting().filter((a) => a !== page.assetId)] }, 'take a sheet off', {
      responses: [{ copyId: row.copyId, go, patch: { paper } }],
      copies: copy ? [copy] : [],
    });
  }

  private goOf(row: Row, now: Copy | undefined) {
    const frozen = row.base.id;
    const pen = { from: this.clock.newId(), at: this.clock.iso() };
    const { copy = now, go } = goOnPaper(
      {
        handOutId: this.handOut()?.id ?? '',
        learnerId: row.learnerId,
        frozen,
        copy: now ?? row.copy,
        marking: row.marking,
      },
      pen,
    );
    return { go, copy };
  }

  private set(
    patch: Pick<HandOut, 'toPlace'>,
    label: string,
    more: {
      readonly responses?: readonly ResponsePatch[];
      readonly copies?: readonly Copy[];
      readonly assets?: readonly KeptAsset[];
      readonly mergeKey?: string;
    } = {},
  ): void {
    const h = this.handOut();
    if (h) this.work.dispatch(MarkingActions.markingSet({ handOutId: h.id, patch, responses: [], label, ...more }));
  }
}

const paperOf = (row: Row, go: number): PaperPage[] => row.marking?.responses.find((r) => r.go === go)?.paper ?? [];
