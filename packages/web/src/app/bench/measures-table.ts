import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { LEAST_WORDS, type Measures } from '@lorvet/core';

interface Row {
  readonly name: string;
  readonly title: string;
  readonly left: string;
  readonly right: string;
}

/** A version's measures beside the master's; alone, the master's. */
@Component({
  selector: 'lv-measures-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <caption>
        Measures
      </caption>
      <thead>
        <tr>
          <th scope="col"><span class="sr">Measure</span></th>
          <th scope="col">master</th>
          @if (here()) {
            <th scope="col">here</th>
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
  protected readonly least = LEAST_WORDS;
  protected readonly tooShort = computed(() => !(this.here() ?? this.master()).readability.formulas);
  protected readonly rows = computed<Row[]>(() => {
    const m = this.master();
    const h = this.here() ?? m;
    const row = (name: string, title: string, of: (x: Measures) => string): Row => ({
      name,
      title,
      left: of(m),
      right: of(h),
    });
    const formula = (pick: (f: NonNullable<Measures['readability']['formulas']>) => number) => (x: Measures) =>
      x.readability.formulas ? pick(x.readability.formulas).toFixed(1) : '–';
    return [
      row('Pages', '', (x) => `${x.pages}`),
      row('Items', 'Questions that ask for an answer', (x) => `${x.items}`),
      row('Words', 'All words a learner reads', (x) => `${x.words}`),
      row('Words per sentence', 'In passages, instructions and questions', (x) =>
        x.readability.wordsPerSentence.toFixed(1),
      ),
      row(
        'Grade (Flesch–Kincaid)',
        'US school grade; Kincaid and others 1975',
        formula((f) => f.fleschKincaidGrade),
      ),
      row(
        'Grade (Coleman–Liau)',
        'US school grade; Coleman and Liau 1975',
        formula((f) => f.colemanLiau),
      ),
      row(
        'Dale–Chall score',
        '4.9 and below is grade 4; Dale and Chall 1948',
        formula((f) => f.daleChall),
      ),
      row(
        'Hard words (Dale–Chall)',
        'Different words not on the list of familiar words',
        (x) => `${x.readability.hardWords.length}`,
      ),
      row('Choices per item', '', (x) => (x.choicesPerItem === null ? '–' : x.choicesPerItem.toFixed(1))),
      row('Minutes, about', '90 words a minute, and each kind of item its own time', (x) => x.minutes.toFixed(0)),
      row('Objectives', 'Objectives that still have an item', (x) => `${x.objectivesKept.length}`),
    ];
  });
}
