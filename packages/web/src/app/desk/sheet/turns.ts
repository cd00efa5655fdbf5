import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Say, saying } from '../../ui/say/say';
import type { Together } from '../desk-work';

/** Names that are told, before the rest is counted; and that stand as buttons, before there is a list to choose from. */
const NAMED = 6;

/** On a sheet that several share: who they are, and whose turn it is to write. One press passes it on. */
@Component({
  selector: 'lv-turns',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (isFirst()) {
      <p>
        <strong>{{ together().team }}:</strong>
        {{ t('You do this together with {others}. There is one sheet for all of you.', { others: others() }) }}
      </p>
    }
    @if (canWrite() && members().length > most) {
      <label class="row"
        >{{ t('Whose turn is it to write?') }}
        <select #next (change)="passed.emit(next.value)">
          @for (m of members(); track m.id) {
            <option [value]="m.id" [selected]="m.id === writer()">
              {{ m.name }} · {{ t('{count} answers', { count: m.wrote }) }}
            </option>
          }
        </select>
      </label>
    } @else if (canWrite() && members().length) {
      <div class="row" role="group" [attr.aria-label]="t('Whose turn is it to write?')">
        <span aria-hidden="true">{{ t('Whose turn is it to write?') }}</span>
        @for (m of members(); track m.id) {
          <button class="btn" type="button" [attr.aria-pressed]="m.id === writer()" (click)="passed.emit(m.id)">
            {{ m.name }}
            <span class="small">{{ t('{count} answers', { count: m.wrote }) }}</span>
          </button>
        }
      </div>
    }
  `,
  styleUrl: './part.css',
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .row {
      gap: 8px;
    }
    select {
      max-width: 100%;
      min-height: 46px;
      padding: 4px 10px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
      color: var(--ink);
      font: inherit;
    }
    .btn .small {
      font-size: 0.85em;
      font-weight: 400;
    }
  `,
})
export class Turns {
  readonly together = input.required<Together>();
  /** Whose turn it is. */
  readonly writer = input('');
  /** Whether the first page is shown: there it is said who they are. */
  readonly isFirst = input(true);
  readonly canWrite = input(false);
  readonly passed = output<string>();
  private readonly say = inject(Say);
  protected readonly t = saying();
  protected readonly most = NAMED;
  protected readonly members = computed(() => {
    const wrote = Object.values(this.together().by);
    return this.together().members.map((m) => ({ ...m, wrote: wrote.filter((id) => id === m.id).length }));
  });
  protected readonly others = computed(() => {
    const all = this.together().mates;
    const more = this.t('{count} more', { count: all.length - NAMED });
    // A name may end with a point of its own: the sentence needs one alone.
    return this.say.list(all.length > NAMED ? [...all.slice(0, NAMED), more] : all).replace(/\.$/, '');
  });
}
