import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, untracked } from '@angular/core';
import { type ItemBlock, joinedWords } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Textarea } from 'primeng/textarea';
import { Formula } from '../../ui/blocks/formula';
import { LearnerBlockView } from '../../ui/blocks/learner-block';
import { canWriteOn, WrittenOn } from '../../ui/blocks/written-on';
import { NumberField } from '../../ui/controls/number';
import { Accepting } from './accepting';
import type { Given } from '../answering';
import { MarkingHere } from '../here';
import { NotesBack } from './notes-back';
import { PaperPages } from '../paper/paper-pages';
import { Phrases } from './phrases';
import { ByLevels } from './by-levels';
import { type Row } from '../row';
import { sentence, SIGNS } from '../signs';
import { SpokenWords } from './spoken-words';

/** One answer as its learner gave it, with the key of their version, the mark and why, and what is said to it. */
@Component({
  selector: 'lv-one-answer',
  imports: [
    Accepting,
    ButtonDirective,
    ByLevels,
    Formula,
    LearnerBlockView,
    NotesBack,
    NumberField,
    PaperPages,
    Phrases,
    SpokenWords,
    Textarea,
    WrittenOn,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './one-answer.html',
  styles: `
    :host {
      display: grid;
      gap: 10px;
      min-width: 0;
    }
    .given {
      display: grid;
      gap: 4px;
    }
    .q {
      font-weight: 650;
    }
    .answer {
      font-size: 16px;
      white-space: pre-wrap;
      overflow-wrap: anywhere;
    }
    lv-paper-pages {
      --sheet-height: 34vh;
    }
    .key {
      color: var(--moss);
    }
    .points {
      display: inline-flex;
      align-items: center;
      gap: 6px;
    }
    .points lv-number {
      width: 74px;
    }
  `,
})
export class OneAnswer {
  readonly row = input.required<Row>();
  /** The question, by its place among the columns of the work. */
  readonly column = input.required<number>();
  private readonly here = inject(MarkingHere);
  protected readonly table = this.here.table;
  protected readonly answering = this.here.answering;
  protected readonly signs = SIGNS;
  protected readonly sentence = sentence;
  protected readonly joined = joinedWords;
  protected readonly given: readonly Given[] = ['right', 'partly', 'not-yet'];
  protected readonly told = computed(() => {
    const { item } = this.row().cell(this.column()) ?? {};
    return item ? this.table.told(this.row(), item) : null;
  });
  /** The sheets of paper that the question is on. */
  protected readonly onPaper = computed(() => {
    const at = this.told();
    return at ? this.row().sheetsWith(at.item.id) : [];
  });
  /** A drawing or a photograph, which can be written on. */
  protected readonly writable = computed(() => {
    const d = this.told();
    return d?.seen && d.answer && canWriteOn(d.seen, d.answer) ? { block: d.seen, answer: d.answer } : null;
  });
  /** Whether it is being written on; what is written already is there at once. */
  protected readonly writing = linkedSignal(() => {
    const id = this.told()?.item.id;
    return id !== undefined && untracked(() => this.row().response?.writing?.[id]) !== undefined;
  });
  protected readonly notes = computed(() => this.row().response?.notes ?? {});
  /** Whether formulas are wanted in the answer. */
  protected readonly withFormulas = (item: ItemBlock): boolean => 'signs' in item && item.signs === true;

  /** Who of those who do it together wrote the answer. */
  protected readonly writer = computed(() => {
    const id = this.told()?.item.id;
    const by = id === undefined ? undefined : this.row().go?.by?.[id];
    return by ? this.table.nameOf(by) : '';
  });
}
