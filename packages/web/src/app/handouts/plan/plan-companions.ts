import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Companion, safeAddress } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { Clock } from '../../platform/clock';
import { SELECT } from '../../ui/controls/select';

type Kind = 'link' | 'page' | 'family';
const KINDS: readonly (readonly [Kind, string])[] = [
  ['link', 'an address of the web'],
  ['page', 'words to read'],
  ['family', 'words for those at home'],
];

/** What goes with a hand-out: addresses, words to read, words for those at home. */
@Component({
  selector: 'lv-plan-companions',
  imports: [ButtonDirective, InputText, LucideDynamicIcon, Textarea, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>With it</legend>
      @for (c of list(); track c.id) {
        <div class="one">
          <div class="row">
            <input
              pInputText
              #t
              class="grow"
              maxlength="200"
              [value]="c.title"
              [attr.aria-label]="'What it is called: ' + c.title"
              (change)="change(c, { title: t.value.trim() || c.title })"
            />
            <button
              pButton
              severity="secondary"
              text
              class="icon"
              type="button"
              [attr.aria-label]="'Take away: ' + c.title"
              (click)="changed.emit(without(c))"
            >
              <svg lucideIcon="x"></svg>
            </button>
          </div>
          @if (c.is === 'link') {
            <input
              pInputText
              #a
              maxlength="2000"
              placeholder="https://"
              [value]="c.address"
              [attr.aria-label]="'Address of ' + c.title"
              (change)="change(c, { address: a.value.trim() || c.address })"
            />
            <p class="small">{{ hostOf(c.address) || 'This is no address of the web yet.' }}</p>
          }
          @if (c.is === 'page' || c.is === 'family') {
            <textarea
              pTextarea
              #w
              rows="3"
              [attr.maxlength]="c.is === 'page' ? 20000 : 5000"
              [value]="c.text"
              [attr.aria-label]="'Words of ' + c.title"
              (change)="change(c, { text: w.value })"
            ></textarea>
          }
        </div>
      }
      <form class="row" (submit)="$event.preventDefault(); paste(p.value); p.value = ''">
        <input
          pInputText
          #p
          class="grow"
          maxlength="2000"
          aria-label="Address that goes with it"
          placeholder="paste an address"
        /><button pButton severity="secondary" class="icon" type="submit" aria-label="Add the address">
          <svg lucideIcon="plus"></svg>
        </button>
      </form>
      <lv-select label="Something else" hideLabel placeholder="Add something else …" value="" (chosen)="add($event)">
        @for (k of kinds; track k[0]) {
          <lv-option [value]="k[0]" [label]="k[1]" />
        }
      </lv-select>
      @if (wrong()) {
        <p class="small wrong" role="alert">{{ wrong() }}</p>
      }
    </fieldset>
  `,
  styleUrl: './panel.css',
  styles: `
    fieldset,
    .one {
      display: grid;
      gap: 6px;
    }
    .one {
      padding-bottom: 8px;
      border-bottom: 1px solid var(--line);
    }
    .row {
      flex-wrap: nowrap;
    }
    input {
      min-width: 0;
    }
    .wrong {
      color: var(--madder);
    }
  `,
})
export class PlanCompanions {
  readonly list = input.required<readonly Companion[]>();
  readonly changed = output<readonly Companion[]>();
  private readonly clock = inject(Clock);
  protected readonly kinds = KINDS.filter(([kind]) => kind !== 'link');
  protected readonly wrong = signal('');

  /** Where an address leads, so that it is seen to be the one that was meant; empty for none. */
  protected hostOf(address: string): string {
    const safe = safeAddress(address);
    return safe ? `leads to ${safe.host}` : '';
  }

  protected paste(text: string): void {
    const address = text.trim();
    if (!address) return;
    const safe = safeAddress(address);
    this.wrong.set(safe ? '' : `“${address.slice(0, 40)}” is no address of the web, such as https://tides.example.`);
    if (safe) this.changed.emit([...this.list(), { id: this.clock.newId(), is: 'link', title: safe.host, address }]);
  }

  protected add(kind: string): void {
    if (kind !== 'page' && kind !== 'family') return;
    const title = kind === 'page' ? 'To read' : 'For those at home';
    this.changed.emit([...this.list(), { id: this.clock.newId(), is: kind, title, text: '' }]);
  }

  protected change(companion: Companion, patch: { title?: string; address?: string; text?: string }): void {
    this.changed.emit(this.list().map((c) => (c.id === companion.id ? ({ ...c, ...patch } as Companion) : c)));
  }

  protected without(companion: Companion): readonly Companion[] {
    return this.list().filter((c) => c.id !== companion.id);
  }
}
