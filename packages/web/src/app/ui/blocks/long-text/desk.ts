import { ChangeDetectionStrategy, Component, type ElementRef, inject, viewChild } from '@angular/core';
import { Full } from '../../full';
import { FieldHelp } from '../field-help';
import { Formula } from '../formula';
import { type LearnerBlockOf, WrittenPart } from '../part';
import { Ruled } from '../ruled';

@Component({
  selector: 'lv-long-text-desk',
  imports: [FieldHelp, Formula, Ruled],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (block().starters?.length) {
      <div class="starters" role="group" [attr.aria-label]="t('Beginnings you can use')">
        @for (s of block().starters; track $index) {
          <button type="button" [disabled]="locked()" (click)="begin(s)">{{ s }} …</button>
        }
      </div>
    }
    @if (paper()) {
      <lv-ruled [lines]="text() ? 0 : block().lines" [text]="text()" />
    } @else {
      <textarea
        [rows]="block().lines"
        [attr.aria-labelledby]="labelledBy()"
        [maxLength]="mostText"
        [value]="text()"
        [disabled]="locked()"
        #field
        (input)="give({ kind: 'text', text: field.value })"
      ></textarea>
      @if (!locked()) {
        <lv-field-help [field]="field" [signs]="block().signs ?? false" (told)="give({ kind: 'text', text: $event })" />
      }
    }
    @if (block().signs) {
      <lv-formula [text]="text()" />
    }
  `,
  styleUrl: '../written.css',
})
export class LongTextDesk extends WrittenPart<LearnerBlockOf<'long-text'>> {
  private readonly full = inject(Full);
  private readonly field = viewChild<ElementRef<HTMLTextAreaElement>>('field');
  /** A beginning comes after what is there already, on a line of its own. */
  protected begin(starter: string): void {
    const before = this.text().trimEnd();
    const text = `${before}${before ? '\n' : ''}${starter} `;
    if (text.length > this.mostText) return this.full.say(this.mostText);
    this.give({ kind: 'text', text });
    const field = this.field()?.nativeElement;
    setTimeout(() => {
      if (!field) return;
      field.focus();
      field.setSelectionRange(field.value.length, field.value.length);
    });
  }
}
