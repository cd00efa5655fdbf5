import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import type { MenuItem } from 'primeng/api';
import { ButtonDirective } from 'primeng/button';
import { Menu } from 'primeng/menu';
import { Textarea } from 'primeng/textarea';
import { many } from '../../platform/many';
import { NumberField } from '../../ui/controls/number';
import { IconButton } from '../../ui/icon-button';
import { whenIn } from '../../ui/when';
import type { AskAgain } from '../answering';
import { MarkingHere } from '../here';
import { Phrases } from './phrases';
import { type Row } from '../row';
import { SpokenWords } from './spoken-words';

/** What is decided on a piece of work; another go says where something is not right yet, if nothing else is said. */
export interface Deciding {
  readonly decision: 'another go' | 'complete';
  readonly ask?: AskAgain;
}

/** The ways to ask for another go besides the plain one. */
export const WAYS_TO_ASK: readonly { readonly label: string; readonly ask: AskAgain }[] = [
  { label: 'Another go, without saying where', ask: { where: false, onlyWrong: false } },
  { label: 'Another go, only what is not right is open', ask: { where: true, onlyWrong: true } },
];

/** What is said to the whole of one piece of work, and how it goes on. */
@Component({
  selector: 'lv-whole-words',
  imports: [ButtonDirective, IconButton, Menu, NumberField, Phrases, SpokenWords, Textarea],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './whole-words.html',
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    .p-button-text {
      justify-self: start;
    }
    .whole lv-number {
      width: 90px;
    }
    .two {
      flex-wrap: nowrap;
    }
    .two .p-button {
      flex: 1;
    }
  `,
})
export class WholeWords {
  readonly row = input.required<Row>();
  readonly decided = output<Deciding>();
  private readonly here = inject(MarkingHere);
  protected readonly answering = this.here.answering;
  protected readonly withPoints = computed(() => this.here.table.handOut()?.points === true);
  protected readonly byHand = computed(() => this.row().response?.points !== undefined);
  /** Whether there is something to mark that is not right. */
  protected readonly mayBeRight = computed(
    () => this.row().go && this.row().marks.some((m) => m.mark.verdict !== 'right'),
  );
  /** Whether a word to the family is being written. */
  protected readonly forFamily = linkedSignal(() => this.row().learnerId === '');
  protected readonly whenIn = whenIn;
  protected readonly many = many;
  /** How many answers a try holds. */
  protected readonly answered = (answers: Readonly<Record<string, unknown>>): number => Object.keys(answers).length;
  protected readonly menu: MenuItem[] = WAYS_TO_ASK.map(({ label, ask }) => ({
    label,
    command: () => this.decided.emit({ decision: 'another go', ask }),
  }));
  protected readonly saysMore = computed(() => {
    const r = this.row().response;
    const again = r?.again;
    const out = r?.heldUntil;
    return [
      again && !again.where ? 'without saying where' : '',
      again?.only ? `${many(again.only.length, 'question')} open` : '',
      out === undefined ? '' : out === '' ? 'not let out yet' : `let out ${whenIn(out)}`,
    ]
      .filter(Boolean)
      .join(' · ');
  });
}
