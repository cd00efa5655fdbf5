import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { textOf } from '@lorvet/core';
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
      [value]="text()"
      [disabled]="locked()"
      #field
      (input)="give({ kind: 'text', text: field.value })"
    ></textarea>
  `,
  styleUrl: '../written.css',
})
export class LongTextDesk extends DeskPart<LearnerBlockOf<'long-text'>> {
  protected readonly text = computed(() => {
    const answer = this.answer();
    return answer ? textOf(answer) : '';
  });

  /** A beginning comes after what is there already, on a line of its own. */
  protected begin(starter: string, field: HTMLTextAreaElement): void {
    const before = this.text().trimEnd();
    this.give({ kind: 'text', text: `${before}${before ? '\n' : ''}${starter} ` });
    setTimeout(() => {
      field.focus();
      field.setSelectionRange(field.value.length, field.value.length);
    });
  }
}
