import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MultiSelect } from 'primeng/multiselect';
import { controlled } from './controlled';

let made = 0;
/** From here on only the rows that are seen are drawn. */
const MANY = 100;

/** Several of many, found by typing: `<lv-several label="Single learners" [options]="…" [value]="ids" (told)="…" />`. */
@Component({
  selector: 'lv-several',
  imports: [MultiSelect, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span [id]="id">{{ label() }}</span>
    <p-multiselect
      [options]="all()"
      optionLabel="label"
      optionValue="id"
      [formControl]="shown.control"
      [filter]="true"
      [ariaLabelledBy]="id"
      [ariaFilterLabel]="'Find in: ' + label()"
      [placeholder]="placeholder()"
      [showToggleAll]="false"
      [selectionLimit]="most()"
      [maxSelectedLabels]="8"
      [virtualScroll]="all().length > MANY"
      [virtualScrollItemSize]="34"
      scrollHeight="270px"
      appendTo="body"
      (onChange)="tell($event.value)"
    />
  `,
  styleUrl: './field.css',
})
export class Several {
  readonly label = input.required<string>();
  readonly options = input.required<readonly { readonly id: string; readonly label: string }[]>();
  readonly value = input.required<readonly string[]>();
  readonly placeholder = input('');
  /** As many can be chosen. */
  readonly most = input<number>();
  readonly told = output<readonly string[]>();
  protected readonly MANY = MANY;
  protected readonly id = `several-${++made}`;
  protected readonly all = computed(() => [...this.options()]);
  protected readonly shown = controlled(this.value);

  protected tell(ids: readonly string[]): void {
    this.told.emit(ids);
    this.shown.show();
  }
}
