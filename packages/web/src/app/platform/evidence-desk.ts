import {
  dossier,
  type DossierOptions,
  type Evidence,
  type EvidenceWork,
  evidenceCsv,
  evidenceLines,
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

type Progress = (done: number, of: number) => void;

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

/** Evidence of so many learners is in memory at once: a class. */
const PORTION = 30;

/** Evidence as documents and files, one order at a time; gathered in portions, so that a school is no more than a class. */
export class EvidenceDesk {
  private readonly source: EvidenceSource;
  /** Whom it is about: those who are here, in the order that was asked for. */
  private ids: string[] = [];
  private portion: { readonly from: number; readonly all: readonly Evidence[] } = { from: 0, all: [] };
  private unnamed: ReturnType<typeof unnaming> | null = null;
  private homes = new Map<string, string>();
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

  /** Gathers the first of them; gives how many there are. */
  async gather(progress: Progress): Promise<number> {
    await this.source.open();
    const learners = new Map(this.source.all().map((l) => [l.id, l]));
    this.ids = this.order.learnerIds.filter((id) => learners.has(id));
    this.homes = new Map([...learners].map(([id, l]) => [id, l.needs.comfort?.home ?? '']));
    this.unnamed = this.order.privacy === 'without names' ? unnaming(this.source.named()) : null;
    if (this.ids.length) await this.turnTo(0, progress);
    return this.ids.length;
  }

  async document(i: number): Promise<PrintedDocument> {
    return dossier(await this.of(i), this.options(i));
  }

  async overview(): Promise<PrintedDocument> {
    const all: Evidence[] = [];
    // What sides are is long, and an overview does not say it.
    for await (const e of this.everyone())
      all.push({ ...e, works: e.works.map((w): EvidenceWork => ({ ...w, sides: [] })) });
    const name = this.order.privacy === 'without names' ? 'a group' : this.order.title;
    return overview(all, { name, options: this.options(0) });
  }

  /** The photographs of a document, those that are here. */
  async pictures(i: number): Promise<DocumentPicture[]> {
    const ids = (await this.of(i)).notes.flatMap((n) => n.assetId || []);
    const found = await Promise.all(ids.map((id) => this.source.asset(id)));
    return found.flatMap((a) => (a ? [{ assetId: a.id, data: a.data }] : []));
  }

  async csv(): Promise<string> {
    const lines: (string | number)[][] = [];
    for await (const e of this.everyone()) for (const line of evidenceLines(e)) lines.push(line);
    return evidenceCsv(lines);
  }

  /** One learner's, or those of all as a list. */
  async json(i: number): Promise<string> {
    if (i >= 0) return JSON.stringify(await this.of(i), null, 2);
    const all: string[] = [];
    // Each as it stands in a list of one: between the brackets.
    for await (const e of this.everyone()) all.push(JSON.stringify([e], null, 2).slice(1, -2));
    return `[${all.join(',')}\n]`;
  }

  /** Without its ending. */
  async fileName(i: number): Promise<string> {
    const { learner } = await this.of(i);
    return `${(this.order.privacy === 'without names' ? learner.name : learner.called).replace(/[^\p{L}\p{N}]+/gu, '-')}-evidence`;
  }

  private async *everyone(): AsyncGenerator<Evidence> {
    for (let i = 0; i < this.ids.length; i++) yield await this.of(i);
  }

  private async of(i: number): Promise<Evidence> {
    const from = i - (i % PORTION);
    if (from !== this.portion.from) await this.turnTo(from);
    const one = this.portion.all[i - from];
    if (!one) throw new Error(`There is no evidence ${i}.`);
    return one;
  }

  private async turnTo(from: number, progress?: Progress): Promise<void> {
    // The portion before is let go of first.
    this.portion = { from, all: [] };
    const ids = this.ids.slice(from, from + PORTION);
    const all = await this.source.gather(ids, this.order.period, this.at, progress);
    const { unnamed } = this;
    this.portion = {
      from,
      all: unnamed
        ? all.map((e, k) => numberedAs(withoutNames(e, unnamed(e.learner.id)), from + k, this.ids.length))
        : all,
    };
  }

  private options(i: number): DossierOptions {
    return {
      privacy: this.order.privacy,
      home: reportLanguage(this.homes.get(this.ids[i] ?? '') ?? ''),
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
