import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { AutoComplete } from 'primeng/autocomplete';

let made = 0;

/**
 * Words that are typed, or chosen of what is proposed, and added to something:
 * `<lv-propose label="Agree a support" [options]="known" (told)="agree($event)" />`. It is empty again afterwards.
 */
@Component({
  selector: 'lv-propose',
  imports: [AutoComplete, ReactiveFormsModule],
  host: { '(keydown.enter)': 'entered($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id" [class.sr]="hideLabel()">{{ label() }}</label>
    <p-autocomplete
      [inputId]="id"
      [formControl]="control"
      [suggestions]="found()"
      [placeholder]="placeholder()"
      [dropdown]="true"
      [dropdownAriaLabel]="'All: ' + label()"
      [completeOnFocus]="false"
      [minQueryLength]="1"
      [delay]="0"
      [showEmptyMessage]="false"
      [autoOptionFocus]="false"
      appendTo="body"
      scrollHeight="230px"
      (completeMethod)="find($event.query)"
      (onSelect)="tell($event.value)"
    />
  `,
  styleUrl: './field.css',
})
export class Propose {
  readonly label = input.required<string>();
  readonly hideLabel = input(false, { transform: booleanAttribute });
  readonly options = input.required<readonly string[]>();
  readonly placeholder = input('');
  readonly most = input(120);
  readonly told = output<string>();
  protected readonly id = `propose-${++made}`;
  protected readonly control = new FormControl('');
  protected readonly found = signal<string[]>([]);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  protected find(words: string): void {
    const sought = words.trim().toLowerCase();
    this.found.set(this.options().filter((o) => o.toLowerCase().includes(sought)));
  }

  /** What was typed, where nothing of the list was chosen by it. */
  protected entered(event: Event): void {
    const field = this.host.querySelector('input');
    if (event.target !== field || !field) return;
    event.preventDefault();
    this.tell(field.value);
  }

  protected tell(words: string): void {
    const text = words.trim().slice(0, this.most());
    this.control.setValue('');
    if (text) this.told.emit(text);
  }
}
