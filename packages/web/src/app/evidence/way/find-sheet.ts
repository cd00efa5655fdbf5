import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { Router } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { counted } from '../../platform/many';
import { type FoundSheet, SHORTEST_CODE } from '../../platform/way-desk';
import { WayWork } from '../way-work';

/** From a sheet's code, as evidence prints it, to the way of what is on the sheet. */
@Component({
  selector: 'lv-find-sheet',
  imports: [ButtonDirective, InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form class="row" (submit)="$event.preventDefault(); find()">
      <label class="field"
        >Sheet’s code
        <input
          pInputText
          #c
          maxlength="80"
          [value]="code()"
          [attr.aria-invalid]="says() !== ''"
          [attr.aria-describedby]="says() ? 'code-says' : null"
          (input)="code.set(c.value)"
        />
      </label>
      <button pButton severity="secondary" type="submit">Find the sheet</button>
    </form>
    @if (says(); as why) {
      <p class="small wrong" id="code-says" role="alert">{{ why }}</p>
    }
    @if (sheet(); as s) {
      @if (s.blockIds.includes(at())) {
        <p class="small found" role="status">
          {{ s.title }}, {{ s.versionName }}: {{ counted(s.learnerIds.length, 'one learner', '{n} learners') }} had this
          sheet. Choose a part of it above.
        </p>
      }
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    form {
      flex-wrap: wrap;
      align-items: end;
      gap: 10px 14px;
    }
    .wrong,
    .found {
      flex-basis: 100%;
    }
    .wrong {
      color: var(--madder);
    }
  `,
})
export class FindSheet {
  /** The part that is followed now. */
  readonly at = input.required<string>();
  private readonly ways = inject(WayWork);
  private readonly router = inject(Router);
  protected readonly counted = counted;
  protected readonly code = signal('');
  protected readonly says = signal('');
  protected readonly sheet = signal<FoundSheet | null>(null);

  protected async find(): Promise<void> {
    const code = this.code().trim();
    this.sheet.set(null);
    const digits = code.replace(/[^0-9a-f]/gi, '');
    if (digits.length < SHORTEST_CODE) {
      this.says.set(
        `A sheet’s code has at least ${SHORTEST_CODE} of the signs 0 to 9 and a to f. It stands as “Sheet” in a learner’s evidence.`,
      );
      return;
    }
    const found = await this.ways.sheet(code);
    if (code !== this.code().trim()) return;
    this.says.set(
      found ? '' : `No sheet that was given out has the code “${code}”. Check its signs against the evidence.`,
    );
    if (!found) return;
    this.sheet.set(found);
    const [block] = found.blockIds;
    await this.router.navigate(['/evidence/way'], {
      queryParams: { family: found.familyId, block, handout: found.handOutId },
    });
  }
}
