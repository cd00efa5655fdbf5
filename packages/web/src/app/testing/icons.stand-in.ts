import { Directive, input } from '@angular/core';

/** Stands in for the icon package in unit tests: it is one file of megabytes, and no test is about how icons look. */
@Directive({ selector: 'svg[lucideIcon]' })
export class LucideDynamicIcon {
  readonly lucideIcon = input.required<string>();
}
