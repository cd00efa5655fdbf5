import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { cardFor, type CardPart, levelsNow, maySee, sayLevel, type Viewer } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../platform/clock';
import { WorkspaceStore } from '../store/workspace';
import { Empty } from '../ui/empty';
import { dayIn } from '../ui/when';
import { LucideDynamicIcon } from '@lucide/angular';

interface Part {
  readonly name: string;
  readonly says: readonly string[];
}

/** A needs card as the team or the family may see it, for paper. It holds nothing that is not for them. */
@Component({
  selector: 'lv-seen-card',
  imports: [ButtonDirective, Empty, LucideDynamicIcon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (learner(); as l) {
      <div class="row no-print bar">
        <a pButton severity="secondary" routerLink="/learners" [queryParams]="{ learner: l.id }">Back to the card</a>
        <span class="grow small">As {{ viewer() === 'family' ? 'the family' : 'the team' }} sees it</span>
        <button pButton type="button" (click)="print()"><svg lucideIcon="printer"></svg>Print</button>
      </div>
      <article>
        <h1>{{ l.name }}</h1>
        @if (l.chosenName) {
          <p>Called {{ l.chosenName }}</p>
        }
        @for (p of parts(); track p.name) {
          <section>
            <h2>{{ p.name }}</h2>
            <ul>
              @for (s of p.says; track $index) {
                <li>{{ s }}</li>
              }
            </ul>
          </section>
        } @empty {
          <p>
            Nothing on this card is for {{ viewer() === 'family' ? 'the family' : 'the team' }} yet. You say what is at
            the foot of the card.
          </p>
        }
        <p class="small">{{ dayIn(clock.today()) }}</p>
      </article>
    } @else {
      <lv-empty heading="This learner is not here">They may wait under Keeping, and can be put back.</lv-empty>
    }
  `,
  styles: `
    .bar {
      padding: 10px 16px;
      border-bottom: 1px solid var(--line);
      background: var(--surface);
    }
    article {
      display: grid;
      gap: 14px;
      max-width: 720px;
      margin: 0 auto;
      padding: 28px 20px;
    }
    h2 {
      font-size: 17px;
    }
    ul {
      padding-left: 18px;
      list-style: disc;
    }
    @media print {
      .no-print {
        display: none;
      }
    }
  `,
})
export class SeenCard {
  readonly learnerId = input.required<string>();
  /** 'team' or 'family', from the address. */
  readonly for = input<string>();
  private readonly work = inject(WorkspaceStore);
  protected readonly clock = inject(Clock);
  protected readonly dayIn = dayIn;
  protected readonly viewer = computed<Viewer>(() => (this.for() === 'family' ? 'family' : 'team'));
  protected readonly learner = computed(() => this.work.people().learners.find((l) => l.id === this.learnerId()));
  protected readonly parts = computed((): Part[] => {
    const l = this.learner();
    if (!l) return [];
    const needs = cardFor(l.needs, this.viewer());
    const isSeen = (part: CardPart) => maySee(l.needs, part, this.viewer());
    const day = (text: string, on: string) => (on ? `${text} ${dayIn(on)}` : '');
    const joined = (...words: string[]) => words.filter(Boolean).join(', ');
    const all: Part[] = [
      { name: 'Birthday', says: isSeen('birthday') && l.birthday ? [dayIn(l.birthday)] : [] },
      { name: 'Levels', says: levelsNow(needs.levels).map((x) => sayLevel(x, dayIn)) },
      {
        name: 'Supports agreed',
        says: needs.supports.map((s) => joined(s.what, day('from', s.from), day('until', s.until), s.note)),
      },
      {
        name: 'Goals',
        says: needs.goals.map((g) =>
          joined(g.text, g.target === null ? g.measure : `${g.target} ${g.measure}`.trim(), day('by', g.by)),
        ),
      },
      { name: 'What works', says: [needs.works].filter(Boolean) },
      { name: 'What to avoid', says: [needs.avoid].filter(Boolean) },
      { name: 'Interests', says: [needs.interests.join(', ')].filter(Boolean) },
      { name: 'Languages', says: [needs.languages.join(', ')].filter(Boolean) },
      { name: 'Note', says: [needs.note].filter(Boolean) },
    ];
    return all.filter((p) => p.says.length > 0);
  });

  protected print(): void {
    window.print();
  }
}
