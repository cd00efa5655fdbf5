import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { textOf } from '@lorvet/core';
import { Full } from '../../full';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-long-text-desk',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (block().starters?.length) {
      <div class="starters" role="group" aria-label="Beginnings you can use">
        @for (s of block().starters; track $index) {
          <button type="button" [disabled]="locked()" (click)="begin(s, field)">{{ s }} …</button>
        }
      </div>
    }
    <textarea
      [rows]="block().lines"
      [attr.aria-labelledby]="labelledBy()"
      [maxLength]="mostText"
      [value]="text()"
      [disabled]="locked()"
      #field
      (input)="give({ kind: 'text', text: field.value })"
    ></textarea>
  `,
  styleUrl: '../written.css',
})
export class LongTextDesk extends DeskPart<LearnerBlockOf<'long-text'>> {
  private readonly full = inject(Full);
  protected readonly text = computed(() => {
    const answer = this.answer();
    return answer ? textOf(answer) : '';
  });

  /** A beginning comes after what is there already, on a line of its own. */
  protected begin(starter: string, field: HTMLTextAreaElement): void {
    const before = this.text().trimEnd();
    const text = `${before}${before ? '\n' : ''}${starter} `;
    if (text.length > this.mostText) return this.full.say(this.mostText);
    this.give({ kind: 'text', text });
    setTimeout(() => {
      field.focus();
      field.setSelectionRange(field.value.length, field.value.length);
    });
  }
}
