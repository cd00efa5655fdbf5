import { Directive, ElementRef, inject, input } from '@angular/core';

/**
 * Inside a node of a tree: says how many stand beside it, itself with them. The part says how many stand under it, and
 * leaves a mark that is for the eye only where it is read out.
 */
@Directive({ selector: '[lvTreeNode]' })
export class TreeNodeSays {
  readonly lvTreeNode = input.required<number>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  ngAfterViewChecked(): void {
    const node = this.host.closest('[role="treeitem"]');
    const size = `${this.lvTreeNode()}`;
    if (!node) return;
    if (node.getAttribute('aria-setsize') !== size) node.setAttribute('aria-setsize', size);
    const mark = node.querySelector('button');
    if (mark && !mark.ariaHidden) mark.setAttribute('aria-hidden', 'true');
  }
}
