import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { emptyWorkspace } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Exchanging } from '../store/exchanging';
import { Notice } from '../ui/notice';

const WORD = 'empty';

/** Another workspace in place of what is here: nothing, or the demo. What is here is named, and put away. */
@Component({
  selector: 'lv-begin-anew',
  imports: [ButtonDirective, InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Begin anew</h2>
    <p class="small">
      Puts everything here away: {{ exchanging.here() }}. Save a backup first, above. Undo brings it back, and so does
      “Put back” under Removed things.
    </p>
    @if (asking(); as what) {
      <form class="row" (submit)="$event.preventDefault(); begin(what)">
        <label class="field"
          >Type “{{ word }}” to go on
          <input
            pInputText
            #w
            class="input"
            maxlength="20"
            autocomplete="off"
            [value]="typed()"
            (input)="typed.set(w.value)"
          />
        </label>
        <button pButton type="submit" [disabled]="!isSaid()">
          {{ what === 'demo' ? 'Put all away and lay out the demo' : 'Put all away and start empty' }}
        </button>
        <button pButton severity="secondary" text type="button" (click)="asking.set(null)">Keep it</button>
      </form>
    } @else {
      <div class="row">
        <button pButton severity="secondary" type="button" (click)="ask('demo')">Lay out the demo</button
        ><button pButton severity="secondary" type="button" (click)="ask('empty')">Start empty</button>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    .row {
      align-items: end;
    }
  `,
})
export class BeginAnew {
  protected readonly exchanging = inject(Exchanging);
  private readonly notice = inject(Notice);
  protected readonly word = WORD;
  protected readonly asking = signal<'demo' | 'empty' | null>(null);
  protected readonly typed = signal('');
  protected readonly isSaid = computed(() => this.typed().trim().toLowerCase() === WORD);

  protected ask(what: 'demo' | 'empty'): void {
    this.typed.set('');
    if (this.exchanging.isEmpty()) void this.put(what);
    else this.asking.set(what);
  }

  protected begin(what: 'demo' | 'empty'): void {
    if (this.isSaid()) void this.put(what);
  }

  private async put(what: 'demo' | 'empty'): Promise<void> {
    this.asking.set(null);
    try {
      if (what === 'demo') {
        const { demoWorkspace } = await import('@lorvet/core/demo');
        await this.exchanging.withWorkspace(demoWorkspace(Date.now()), 'lay out the demo');
        this.notice.done('Kelp Bay School is laid out', 'What was here is put away: Undo brings it back.');
      } else {
        await this.exchanging.withWorkspace(emptyWorkspace(), 'start empty');
        this.notice.done(
          'Everything was put away',
          'Undo brings it back, and so does “Put back” under Removed things.',
        );
      }
    } catch {
      this.notice.wrong('Nothing was changed', 'There is not enough room for it in this browser.');
    }
  }
}
