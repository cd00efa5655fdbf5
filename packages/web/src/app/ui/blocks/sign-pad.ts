import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { type Shape, shaped } from '@lorvet/core/desk';
import { type Plain, saying } from '../say/say';

/** Signs of maths that a keyboard lacks, each with how it is called. */
const SIGNS = [
  ['×', 'times'],
  ['÷', 'divided by'],
  ['−', 'minus'],
  ['=', 'equals'],
  ['≠', 'is not equal to'],
  ['<', 'is less than'],
  ['>', 'is more than'],
  ['≤', 'is at most'],
  ['≥', 'is at least'],
  ['½', 'one half'],
  ['¼', 'one quarter'],
  ['¾', 'three quarters'],
  ['²', 'squared'],
  ['³', 'cubed'],
  ['√', 'square root of'],
  ['π', 'pi'],
  ['°', 'degrees'],
  ['£', 'pounds'],
] as const;

/** What a formula is built of, and what belongs into each place of it. */
const SHAPES: readonly { readonly shape: Shape; readonly says: Plain; readonly places: readonly Plain[] }[] = [
  { shape: 'fraction', says: 'Fraction', places: ['Top of the fraction', 'Bottom of the fraction'] },
  { shape: 'power', says: 'Power', places: ['What is raised', 'How often it is taken'] },
  { shape: 'root', says: 'Root', places: ['What stands under the root'] },
];

/** Signs and shapes of formulas, to be pressed into a field: a shape is filled in as it looks. */
@Component({
  selector: 'lv-sign-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row" role="group" [attr.aria-label]="t('Signs for maths')">
      @for (s of SIGNS; track s[0]) {
        <button type="button" class="btn sign" [attr.aria-label]="t(s[1])" (click)="sign(s[0])">{{ s[0] }}</button>
      }
      @for (s of SHAPES; track s.shape) {
        <button
          type="button"
          class="btn"
          [attr.data-shape]="s.shape"
          [attr.aria-expanded]="open()?.shape === s.shape"
          (click)="turn(s)"
        >
          {{ t(s.says) }}
        </button>
      }
    </div>
    @if (open(); as s) {
      <div
        #form
        class="form"
        role="group"
        [attr.aria-label]="t(s.says)"
        dir="ltr"
        (keydown.escape)="close()"
        (keydown.enter)="next($event)"
      >
        @if (s.shape === 'root') {
          <span class="root" aria-hidden="true">√</span>
        }
        <div [class]="'places ' + s.shape">
          @for (place of s.places; track place; let i = $index) {
            <input
              type="text"
              autocomplete="off"
              spellcheck="false"
              [maxLength]="most"
              [attr.aria-label]="t(place)"
              [value]="filled()[i] ?? ''"
              (input)="fill(i, $event)"
              (focus)="at = i"
            />
          }
        </div>
        <button type="button" class="btn main" [disabled]="!isFull()" (click)="enter()">{{ t('Put it in') }}</button>
      </div>
    }
  `,
  styleUrl: './help-row.css',
  styles: `
    :host {
      display: grid;
      gap: 8px;
      margin-top: 6px;
    }
    .sign {
      min-width: 44px;
      padding: 0 8px;
      font-size: 1em;
    }
    .form {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 10px;
      width: fit-content;
      padding: 10px 12px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--sunken);
    }
    .places {
      display: grid;
      gap: 6px;
    }
    input {
      width: 8em;
      min-height: 44px;
      max-width: 100%;
      text-align: center;
    }
    .fraction input:first-child {
      margin-bottom: 8px;
      box-shadow: 0 9px 0 -6px var(--ink);
    }
    .power {
      grid-template-columns: auto auto;
    }
    .power input {
      width: 5em;
      margin-top: 20px;
    }
    .power input + input {
      width: 4em;
      margin: 0 0 20px;
      font-size: 0.85em;
    }
    .root {
      font-size: 1.8em;
      line-height: 1;
    }
    .places.root {
      padding-top: 6px;
      border-top: 2px solid var(--ink);
      font-size: inherit;
    }
  `,
})
export class SignPad {
  /** The text before where it goes. */
  readonly before = input<() => string>(() => '');
  readonly put = output<string>();
  protected readonly t = saying();
  protected readonly SIGNS = SIGNS;
  protected readonly SHAPES = SHAPES;
  protected readonly most = 40;
  protected readonly open = signal<(typeof SHAPES)[number] | null>(null);
  protected readonly filled = signal<readonly string[]>([]);
  /** The place of the shape that is written in. */
  protected at = 0;
  private readonly form = viewChild<ElementRef<HTMLElement>>('form');
  private readonly app = inject(ApplicationRef);

  protected isFull(): boolean {
    const places = this.open()?.places.length ?? 0;
    return this.filled().filter((x) => x.trim()).length === places;
  }

  /** A sign goes into the shape that is being filled in, else into the field. */
  protected sign(sign: string): void {
    const field = this.field(this.at);
    if (!this.open() || !field) return this.put.emit(sign);
    const [from, to] = [field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length];
    if (field.value.length - (to - from) < this.most) field.setRangeText(sign, from, to, 'end');
    this.set(this.at, field.value);
    field.focus();
  }

  protected turn(shape: (typeof SHAPES)[number]): void {
    if (this.open() === shape) return this.close();
    this.filled.set([]);
    this.open.set(shape);
    this.at = 0;
    // Whoever types on at once types into it.
    this.app.tick();
    this.field(0)?.focus();
  }

  protected fill(at: number, event: Event): void {
    this.set(at, (event.target as HTMLInputElement).value);
  }

  /** Enter leads to the next place, and from the last one into the field. */
  protected next(event: Event): void {
    if (!(event.target instanceof HTMLInputElement)) return;
    event.preventDefault();
    const empty = this.open()?.places.findIndex((_, i) => !this.filled()[i]?.trim()) ?? -1;
    if (empty >= 0) this.field(empty)?.focus();
    else this.enter();
  }

  protected enter(): void {
    const shape = this.open()?.shape;
    if (!shape || !this.isFull()) return;
    this.put.emit(shaped(shape, this.filled(), this.before()()));
    this.open.set(null);
  }

  protected close(): void {
    const shape = this.open()?.shape;
    this.open.set(null);
    document.querySelector<HTMLElement>(`[data-shape="${shape}"]`)?.focus();
  }

  private set(at: number, text: string): void {
    const all = [...this.filled()];
    all[at] = text;
    this.filled.set(all);
  }

  private field(at: number): HTMLInputElement | null {
    return this.form()?.nativeElement.querySelectorAll('input').item(at) ?? null;
  }
}
