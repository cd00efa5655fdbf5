import { booleanAttribute, ChangeDetectionStrategy, Component, input } from '@angular/core';

/**
 * Where there is nothing, or not what was asked for: what that means, and the next step as something to press.
 * `<lv-empty heading="Nobody here yet">Add a learner … <button pButton>Import</button></lv-empty>`
 */
@Component({
  selector: 'lv-empty',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (alone()) {
      <h1>{{ heading() }}</h1>
    } @else if (heading()) {
      <h2>{{ heading() }}</h2>
    }
    <p><ng-content /></p>
    <div class="row"><ng-content select="button, a" /></div>
  `,
  styles: `
    :host {
      max-width: 460px;
      margin: 60px auto;
      padding: 0 16px;
      display: grid;
      gap: 12px;
      justify-items: center;
      text-align: center;
      color: var(--ink-2);
    }
    h1,
    h2 {
      font-size: 22px;
      color: var(--ink);
    }
    .row {
      justify-content: center;
    }
    .row:empty {
      display: none;
    }
  `,
})
export class Empty {
  readonly heading = input('');
  /** The whole place is this, so that its heading is the first one. */
  readonly alone = input(false, { transform: booleanAttribute });
}
