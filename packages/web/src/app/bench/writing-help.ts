import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { plainRich, sentencesIn, wordsIn } from '@lorvet/core';
import { figureSaid, FORMULAS, readability, SURENESS_SAYS } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { Words } from '../platform/words';
import { Latest } from '../ui/latest';
import { counted } from '../platform/many';

/** A sentence of more words than this is marked as long. */
const LONG = 14;
const MOST_WORDS = 8;

interface Piece {
  readonly text: string;
  readonly hard: boolean;
  readonly long: boolean;
}

/** Beside words that are being made easier: what is hard in them, and more common words for it. */
const KINCAID = FORMULAS[0] as (typeof FORMULAS)[number];

@Component({
  selector: 'lv-writing-help',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="card stack" aria-label="Help with easier words">
      <h3>Easier words</h3>
      <p class="small" role="status">
        @if (grade() !== '–') {
          Grade {{ grade() }} (Flesch–Kincaid, {{ sure() }}){{ target() === null ? '' : ', to reach ' + target() }}.
        } @else {
          Too short for a grade.
        }
        {{ r().wordsPerSentence.toFixed(1) }} words a sentence.
      </p>
      <p class="text">
        @for (p of pieces(); track $index) {
          <span [class.hard]="p.hard" [class.long]="p.long">{{ p.text }}</span>
        }
      </p>
      @if (long()) {
        <p class="small">
          {{
            counted(
              long(),
              '{n} long sentence (over {words} words), tinted.',
              '{n} long sentences (over {words} words), tinted.',
              { words: LONG }
            )
          }}
        </p>
      }
      @for (h of hard(); track h.word) {
        <p class="word">
          <strong>{{ h.word }}</strong>
          @for (s of h.simpler; track s) {
            <button pButton severity="secondary" text type="button" (click)="swap.emit({ from: h.word, to: s })">
              {{ s }}<span class="sr"> in place of {{ h.word }}</span>
            </button>
          } @empty {
            <span class="small">no more common word in the list</span>
          }
        </p>
      }
    </section>
  `,
  styles: `
    .text {
      max-height: 160px;
      overflow: auto;
      font-size: 14px;
      white-space: pre-line;
    }
    .hard {
      text-decoration: underline wavy var(--ochre) 1.5px;
      text-underline-offset: 3px;
    }
    .long {
      background: var(--ochre-soft);
    }
    .word {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 2px;
      font-size: 14px;
    }
    .word .p-button {
      padding: 2px 7px;
    }
  `,
})
export class WritingHelp {
  protected readonly counted = counted;
  readonly text = input.required<string>();
  /** The grade to reach; null where none is known. */
  readonly target = input<number | null>(null);
  readonly swap = output<{ from: string; to: string }>();
  private readonly words = inject(Words);
  protected readonly LONG = LONG;
  private readonly plain = computed(() => plainRich(this.text()));
  protected readonly r = computed(() => readability(this.plain()));
  protected readonly grade = computed(() => figureSaid(KINCAID, this.r().figures.kincaid));
  protected readonly sure = computed(() => SURENESS_SAYS[this.r().sure]);
  protected readonly hard = signal<readonly { word: string; simpler: readonly string[] }[]>([]);
  protected readonly long = computed(() => sentencesIn(this.plain()).filter((s) => wordsIn(s).length > LONG).length);
  protected readonly pieces = computed<Piece[]>(() => {
    const text = this.plain();
    const hard = new Set(this.r().hardWords);
    const out: Piece[] = [];
    let at = 0;
    for (const s of sentencesIn(text)) {
      const from = text.indexOf(s, at);
      if (from > at) out.push({ text: text.slice(at, from), hard: false, long: false });
      const long = wordsIn(s).length > LONG;
      for (const part of s.split(/([\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*)/u))
        if (part) out.push({ text: part, hard: hard.has(part.toLowerCase()), long });
      at = from + s.length;
    }
    return out;
  });

  constructor() {
    effect(() => {
      const hard = this.r().hardWords.slice(0, MOST_WORDS);
      untracked(() => void this.look(hard));
    });
  }

  private readonly looking = new Latest();

  private async look(hard: readonly string[]): Promise<void> {
    const isLast = this.looking.begin();
    const found = await Promise.all(hard.map(async (word) => ({ word, simpler: await this.words.simpler(word) })));
    if (isLast()) this.hard.set(found);
  }
}
