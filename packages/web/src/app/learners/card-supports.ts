import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { agreed, type AgreedSupport, type Category, EXTRA_TIME, isOnDay, KNOWN_SUPPORTS } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { many } from '../platform/many';
import { DateField } from '../ui/controls/date';
import { NumberField } from '../ui/controls/number';
import { Propose } from '../ui/controls/propose';
import { SELECT } from '../ui/controls/select';
import { nearDay } from '../ui/when';

const CATEGORIES: readonly (readonly [Category, string])[] = [
  ['presentation', 'how it is shown'],
  ['response', 'how it is answered'],
  ['timing', 'time and pace'],
  ['setting', 'place and company'],
  ['content', 'what is asked'],
  ['support', 'help on the way'],
  ['challenge', 'more to do'],
];

/** Supports that were agreed, each with its category, its time, and the day it is looked at again. */
@Component({
  selector: 'lv-card-supports',
  imports: [ButtonDirective, DateField, InputText, LucideDynamicIcon, NumberField, Propose, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (r of rows(); track r.support.what; let i = $index) {
        <li [class.open]="open() === i">
          <button
            type="button"
            class="line"
            [attr.aria-expanded]="open() === i"
            (click)="open.set(open() === i ? null : i)"
          >
            <svg [lucideIcon]="open() === i ? 'chevron-down' : 'chevron-right'"></svg>
            <span
              ><strong>{{ r.support.what }}</strong> <small>{{ r.says }}</small></span
            >
          </button>
          @if (open() === i) {
            @let s = r.support;
            <lv-select label="Category" [value]="s.category" (chosen)="change(i, { category: $event })">
              @for (c of categories; track c[0]) {
                <lv-option [value]="c[0]" [label]="c[0] + ': ' + c[1]" />
              }
            </lv-select>
            @if (s.what === EXTRA_TIME) {
              <lv-number
                label="Days later that work is due"
                [value]="s.days"
                [min]="0"
                [max]="60"
                (told)="change(i, { days: $event ?? 0 })"
              />
            }
            <div class="two">
              <lv-date label="Agreed from" [value]="s.from" (told)="change(i, { from: $event })" />
              <lv-date label="until" [value]="s.until" (told)="change(i, { until: $event })" />
            </div>
            <lv-date label="Looked at again on" [value]="s.reviewOn" (told)="change(i, { reviewOn: $event })" />
            @if (s.from && s.until && s.until < s.from) {
              <p class="small wrong" role="alert">It ends before it begins: it holds on no day.</p>
            }
            <label class="field"
              >Note
              <input pInputText #n maxlength="300" [value]="s.note" (change)="change(i, { note: n.value.trim() })"
            /></label>
            <button pButton severity="secondary" text type="button" (click)="remove(i)">
              <svg lucideIcon="trash-2"></svg>Not agreed any more
            </button>
          }
        </li>
      } @empty {
        <li class="small">None yet.</li>
      }
    </ul>
    <lv-propose
      label="Agree a support"
      placeholder="type or choose"
      [most]="60"
      [options]="others()"
      (told)="agree($event)"
    />
  `,
  styleUrl: './card-part.css',
})
export class CardSupports {
  readonly supports = input.required<readonly AgreedSupport[]>();
  /** ISO date. */
  readonly today = input.required<string>();
  readonly changed = output<AgreedSupport[]>();
  protected readonly EXTRA_TIME = EXTRA_TIME;
  protected readonly categories = CATEGORIES;
  protected readonly open = signal<number | null>(null);
  protected readonly rows = computed(() =>
    this.supports().map((support) => {
      const { from, until, reviewOn, days, what } = support;
      const says = [
        what === EXTRA_TIME ? `${many(days, 'day')}` : '',
        from > this.today() ? `from ${this.day(from)}` : '',
        until
          ? isOnDay(support, this.today()) || from > this.today()
            ? `until ${this.day(until)}`
            : `ended ${this.day(until)}`
          : '',
        reviewOn ? `${reviewOn < this.today() ? 'was to be looked at' : 'look again'} ${this.day(reviewOn)}` : '',
      ];
      return { support, says: says.filter(Boolean).join(' · ') };
    }),
  );
  protected readonly others = computed(() => {
    const here = new Set(this.supports().map((s) => s.what));
    return KNOWN_SUPPORTS.map((s) => s.what).filter((s) => !here.has(s));
  });

  private day(day: string): string {
    return nearDay(day, this.today());
  }

  protected agree(text: string): void {
    const what = KNOWN_SUPPORTS.find((s) => s.what === text.toLowerCase())?.what ?? text;
    const at = this.supports().findIndex((s) => s.what === what);
    if (at >= 0) this.open.set(at);
    else this.changed.emit([...this.supports(), { ...agreed(what), from: this.today() }]);
  }

  protected change(at: number, patch: Partial<AgreedSupport>): void {
    this.changed.emit(this.supports().map((s, i) => (i === at ? { ...s, ...patch } : s)));
  }

  protected remove(at: number): void {
    this.open.set(null);
    this.changed.emit(this.supports().filter((_, i) => i !== at));
  }
}
