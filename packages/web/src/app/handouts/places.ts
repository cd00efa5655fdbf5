import { moveItemInArray } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  changedAfter,
  copyIdOf,
  copyState,
  frozenFor,
  type IndexLayout,
  learnerSheet,
  type Place,
  pagesFor,
  placesInOrder,
  PLAIN_LAYOUT,
  questionNumbers,
  recipientsOf,
  type Remark,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../platform/clock';
import { counted, many } from '../platform/many';
import { HandOutActions } from '../store/actions';
import { Parts } from '../store/parts';
import { wantWork } from '../store/wants';
import { WorkspaceStore } from '../store/workspace';
import { LaidPage } from '../ui/blocks/laid-page';
import { FOLD } from '../ui/controls/fold';
import { Empty } from '../ui/empty';
import { InSight } from '../ui/focused';
import { type PlaceAt, placeAfter, PlaceIndex } from '../ui/place-index';
import { PlaceLayout } from './place-layout';
import type { Moved } from './place-order';

/** What one learner wrote to another's place, that the teacher has said nothing to yet. */
interface Waiting extends Remark {
  readonly from: string;
}

/** The index of everybody's places in one hand-out, the place that is chosen, and what learners wrote to each other. */
@Component({
  selector: 'lv-places',
  imports: [ButtonDirective, Empty, InSight, LaidPage, PlaceIndex, PlaceLayout, RouterLink, ...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (plan(); as h) {
      <div class="page">
        <div class="row">
          <h1 class="grow">{{ h.title }}: index and places</h1>
          <a pButton severity="secondary" [routerLink]="['/hand-outs', h.id]">The plan</a>
          @if (h.state === 'given') {
            <a pButton severity="secondary" [routerLink]="['/marking', h.id]" [queryParams]="{ learner: at().id }"
              >Mark it</a
            >
          }
        </div>
        <lv-fold name="Lay the index out">
          <lv-place-layout
            *lvFolded
            [layout]="layout()"
            [list]="list()"
            [names]="h.place?.names ?? true"
            (changed)="layOut($event)"
            (moved)="move($event)"
          />
        </lv-fold>
        @if (waiting().length) {
          <section class="card ochre" aria-label="To read first">
            <h2>{{ counted(waiting().length, '{n} remark to read first', '{n} remarks to read first') }}</h2>
            <ul>
              @for (r of waiting(); track r.id) {
                <li class="row">
                  <span class="grow"
                    ><strong>{{ nameOf(r.from) }}</strong> to {{ nameOf(r.to) }}: {{ r.text }}</span
                  >
                  <button pButton severity="secondary" type="button" (click)="say(r, true)">All may read it</button>
                  <button pButton severity="secondary" text type="button" (click)="say(r, false)">Keep it back</button>
                </li>
              }
            </ul>
          </section>
        }
        <lv-place-index
          [list]="list()"
          [words]="layout().words"
          [columns]="layout().columns"
          [at]="at().id"
          (asked)="see($event)"
        />
        @if (h.state === 'draft') {
          <p class="small">
            Whoever the plan is for has a place here, also who joins later. Their pages come when it is given.
          </p>
        }
        @if (shown(); as p) {
          <section class="place" [attr.aria-label]="nameOf(at().id)">
            <div class="row">
              @for (x of [at()]; track x) {
                <h2 class="grow" [lvInSight]="x.isAsked">{{ nameOf(x.id) }}</h2>
              }
              @if (next(); as n) {
                <button pButton severity="secondary" type="button" (click)="see(n.id)">Next: {{ n.name }}</button>
              }
            </div>
            @for (page of p.pages; track page.id) {
              <div class="card">
                <lv-laid-page [page]="page" [numbers]="p.numbers" [answers]="p.answers" [locked]="true" />
              </div>
            }
            @for (r of said(); track r.id) {
              <p class="small row">
                <span class="grow"
                  ><strong>{{ nameOf(r.from) }}:</strong> {{ r.text }}</span
                >
                <button pButton severity="secondary" text type="button" (click)="say(r, false)">Take it away</button>
              </p>
            }
          </section>
        }
      </div>
    } @else if (ready()) {
      <lv-empty alone heading="There are no places here"
        >It may have been removed, or it gives no place to each.
        <a pButton severity="secondary" routerLink="/hand-outs">All hand-outs</a></lv-empty
      >
    }
  `,
  styles: `
    .page {
      max-width: 1240px;
      margin: 0 auto;
      padding: 16px 20px;
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 14px;
    }
    section,
    ul {
      display: grid;
      gap: 8px;
    }
    li span,
    p span {
      overflow-wrap: anywhere;
    }
    h2 {
      scroll-margin-top: 12px;
    }
    .place {
      max-width: 900px;
    }
    .card {
      padding: 16px;
    }
    lv-laid-page {
      display: grid;
      gap: 14px;
    }
  `,
})
export class Places {
  protected readonly counted = counted;
  readonly id = input.required<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  protected readonly many = many;
  protected readonly ready = inject(Parts).hold(
    () => this.id() || null,
    (id, want) => wantWork(id, want, this.work.doc),
  );
  protected readonly plan = computed(() => {
    const plan = this.work.handOuts()[this.id()];
    return plan?.way === 'place-each' ? plan : undefined;
  });
  private readonly names = computed(() => new Map(this.work.people().learners.map((l) => [l.id, l.name])));
  protected readonly layout = computed((): IndexLayout => this.plan()?.place?.layout ?? PLAIN_LAYOUT);
  /** In the order of the index, with how far each is; of a draft, whoever it is for. */
  protected readonly list = computed(() => {
    const plan = this.plan();
    if (!plan) return [];
    const people = this.work.people();
    const isGiven = plan.state === 'given';
    const ids = isGiven ? Object.keys(plan.given) : recipientsOf(plan, people).map((l) => l.id);
    // The teacher reads names, also where learners do not.
    const named = plan.place?.names
      ? plan
      : { id: plan.id, place: plan.place && { ...plan.place, names: true, layout: undefined } };
    return placesInOrder(named, ids, (id) => this.nameOf(id), people.classes).map(({ id, under }) => {
      const name = this.nameOf(id);
      if (!isGiven) return { id, under, name };
      const copyId = copyIdOf(plan.id, id);
      const state = copyState(plan, this.work.copies()[copyId], this.work.markings()[copyId], this.clock.minute());
      return { id, under, name, says: state };
    });
  });
  private readonly first = computed(() => this.list()[0]?.id ?? '');
  /** Stays where it is while the index changes. */
  protected readonly at = linkedSignal<string, PlaceAt>({
    source: this.first,
    computation: (first, before) =>
      before && this.list().some((p) => p.id === before.value.id) ? before.value : { id: first, isAsked: false },
  });
  protected readonly next = computed(() => placeAfter(this.list(), this.at().id));
  protected readonly shown = computed(() => {
    const plan = this.plan();
    const frozen = plan && frozenFor(plan, this.work.frozen(), this.at().id);
    if (!plan || !frozen) return undefined;
    const sheet = learnerSheet(frozen);
    const copyId = copyIdOf(plan.id, this.at().id);
    const go = this.work.copies()[copyId]?.goes.at(-1);
    const pages = pagesFor(sheet, [], `${copyId}.${go?.n ?? 1}`);
    return {
      pages: pages.filter((p) => plan.place?.pageIds.includes(p.id)),
      numbers: questionNumbers(pages),
      answers: go?.answers ?? {},
    };
  });
  protected readonly waiting = computed((): Waiting[] => {
    const plan = this.plan();
    const known = new Set(plan?.place?.remarks.map((r) => r.id));
    return Object.keys(plan?.given ?? {})
      .flatMap((from) => (this.work.copies()[copyIdOf(this.id(), from)]?.remarks ?? []).map((r) => ({ ...r, from })))
      .filter((r) => !known.has(r.id))
      .sort((a, b) => a.at.localeCompare(b.at));
  });
  protected readonly said = computed(
    () => this.plan()?.place?.remarks.filter((r) => r.to === this.at().id && r.isShown) ?? [],
  );

  protected see(id: string): void {
    this.at.set({ id, isAsked: true });
  }

  protected nameOf(id: string): string {
    return this.names().get(id) ?? 'A removed learner';
  }

  protected layOut(patch: Partial<IndexLayout>): void {
    const plan = this.plan();
    if (!plan?.place) return;
    const handOut = { ...plan, place: { ...plan.place, layout: { ...this.layout(), ...patch } } };
    this.work.dispatch(HandOutActions.planChanged({ handOut, label: 'index of places' }));
  }

  /** From where it is now, not from where it was drawn: somebody may press faster than that. */
  protected move({ id, by }: Moved): void {
    const ownOrder = this.list().map((p) => p.id);
    const at = ownOrder.indexOf(id);
    moveItemInArray(ownOrder, at, at + by);
    this.layOut({ ownOrder });
  }

  /** Whether all may read it. */
  protected say({ id, to, from, text }: Place['remarks'][number] | Waiting, isShown: boolean): void {
    const plan = this.plan();
    if (!plan?.place) return;
    const remarks = [...plan.place.remarks.filter((r) => r.id !== id), { id, to, from, text, isShown }];
    const says = `${this.nameOf(from)}’s words to ${this.nameOf(to)} ${isShown ? 'shown to all' : 'kept back'}`;
    const handOut = changedAfter(plan, { place: { ...plan.place, remarks } }, this.clock.iso(), says);
    this.work.dispatch(HandOutActions.planChanged({ handOut, label: isShown ? 'show a word' : 'keep a word back' }));
  }
}
