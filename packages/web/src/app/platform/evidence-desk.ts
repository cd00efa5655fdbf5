import {
  dossier,
  type DossierOptions,
  type Evidence,
  evidenceCsv,
  overview,
  type Period,
  type PrintedDocument,
  type Privacy,
  reportLanguage,
  unnaming,
  withoutNames,
} from '@lorvet/core/evidence';
import { DESK_TOOLS } from './desk-tools';
import type { Boxes } from './storage/boxes';
import { EvidenceSource } from './storage/evidence-source';

/** What is asked for: of whom, of which time, for whose eyes. */
export interface EvidenceOrder {
  readonly learnerIds: readonly string[];
  readonly period: Period;
  readonly privacy: Privacy;
  /** What the whole is called, where it is of several. */
  readonly title: string;
  /** As IANA names it: days are written in its form. */
  readonly language: string;
}

/** A photograph for a document, by its asset. */
export interface DocumentPicture {
  readonly assetId: string;
  readonly data: Blob;
}

/** Evidence as documents and files, one order at a time. */
export class EvidenceDesk {
  private readonly source: EvidenceSource;
  private all: Evidence[] = [];
  private homes: string[] = [];
  private readonly form: Intl.DateTimeFormat;

  constructor(
    boxes: Boxes,
    generation: string,
    private readonly order: EvidenceOrder,
    private readonly at: string,
  ) {
    this.source = new EvidenceSource(boxes, generation);
    this.form = new Intl.DateTimeFormat(order.language, { dateStyle: 'medium' });
  }

  static async one(
    boxes: Boxes,
    generation: string,
    learnerId: string,
    period: Period,
    at: string,
  ): Promise<Evidence | null> {
    const source = new EvidenceSource(boxes, generation);
    await source.open();
    const [one] = await source.gather([learnerId], period, at, undefined, false);
    return one ?? null;
  }

  async gather(progress: (done: number, of: number) => void): Promise<number> {
    const { learnerIds, period, privacy } = this.order;
    await this.source.open();
    const all = await this.source.gather(learnerIds, period, this.at, progress);
    const learners = this.source.all();
    const unnamed = privacy === 'without names' ? unnaming(this.source.named()) : null;
    const homes = new Map(learners.map((l) => [l.id, l.needs.comfort?.home ?? '']));
    this.homes = all.map((e) => homes.get(e.learner.id) ?? '');
    this.all = unnamed ? all.map((e, i) => numberedAs(withoutNames(e, unnamed(e.learner.id)), i, all.length)) : all;
    return this.all.length;
  }

  document(i: number): PrintedDocument {
    return dossier(this.of(i), this.options(i));
  }

  overview(): PrintedDocument {
    const name = this.order.privacy === 'without names' ? 'a group' : this.order.title;
    return overview(this.all, { name, options: this.options(0) });
  }

  /** The photographs of a document, those that are here. */
  async pictures(i: number): Promise<DocumentPicture[]> {
    const ids = this.of(i).notes.flatMap((n) => n.assetId || []);
    const found = await Promise.all(ids.map((id) => this.source.asset(id)));
    return found.flatMap((a) => (a ? [{ assetId: a.id, data: a.data }] : []));
  }

  csv(): string {
    return evidenceCsv(this.all);
  }

  /** One learner's, or those of all as a list. */
  json(i: number): string {
    return JSON.stringify(i < 0 ? this.all : this.of(i), null, 2);
  }

  /** Without its ending. */
  fileName(i: number): string {
    const { learner } = this.of(i);
    return `${(this.order.privacy === 'without names' ? learner.name : learner.called).replace(/[^\p{L}\p{N}]+/gu, '-')}-evidence`;
  }

  private of(i: number): Evidence {
    const one = this.all[i];
    if (!one) throw new Error(`There is no evidence ${i}.`);
    return one;
  }

  private options(i: number): DossierOptions {
    return {
      privacy: this.order.privacy,
      home: reportLanguage(this.homes[i] ?? ''),
      day: (iso) => this.form.format(new Date(iso.length === 10 ? `${iso}T12:00:00` : iso)),
      tools: DESK_TOOLS,
    };
  }
}

/** Of several without names each is told from the others by a number. */
function numberedAs(e: Evidence, i: number, of: number): Evidence {
  if (of === 1) return e;
  const name = `Learner ${i + 1}`;
  return { ...e, learner: { ...e.learner, name, called: name } };
}
