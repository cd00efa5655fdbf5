import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { type Given, mostIn, valueOf } from '@lorvet/core';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import type { BlockChange, BlockOf } from '../ui/blocks/editor-part';
import { FOLD } from '../ui/controls/fold';

type NumberBlock = BlockOf<'number'>;

const LINE =
  /^([a-z][a-z0-9]{0,11})\s*=\s*(-?[\d.]+)\s*[,;]\s*(-?[\d.]+)\s*(?:to|–|-)\s*(-?[\d.]+)(?:\s*[,;]\s*(?:step\s*)?([\d.]+))?$/i;

/** Which numbers of a question may be others, and how its key follows from them. */
@Component({
  selector: 'lv-number-rules',
  imports: [InputText, Textarea, ...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-fold name="Numbers that may be others" [open]="block().formula !== undefined">
      <div class="stack">
        <label class="field"
          >One a line: name = number, from to
          <textarea
            pTextarea
            #g
            rows="2"
            maxlength="1000"
            placeholder="a = 18, 5 to 20"
            [value]="lines()"
            (input)="lines.set(g.value)"
            (change)="keep()"
          ></textarea>
        </label>
        <label class="field"
          >Key
          <input
            pInputText
            #f
            placeholder="b - a"
            [maxLength]="mostInFormula"
            [value]="formula()"
            (input)="formula.set(f.value)"
            (change)="keep()"
          />
        </label>
        @if (read().problem; as p) {
          <p class="small wrong" role="alert">{{ p }}</p>
        } @else if (read().key !== null) {
          <p class="small">With these numbers the key is {{ read().key }}.</p>
        }
      </div>
    </lv-fold>
  `,
  styles: `
    .wrong {
      color: var(--madder);
    }
  `,
})
export class NumberRules {
  readonly block = input.required<NumberBlock>();
  readonly changed = output<BlockChange>();
  protected readonly mostInFormula = mostIn('number', 'formula');
  // Typed lines stand until others are kept: what else changes in the question leaves them.
  private readonly keptLines = computed(() =>
    (this.block().given ?? [])
      .map((g) => `${g.name} = ${g.value}, ${g.min} to ${g.max}${g.step === 1 ? '' : `, step ${g.step}`}`)
      .join('\n'),
  );
  private readonly keptFormula = computed(() => this.block().formula ?? '');
  protected readonly lines = linkedSignal(() => this.keptLines());
  protected readonly formula = linkedSignal(() => this.keptFormula());
  protected readonly read = computed((): { given: Given[]; key: number | null; problem: string } => {
    const given: Given[] = [];
    const none = (problem: string) => ({ given, key: null, problem });
    for (const line of this.lines().split('\n')) {
      if (!line.trim()) continue;
      const m = LINE.exec(line.trim());
      if (!m?.[1]) return none(`“${line.trim()}” is not understood. Write for example: a = 18, 5 to 20.`);
      const [value = 0, min = 0, max = 0, step = 1] = m.slice(2).map((x) => (x === undefined ? 1 : Number(x)));
      if (!(min <= max)) return none(`${m[1]}: ${min} is more than ${max}.`);
      if (!this.block().prompt.includes(String(value))) return none(`The question does not say ${value}.`);
      given.push({ name: m[1].toLowerCase(), value, min, max, step });
    }
    if (given.length === 0 || !this.formula().trim()) return none('');
    const key = valueOf(this.formula(), Object.fromEntries(given.map((g) => [g.name, g.value])));
    return 'problem' in key ? none(key.problem) : { given, key: key.value, problem: '' };
  });

  protected keep(): void {
    const { given, key, problem } = this.read();
    if (problem) return;
    const formula = this.formula().trim();
    this.changed.emit((b) => {
      if (b.kind !== 'number') return b;
      const { given: _, formula: __, ...rest } = b;
      return key === null ? rest : { ...rest, given, formula, key };
    });
  }
}
