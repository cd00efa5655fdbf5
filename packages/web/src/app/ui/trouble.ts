import { ChangeDetectionStrategy, Component, computed, inject, Injectable } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { CollectionName } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Keeper } from '../platform/storage/keeper';

const NAMES: Readonly<Partial<Record<CollectionName, string>>> = {
  families: 'The activity',
  learners: 'A learner’s card',
  classes: 'The class',
  groups: 'The group',
  audiences: 'The audience',
  calendars: 'The days without school',
  rosters: 'What the school’s list said last',
  handOuts: 'The hand-out',
  copies: 'A learner’s work',
  markings: 'Words on a learner’s work',
  templates: 'The template',
  recipes: 'The recipe',
  phrases: 'The phrase',
  folders: 'What was added to a learner’s evidence',
  dismissed: 'The dismissed suggestion',
  chronicle: 'The page of the record',
};

/** What of the last changes is not kept, and why. */
@Injectable({ providedIn: 'root' })
export class Trouble {
  private readonly keeper = inject(Keeper);
  readonly isThere = computed(() => this.keeper.failed() !== '' || this.keeper.refused().length > 0);
  /** Whether it is room that is lacking. */
  readonly isFull = computed(() => this.keeper.failed() === 'QuotaExceededError');
  readonly refused = computed(() =>
    this.keeper.refused().map(({ kind, why }) => ({
      what: NAMES[kind as CollectionName] ?? 'A record',
      why: why.join('; '),
    })),
  );

  tryAgain(): void {
    this.keeper.tryAgain();
  }
}

/** Says over the place that something is not kept, what was done about it, and what can be done. */
@Component({
  selector: 'lv-trouble',
  imports: [ButtonDirective, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="card madder" role="alert">
      @if (trouble.refused().length) {
        @for (r of trouble.refused(); track $index) {
          <p>
            <strong>{{ r.what }} cannot be kept as it is</strong> ({{ r.why }}). It stays on the page: make it shorter,
            or undo the last change.
          </p>
        }
      } @else {
        <p class="grow">
          <strong>The last changes are not saved yet.</strong>
          {{
            trouble.isFull()
              ? 'There is no room left in this browser. They are tried again by themselves as soon as there is: clear what nothing uses, or let go of removed things.'
              : 'The browser could not write them. They are tried again by themselves; save a backup if this goes on.'
          }}
          Keep this page open.
        </p>
        <button pButton severity="secondary" type="button" (click)="trouble.tryAgain()">Try again now</button>
        <a pButton severity="secondary" routerLink="/keeping">Make room</a>
      }
    </div>
  `,
  styles: `
    .card {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 10px;
      margin: 10px 16px;
    }
    p {
      flex: 1 1 300px;
    }
  `,
})
export class TroubleLine {
  protected readonly trouble = inject(Trouble);
}
