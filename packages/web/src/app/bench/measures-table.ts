import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { type Formula, FORMULAS, type FormulaId, LEAST_WORDS, type Measures } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { figure } from '../ui/tenth';

interface Row {
  readonly name: string;
  readonly title: string;
  readonly left: string;
  readonly right: string;
}

/** The formula shown unasked: it works on the shortest texts. */
const FIRST: FormulaId = 'kincaid';

/** A version's measures beside the master's; alone, the master's. */
@Component({
  selector: 'lv-measures-table',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <caption>
        Measures
      </caption>
      <thead>
        <tr>
          <th scope="col"><span class="sr">Measure</span></th>
          <th scope="col">{{ names()[0] }}</th>
          @if (here()) {
            <th scope="col">{{ names()[1] }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (r of rows(); track r.name) {
          <tr [title]="r.title">
            <th scope="row">{{ r.name }}</th>
            <td>{{ r.left }}</td>
            @if (here()) {
              <td [class.other]="r.left !== r.right">{{ r.right }}</td>
            }
          </tr>
        }
      </tbody>
    </table>
    <button pButton severity="secondary" text type="button" [attr.aria-expanded]="all()" (click)="all.set(!all())">
      {{ all() ? 'Fewer measures' : 'All measures' }}
    </button>
    @if (tooShort()) {
      <p class="small">Formulas need at least {{ least }} words of text.</p>
    }
  `,
  styles: `
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: 14px;
    }
    caption {
      padding-bottom: 4px;
      font-size: 13px;
      font-weight: 700;
      color: var(--ink-2);
      text-align: left;
    }
    th {
      font-weight: 400;
      text-align: left;
      padding: 2.5px 0;
    }
    thead th {
      font-size: 13px;
      color: var(--ink-2);
    }
    td,
    thead th + th {
      width: 52px;
      text-align: right;
    }
    .other {
      font-weight: 700;
    }
  `,
})
export class MeasuresTable {
  readonly master = input.required<Measures>();
  readonly here = input<Measures | null>(null);
  /** What the two columns are called. */
  readonly names = input<readonly [string, string]>(['master', 'here']);
  protected readonly all = signal(false);
  protected readonly least = LEAST_WORDS;
  protected readonly tooShort = computed(
    () => (this.here() ?? this.master()).readability.figures.kincaid === undefined,
  );
  protected readonly rows = computed<Row[]>(() => {
    const m = this.master();
    const h = this.here() ?? m;
    const row = (name: string, title: string, of: (x: Measures) => string): Row => ({
      name,
      title,
      left: of(m),
      right: of(h),
    });
    const formula = (f: Formula): Row =>
      row(
        f.scale.startsWith('US') ? `Grade (${f.name})` : f.name,
        `${f.source}. ${f.scale}. ${f.limits} Needs ${f.leastWords} words${f.leastSentences > 1 ? ` and ${f.leastSentences} sentences` : ''}.`,
        (x) => figure(x.readability.figures[f.id]),
      );
    // A formula that neither text is long enough for says nothing here.
    const figures = FORMULAS.filter(
      (f) => (this.all() || f.id === FIRST) && [m, h].some((x) => x.readability.figures[f.id] !== undefined),
    );
    return [
      ...(this.all() ? [row('Pages', '', (x) => `${x.pages}`)] : []),
      row('Items', 'Questions that ask for an answer', (x) => `${x.items}`),
      row('Words', 'All words a learner reads', (x) => `${x.words}`),
      row('Words per sentence', 'In passages, instructions and questions', (x) =>
        x.readability.wordsPerSentence.toFixed(1),
      ),
      ...figures.map(formula),
      ...(this.all()
        ? [
            row(
              'Hard words (Dale–Chall)',
              'Different words not on the list of familiar words',
              (x) => `${x.readability.hardWords.length}`,
            ),
            row('Objectives', 'Objectives that still have an item', (x) => `${x.objectivesKept.length}`),
          ]
        : []),
      row('Choices per item', '', (x) => (x.choicesPerItem === null ? '–' : x.choicesPerItem.toFixed(1))),
      row('Minutes, about', '90 words a minute, and each kind of item its own time', (x) => x.minutes.toFixed(0)),
    ];
  });
}
