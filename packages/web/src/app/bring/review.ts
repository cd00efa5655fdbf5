import { computed, signal } from '@angular/core';
import type { Audience, Id, Page } from '@lorvet/core';
import { acceptedPages, type Decision, type PageChoice, type Proposed, type ProposedPage } from '@lorvet/core/intake';
import type { Reading } from '../platform/workers/intake.worker';
import { isQuestion } from './brought';

export type As = PageChoice['as'];
interface Choice {
  readonly as: As;
  readonly audience: Audience;
  readonly accepted: ReadonlySet<Id>;
}

const LEFT: Choice = { as: 'leave', audience: 'learner', accepted: new Set() };

/** What was read of a file, while it is looked over: how each page comes in, and what was decided otherwise. */
export class Review {
  readonly reading = signal<Reading | null>(null);
  /** Which of the pages is looked at. */
  readonly at = signal(0);
  private readonly choices = signal<ReadonlyMap<number, Choice>>(new Map());
  /** Decisions that the teacher turned round, by their ids. */
  private readonly turned = signal<ReadonlyMap<string, Audience>>(new Map());

  readonly pages = computed(() => this.reading()?.proposed.pages ?? []);
  readonly page = computed<ProposedPage | undefined>(() => this.pages()[this.at()]);
  /** The pages that come in. */
  readonly taken = computed(() => this.pages().filter((p) => this.choiceOf(p.n).as !== 'leave'));
  /** Proposals that are accepted, of those that could be. */
  readonly counted = computed(() => {
    const items = this.pages().flatMap((p) => p.proposals.filter(isQuestion).map((x) => ({ n: p.n, x })));
    const yes = items.filter(({ n, x }) => this.choiceOf(n).as !== 'leave' && this.choiceOf(n).accepted.has(x.id));
    return { all: items.length, accepted: yes.length, keyed: yes.filter(({ x }) => x.keyed).length };
  });

  /** Begins with everything that is proposed; with nothing where nothing was read. */
  begin(reading: Reading | null): void {
    this.reading.set(reading);
    this.choices.set(carriedOver([], new Map(), reading?.proposed.pages ?? []));
    this.turned.set(new Map());
    this.at.set(0);
  }

  choiceOf(n: number): Choice {
    return this.choices().get(n) ?? LEFT;
  }

  change(n: number, fields: Partial<Choice>): void {
    this.choices.set(new Map(this.choices()).set(n, { ...this.choiceOf(n), ...fields }));
  }

  accept(n: number, id: Id, yes: boolean): void {
    const accepted = new Set(this.choiceOf(n).accepted);
    if (yes) accepted.add(id);
    else accepted.delete(id);
    this.change(n, { accepted });
  }

  acceptAll(yes: boolean): void {
    const of = (p: ProposedPage) => new Set(p.proposals.filter((x) => yes || !isQuestion(x)).map((x) => x.id));
    this.choices.set(new Map(this.pages().map((p) => [p.n, { ...this.choiceOf(p.n), accepted: of(p) }])));
  }

  isTurned(d: Decision): boolean {
    return this.turned().has(d.id);
  }

  /** The decisions turned round, with this one too, or no more. */
  turnedWith(d: Decision): ReadonlyMap<string, Audience> {
    const turned = new Map(this.turned());
    if (!turned.delete(d.id)) turned.set(d.id, d.or);
    return turned;
  }

  /** Goes on with what the file becomes by other decisions: what was chosen stays chosen, the page in view in view. */
  goOn(proposed: Proposed, turned: ReadonlyMap<string, Audience>): void {
    const reading = this.reading();
    if (!reading) return;
    const page = this.page()?.page;
    const at = proposed.pages.findIndex((p) => p.page === page);
    this.turned.set(turned);
    this.choices.set(carriedOver(reading.proposed.pages, this.choices(), proposed.pages));
    this.reading.set({ ...reading, proposed });
    this.at.set(Math.max(0, at));
  }

  /**
   * Pages as they come in; `drawn`: the picture of each that comes in as one, by its number. One with none drawn comes in
   * as blocks.
   */
  asTaken(pages: readonly ProposedPage[], drawn: ReadonlyMap<number, Id>, from: string, newId: () => Id): Page[] {
    const reading = this.reading();
    if (!reading) return [];
    const choices = pages.map((p): PageChoice => {
      const { as, audience, accepted } = this.choiceOf(p.n);
      const pictureId = as === 'picture' ? drawn.get(p.n) : undefined;
      const size = reading.sizes[p.page];
      return {
        n: p.n,
        as: as === 'picture' && !pictureId ? 'blocks' : as,
        audience,
        accepted,
        orientation: size && size.width > size.height ? 'landscape' : 'portrait',
        ...(pictureId ? { pictureId } : {}),
      };
    });
    const pictureOf = new Map(reading.pictures.flatMap((a, i) => (a ? [[i, a.id] as const] : [])));
    return acceptedPages(reading.proposed, choices, pictureOf, from, newId);
  }
}

const sameAs = (p: ProposedPage): string => `${p.page} ${p.audience} ${p.decided?.id ?? ''}`;

/** The proposals of all pages, each known by its words in whatever it is divided; the same words count in their order. */
function byWords(pages: readonly ProposedPage[]): [string, ProposedPage, Id][] {
  const seen = new Map<string, number>();
  return pages.flatMap((p) =>
    p.proposals.map(({ id, block }): [string, ProposedPage, Id] => {
      const words = `${p.page} ${'prompt' in block ? block.prompt : JSON.stringify({ ...block, id: '' })}`;
      const nth = (seen.get(words) ?? 0) + 1;
      seen.set(words, nth);
      return [`${words} ${nth}`, p, id];
    }),
  );
}

/** What was chosen for the same pages and the same proposals of a new reading; for others, all that is proposed. */
function carriedOver(
  old: readonly ProposedPage[],
  choices: ReadonlyMap<number, Choice>,
  fresh: readonly ProposedPage[],
): Map<number, Choice> {
  const before = new Map(old.map((p) => [sameAs(p), choices.get(p.n)]));
  const refused = new Set(byWords(old).flatMap(([key, p, id]) => (choices.get(p.n)?.accepted.has(id) ? [] : key)));
  const accepted = new Map<number, Set<Id>>();
  for (const [key, p, id] of byWords(fresh))
    if (!refused.has(key)) accepted.set(p.n, (accepted.get(p.n) ?? new Set()).add(id));
  return new Map(
    fresh.map((p) => [
      p.n,
      {
        as: before.get(sameAs(p))?.as ?? (p.pictureOnly ? 'picture' : 'blocks'),
        audience: before.get(sameAs(p))?.audience ?? p.audience,
        accepted: accepted.get(p.n) ?? new Set(),
      },
    ]),
  );
}
