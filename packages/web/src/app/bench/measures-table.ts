import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { LANGUAGE_LABELS } from '@lorvet/core';
import {
  figureSaid,
  FIRST_FORMULA,
  type Formula,
  FORMULAS,
  LEAST_WORDS,
  type Measures,
  type Readability,
  SURENESS_SAYS,
} from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';

interface Row {
  /** What it is about; a row of its own, without a name, heads those that follow. */
  readonly group: string;
  readonly name: string;
  readonly title: string;
  readonly left: string;
  readonly right: string;
}

/** The readability of one part of what is measured. */
type Part = (m: Measures) => Readability;
const HARDEST: Part = (m) => m.readability;
const PROMPTS: Part = (m) => m.prompts;

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
        @for (r of rows(); track r.group + r.name) {
          @if (r.name) {
            <tr [title]="r.title">
              <th scope="row">{{ r.name }}</th>
              <td>{{ r.left }}</td>
              @if (here()) {
                <td [class.other]="r.left !== r.right">{{ r.right }}</td>
              }
            </tr>
          } @else {
            <tr class="group">
              <th [attr.colspan]="here() ? 3 : 2" scope="rowgroup">
                {{ r.group }} <span>{{ r.title }}</span>
              </th>
            </tr>
          }
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
    .group th {
      padding-top: 8px;
      font-weight: 650;
    }
    .group span {
      font-weight: 400;
      color: var(--ink-2);
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
    () => Object.keys((this.here() ?? this.master()).readability.figures).length === 0,
  );
  protected readonly rows = computed<Row[]>(() => {
    const hasPassages = [this.master(), this.here()].some((m) => m?.passages.length);
    return [
      ...(this.all() ? [this.row('', 'Pages', '', (x) => `${x.pages}`)] : []),
      this.row('', 'Items', 'Questions that ask for an answer', (x) => `${x.items}`),
      this.row('', 'Words', 'All words a learner reads', (x) => `${x.words}`),
      ...(hasPassages ? this.partRows('Hardest passage', HARDEST) : []),
      ...(hasPassages && this.all() ? this.passageRows() : []),
      ...this.partRows('Questions, choices, examples', hasPassages ? PROMPTS : HARDEST),
      this.headed('All', ''),
      ...(this.all()
        ? [this.row('', 'Objectives', 'Objectives that still have an item', (x) => `${x.objectivesKept.length}`)]
        : []),
      this.row('', 'Choices per item', 'On average', (x) => x.choicesPerItem?.toFixed(1) ?? '–'),
      ...(this.all() ? [this.row('', 'Most choices', '', (x) => `${x.mostChoices ?? '–'}`)] : []),
      this.row('', 'Minutes, about', '90 words a minute, what is heard, and each kind of item its own time', (x) =>
        x.minutes.toFixed(0),
      ),
    ];
  });

  private row(group: string, name: string, title: string, of: (x: Measures) => string): Row {
    const m = this.master();
    return { group, name, title, left: of(m), right: of(this.here() ?? m) };
  }

  private headed(group: string, title: string): Row {
    return { group, name: '', title, left: '', right: '' };
  }

  /** Sentences and formulas of one part, with how sure they are. */
  private partRows(group: string, part: Part): Row[] {
    const both = [part(this.master()), part(this.here() ?? this.master())];
    const least = both.reduce((a, b) => (a.words <= b.words ? a : b));
    const language = least.language === 'en' ? '' : `${LANGUAGE_LABELS[least.language]}, `;
    const first = FIRST_FORMULA[least.language];
    // A formula that neither text is long enough for says nothing here.
    const formulas = FORMULAS.filter(
      (f) => (this.all() || f.id === first) && both.some((r) => r.figures[f.id] !== undefined),
    );
    const hasFigures = formulas.length > 0;
    return [
      this.headed(group, `${language}${hasFigures ? SURENESS_SAYS[least.sure] : 'too short for a formula'}`),
      this.row(group, 'Words per sentence', '', (x) => part(x).wordsPerSentence.toFixed(1)),
      ...formulas.map((f) => this.formulaRow(group, f, part)),
      ...(this.all() && least.language === 'en'
        ? [
            this.row(
              group,
              'Hard words (Dale–Chall)',
              'Different words not on the list of familiar words',
              (x) => `${part(x).hardWords.length}`,
            ),
          ]
        : []),
    ];
  }

  private formulaRow(group: string, f: Formula, part: Part): Row {
    const sentences = f.leastSentences > 1 ? ` and ${f.leastSentences} sentences` : '';
    return this.row(
      group,
      f.scale.startsWith('US') ? `Grade (${f.name})` : f.name,
      `${f.source}. ${f.scale}. ${f.limits} Needs ${f.leastWords} words${sentences}.`,
      (x) => figureSaid(f, part(x).figures[f.id]),
    );
  }

  /** Each passage of the version, or of the master, by its first words. */
  private passageRows(): Row[] {
    const by = (m: Measures, id: string) => m.passages.find((p) => p.blockId === id)?.readability;
    return (this.here() ?? this.master()).passages.map(({ blockId, begins, readability }) => {
      const id = FIRST_FORMULA[readability.language];
      const f = FORMULAS.find((x) => x.id === id);
      return this.row('passages', `“${begins.slice(0, 24)} …”`, `${begins} …`, (x) =>
        f ? figureSaid(f, by(x, blockId)?.figures[f.id]) : '–',
      );
    });
  }
}
