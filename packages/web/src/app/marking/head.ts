import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { many } from '../platform/many';
import { MarkingHere } from './here';

/** The head of each way to look at the work of a hand-out: how far it is, and the other ways. What is projected stands at the end. */
@Component({
  selector: 'lv-marking-head',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row head">
      <h1>{{ table.handOut()?.title }}</h1>
      @if (table.toLook(); as n) {
        <span class="tag ochre">{{ n }} of {{ many(table.rows().length, noun()) }} to look at</span>
      } @else {
        <span class="tag">{{ many(table.rows().length, noun()) }}</span>
      }
      <span class="tag moss">{{ table.complete() }} complete</span>
      <nav aria-label="Ways to look at it">
        @for (w of ways(); track w.name) {
          <a
            [routerLink]="w.link"
            [queryParams]="w.query"
            routerLinkActive="on"
            ariaCurrentWhenActive="page"
            [routerLinkActiveOptions]="exact"
            >{{ w.name }}</a
          >
        }
      </nav>
    </div>
  `,
  styles: `
    .head {
      margin-bottom: 8px;
    }
    nav {
      display: flex;
      flex-wrap: wrap;
      gap: 2px;
      margin-left: auto;
      padding: 2px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
    }
    a {
      display: grid;
      place-items: center;
      min-height: 30px;
      padding: 2px 9px;
      border-radius: calc(var(--r) - 2px);
      font-weight: 600;
      text-decoration: none;
    }
    a:hover {
      background: var(--sunken);
    }
    a.on {
      background: var(--accent-soft);
      box-shadow: inset 0 -2px 0 var(--accent);
    }
  `,
})
export class MarkingHead {
  private readonly here = inject(MarkingHere);
  protected readonly table = this.here.table;
  protected readonly many = many;
  /** What is chosen now: the other ways begin with it. */
  readonly learnerId = input('');
  readonly itemId = input('');
  protected readonly exact = {
    paths: 'exact',
    queryParams: 'ignored',
    fragment: 'ignored',
    matrixParams: 'ignored',
  } as const;
  protected readonly noun = computed(() => (this.table.rows()[0]?.members ? 'group' : 'learner'));
  protected readonly ways = computed(() => {
    const at = ['/marking', this.here.id()];
    const learner = this.learnerId() || this.table.rows()[0]?.learnerId || '';
    const item = this.itemId() || this.table.columns()[0]?.id || '';
    return [
      { name: 'Everybody', link: at, query: learner ? { learner } : {} },
      { name: 'One question', link: [...at, 'question'], query: item ? { item } : {} },
      { name: 'One work', link: [...at, 'work'], query: learner ? { learner, item } : {} },
      { name: 'On paper', link: [...at, 'paper'], query: {} },
      { name: 'Let out', link: [...at, 'out'], query: {} },
    ];
  });
}
