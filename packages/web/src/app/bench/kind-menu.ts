import { ChangeDetectionStrategy, Component, input, signal, viewChild } from '@angular/core';
import type { BlockKindName } from '@lorvet/core';
import type { MenuItem } from 'primeng/api';
import { Menu } from 'primeng/menu';

interface KindGroup {
  readonly label?: string;
  readonly kinds: readonly { readonly kind: BlockKindName; readonly label: string }[];
}

/** The kinds of block as one menu for a whole page of them: it opens at the button that was pressed, for what that adds. */
@Component({
  selector: 'lv-kind-menu',
  imports: [Menu],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p-menu [model]="items()" [popup]="true" appendTo="body" styleClass="kind-menu" />`,
})
export class KindMenu {
  readonly groups = input.required<readonly KindGroup[]>();
  private readonly menu = viewChild.required(Menu);
  protected readonly items = signal<MenuItem[]>([]);

  /** @param add what is done with the kind that is chosen. */
  open(event: Event, add: (kind: BlockKindName) => void): void {
    const entries = (g: KindGroup): MenuItem[] => g.kinds.map((k) => ({ label: k.label, command: () => add(k.kind) }));
    this.items.set(this.groups().flatMap((g) => (g.label ? [{ label: g.label, items: entries(g) }] : entries(g))));
    this.menu().toggle(event);
  }
}
