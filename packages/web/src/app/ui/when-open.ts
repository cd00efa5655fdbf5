import { DestroyRef, Directive, inject, type OnInit, TemplateRef, ViewContainerRef } from '@angular/core';

/**
 * What stands in `<details>` and is long: made when it is first opened, and kept from then on. Stands right under it:
 * `<details><summary>…</summary><ng-container *lvWhenOpen>…</ng-container></details>`.
 */
@Directive({ selector: '[lvWhenOpen]' })
export class WhenOpen implements OnInit {
  private readonly template = inject<TemplateRef<unknown>>(TemplateRef);
  private readonly place = inject(ViewContainerRef);
  private readonly destroyed = inject(DestroyRef);

  ngOnInit(): void {
    const details = (this.place.element.nativeElement as Node).parentElement?.closest('details');
    if (!details) throw new Error('lvWhenOpen stands in <details>.');
    const make = () => {
      if (!details.open) return;
      details.removeEventListener('toggle', make);
      this.place.createEmbeddedView(this.template);
    };
    details.addEventListener('toggle', make);
    this.destroyed.onDestroy(() => details.removeEventListener('toggle', make));
    make();
  }
}
