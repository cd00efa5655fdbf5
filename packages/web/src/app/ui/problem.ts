import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** What went wrong, for a teacher: of what, what it is, and where. */
export interface Wrong {
  /** The file or thing it is about, or what could not be done with it. */
  readonly name?: string;
  readonly message: string;
  readonly details: readonly string[];
}

/**
 * Says over the place that something could not be done: what, why, where, and (as its content) what was kept and what to
 * do now.
 */
@Component({
  selector: 'lv-problem',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'alert', class: 'card madder' },
  template: `
    @if (wrong().name) {
      <h3>{{ wrong().name }}</h3>
    }
    <p>{{ wrong().message }}</p>
    @if (wrong().details.length) {
      <ul class="problems small">
        @for (d of wrong().details; track $index) {
          <li>{{ d }}</li>
        }
      </ul>
    }
    <ng-content />
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
    }
  `,
})
export class ProblemCard {
  readonly wrong = input.required<Wrong>();
}
