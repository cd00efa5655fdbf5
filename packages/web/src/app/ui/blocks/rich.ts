import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { readRich } from '@lorvet/core/rich';

/** Marked words as they read: paragraphs, lists, strong and stressed. Never as markup from elsewhere. */
@Component({
  selector: 'lv-rich',
  imports: [NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-template #words let-runs>
      @for (r of runs; track $index) {
        @if (r.strong && r.em) {
          <strong
            ><em>{{ r.text }}</em></strong
          >
        } @else if (r.strong) {
          <strong>{{ r.text }}</strong>
        } @else if (r.em) {
          <em>{{ r.text }}</em>
        } @else {
          <span>{{ r.text }}</span>
        }
      }
    </ng-template>
    @for (p of parts(); track $index) {
      @if (p.kind === 'paragraph') {
        <p><ng-container *ngTemplateOutlet="words; context: { $implicit: p.runs }" /></p>
      } @else if (p.ordered) {
        <ol>
          @for (i of p.items; track $index) {
            <li><ng-container *ngTemplateOutlet="words; context: { $implicit: i }" /></li>
          }
        </ol>
      } @else {
        <ul>
          @for (i of p.items; track $index) {
            <li><ng-container *ngTemplateOutlet="words; context: { $implicit: i }" /></li>
          }
        </ul>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5em;
    }
    p,
    li {
      max-width: 66ch;
    }
    span,
    strong,
    em {
      white-space: pre-line;
    }
    ul,
    ol {
      padding-inline-start: 1.5em;
    }
    ul {
      list-style: disc;
    }
    ol {
      list-style: decimal;
    }
  `,
})
export class Rich {
  readonly text = input.required<string>();
  protected readonly parts = computed(() => readRich(this.text()));
}
