import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  contentChild,
  Directive,
  inject,
  input,
  model,
  signal,
  TemplateRef,
} from '@angular/core';
import { Accordion, AccordionContent, AccordionHeader, AccordionPanel } from 'primeng/accordion';

/** What is long: made when it is first opened, and kept from then on: `<ng-template lvFolded>…</ng-template>`. */
@Directive({ selector: '[lvFolded]' })
export class Folded {
  readonly template = inject<TemplateRef<unknown>>(TemplateRef);
}

/** What is opened by a press on its name: `<lv-fold name="Pages kept">…</lv-fold>`. */
@Component({
  selector: 'lv-fold',
  imports: [Accordion, AccordionContent, AccordionHeader, AccordionPanel, NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-accordion [value]="open() ? 'it' : undefined" (valueChange)="open.set($event === 'it')">
      <p-accordion-panel value="it">
        <p-accordion-header>{{ name() }}</p-accordion-header>
        <p-accordion-content>
          @if (folded(); as f) {
            @if (isMade()) {
              <ng-container *ngTemplateOutlet="f.template" />
            }
          }
          <ng-content />
        </p-accordion-content>
      </p-accordion-panel>
    </p-accordion>
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class Fold {
  readonly name = input.required<string>();
  readonly open = model(false);
  protected readonly folded = contentChild(Folded);
  private readonly wasOpen = signal(false);
  protected readonly isMade = computed(() => this.open() || this.wasOpen());

  constructor() {
    this.open.subscribe((open) => {
      if (open) this.wasOpen.set(true);
    });
  }
}

/** For the imports of a part with an `lv-fold`. */
export const FOLD = [Fold, Folded] as const;
