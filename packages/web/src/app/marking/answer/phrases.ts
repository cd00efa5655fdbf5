import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { asPhrase, listOf, MOST_PHRASES, type Phrase, withName, calledOf } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../../platform/clock';
import { MarkingActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { DIALOG } from '../../ui/dialog';
import { IconButton } from '../../ui/icon-button';
import { type Row } from '../row';

/** Phrases that stand beside a field. */
const BESIDE = 3;

/** Words that were chosen: to the learner, and to the family; with the name filled in. */
export interface SaidPhrase {
  readonly text: string;
  readonly family: string;
}

/** The teacher's own phrases beside a field for words: one press puts one in, with the learner's name. */
@Component({
  selector: 'lv-phrases',
  imports: [ButtonDirective, DIALOG, IconButton, InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row" role="group" [attr.aria-label]="'Your phrases for ' + row().name">
      @for (p of beside(); track p.id) {
        <button type="button" class="phrase" (click)="say(p)">{{ p.words }}</button>
      }
      <button type="button" class="phrase more" (click)="isOpen.set(true)">
        {{ beside().length ? 'All phrases' : 'Your phrases' }}
      </button>
    </div>
    @if (isOpen()) {
      <p-dialog
        header="Your phrases"
        [visible]="true"
        (visibleChange)="isOpen.set($event)"
        [style]="{ width: '760px', maxWidth: '96vw' }"
      >
        <p class="small">
          [name] stands for what the learner is called. What is said to the family goes into their report.
        </p>
        <ul>
          @for (p of all(); track p.id) {
            <li>
              <input
                pInputText
                #t
                maxlength="500"
                [value]="p.text"
                [attr.aria-label]="'To the learner: ' + p.text"
                (change)="save({ id: p.id, text: t.value, family: f.value }, p)"
              />
              <input
                pInputText
                #f
                maxlength="500"
                placeholder="to the family"
                [value]="p.family"
                [attr.aria-label]="'To the family: ' + p.text"
                (change)="save({ id: p.id, text: t.value, family: f.value }, p)"
              />
              <button pButton severity="secondary" type="button" (click)="say(p); isOpen.set(false)">Say it</button>
              <button type="button" lvIcon="x" [says]="'Take away: ' + p.text" (click)="remove(p.id)"></button>
            </li>
          }
        </ul>
        @if (all().length < most) {
          <div class="row new">
            <input
              pInputText
              #n
              class="grow"
              maxlength="500"
              aria-label="A new phrase"
              placeholder="A new phrase"
              [value]="offered()"
              (keydown.enter)="add(n.value); n.value = ''"
            />
            <button pButton severity="secondary" type="button" (click)="add(n.value); n.value = ''">Keep it</button>
          </div>
        }
      </p-dialog>
    }
  `,
  styles: `
    .row {
      gap: 6px;
      flex-wrap: wrap;
    }
    .phrase {
      min-height: 26px;
      padding: 2px 9px;
      border: 1px solid var(--line-strong);
      border-radius: 999px;
      background: var(--sunken);
      font-size: 13px;
      text-align: start;
      cursor: pointer;
      overflow-wrap: anywhere;
    }
    .phrase:hover {
      background: var(--accent-soft);
    }
    .more {
      background: none;
      border-style: dashed;
    }
    ul {
      display: grid;
      gap: 6px;
      margin: 10px 0;
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto auto;
      gap: 6px;
    }
    @media (max-width: 699px) {
      li {
        grid-template-columns: minmax(0, 1fr) auto auto;
      }
      li input:first-child {
        grid-column: 1 / -1;
      }
    }
  `,
})
export class Phrases {
  readonly row = input.required<Row>();
  /** What is written in the field: it can be kept as a phrase. */
  readonly written = input('');
  /** Without phrases beside the field: they are behind one press. */
  readonly folded = input(false, { transform: booleanAttribute });
  readonly said = output<SaidPhrase>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  protected readonly isOpen = signal(false);
  protected readonly most = MOST_PHRASES;
  protected readonly all = computed(() => listOf(this.work.phrases()));
  /** What the learner is called; a group has its name. */
  private readonly called = computed(() => {
    const { memberIds, members, name } = this.row();
    if (members) return name;
    const learner = this.work.people().learners.find((l) => l.id === memberIds[0]);
    return calledOf(learner ?? { name, chosenName: '' });
  });
  protected readonly beside = computed(() =>
    this.all()
      .slice(0, this.folded() ? 0 : BESIDE)
      .map((p) => ({ ...p, words: withName(p.text, this.called()) })),
  );
  /** What is written, as a phrase for all, where it is none yet. */
  protected readonly offered = computed(() => {
    const text = asPhrase(this.written().trim(), this.called()).slice(0, 500);
    return this.all().some((p) => p.text === text) ? '' : text;
  });

  protected say(p: Phrase): void {
    this.said.emit({ text: withName(p.text, this.called()), family: withName(p.family, this.called()) });
  }

  protected save(phrase: Phrase, before: Phrase): void {
    const text = phrase.text.trim();
    if (text === '' || (text === before.text && phrase.family.trim() === before.family)) return;
    this.work.dispatch(MarkingActions.phraseSaved({ phrase: { ...phrase, text, family: phrase.family.trim() } }));
  }

  protected add(words: string): void {
    const text = words.trim();
    if (text === '' || this.all().some((p) => p.text === text)) return;
    this.work.dispatch(MarkingActions.phraseSaved({ phrase: { id: this.clock.newId(), text, family: '' } }));
  }

  protected remove(id: string): void {
    this.work.dispatch(MarkingActions.phraseRemoved({ id }));
  }
}
