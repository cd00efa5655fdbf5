import { booleanAttribute, ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';

/**
 * A button, or a link, that shows a sign and says what it does to who hears it and to who points at it:
 * `<button type="button" lvIcon="x" says="Take the page away" (click)="…">`. Two hundred of them cost no more than plain buttons.
 */
@Component({
  selector: 'button[lvIcon], a[lvIcon]',
  imports: [LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'btn icon',
    '[class.quiet]': '!framed()',
    '[attr.aria-label]': 'says()',
    '[attr.title]': 'shown()',
  },
  template: '<svg [lucideIcon]="lvIcon()"></svg>',
})
export class IconButton {
  readonly lvIcon = input.required<string>();
  /** What it does, and to what. */
  readonly says = input.required<string>();
  /** What is read when it is pointed at, where that is not what it says; empty for nothing. */
  readonly tip = input<string>();
  /** With a frame, where it stands beside a field or by itself. */
  readonly framed = input(false, { transform: booleanAttribute });
  protected readonly shown = computed(() => (this.tip() ?? this.says()) || null);
}
