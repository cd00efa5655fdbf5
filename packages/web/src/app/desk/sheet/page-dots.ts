import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { saying } from '../../ui/say/say';

/** Which page is shown, of how many, and which are done. */
@Component({
  selector: 'lv-page-dots',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span aria-hidden="true">
      @for (page of pages(); track page.id) {
        <i [class.done]="page.done" [class.here]="$index === at()"></i>
      }
    </span>
    {{
      isOne()
        ? t('{count} pages', { count: pages().length })
        : t('page {number} of {of}', { number: at() + 1, of: pages().length })
    }}
  `,
  styles: `
    :host {
      display: flex;
      align-items: center;
      gap: 12px;
      font-size: 0.85em;
    }
    span {
      display: flex;
      gap: 7px;
    }
    i {
      width: 34px;
      height: 9px;
      border-radius: 5px;
      border: 1px solid var(--line-strong);
      background: var(--surface);
    }
    i.done {
      background: var(--moss);
      border-color: var(--moss);
    }
    i.here {
      background: var(--accent);
      border-color: var(--accent);
    }
    @media (forced-colors: active) {
      i.done,
      i.here {
        forced-color-adjust: none;
        background: CanvasText;
      }
      i.here {
        background: Highlight;
        outline: 2px solid Highlight;
      }
    }
    @media (max-width: 760px) {
      span {
        display: none;
      }
    }
  `,
})
export class PageDots {
  readonly pages = input.required<readonly { readonly id: string; readonly done: boolean }[]>();
  readonly at = input.required<number>();
  /** Whether they all stand one below the other. */
  readonly isOne = input(false);
  protected readonly t = saying();
}
