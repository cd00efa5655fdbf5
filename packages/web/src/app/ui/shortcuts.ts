import { ChangeDetectionStrategy, Component, model } from '@angular/core';
import { DIALOG } from './dialog';

const KEYS: readonly { readonly where: string; readonly keys: readonly (readonly [string, string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['Ctrl K', 'find any action by its name'],
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z', 'redo'],
      ['F6', 'to the next pane, where you were in it'],
      ['Shift F6', 'to the pane before'],
      ['?', 'this sheet'],
    ],
  },
  {
    where: 'On the Bench',
    keys: [
      ['Tab', 'from block to block'],
      ['Space', 'choose a block together with others'],
      ['Delete', 'leave the block out of the version'],
      ['Enter', 'write the words that have the focus'],
      ['Ctrl Enter', 'done writing'],
      ['Escape', 'stop writing, nothing changed'],
    ],
  },
  {
    where: 'In the family',
    keys: [
      ['↑ ↓', 'from version to version'],
      ['← →', 'fold up, unfold'],
      ['Enter', 'open it'],
    ],
  },
  {
    where: 'In a table, on the head of a column',
    keys: [
      ['Enter', 'sort by it'],
      ['Alt ← →', 'move the column'],
    ],
  },
  {
    where: 'On a page over a picture',
    keys: [
      ['← → ↑ ↓', 'move the place'],
      ['Shift and an arrow', 'make it larger or smaller'],
    ],
  },
];

/** The help sheet: every key there is. */
@Component({
  selector: 'lv-shortcuts',
  imports: [DIALOG],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog header="Keys" [visible]="open()" (visibleChange)="open.set($event)" [style]="{ width: '480px' }">
      @for (g of groups; track g.where) {
        <h3>{{ g.where }}</h3>
        <dl>
          @for (k of g.keys; track k[0]) {
            <dt>
              <kbd>{{ k[0] }}</kbd>
            </dt>
            <dd>{{ k[1] }}</dd>
          }
        </dl>
      }
    </p-dialog>
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: 150px 1fr;
      gap: 4px 10px;
      margin: 4px 0 12px;
    }
  `,
})
export class Shortcuts {
  readonly open = model(false);
  protected readonly groups = KEYS;
}
