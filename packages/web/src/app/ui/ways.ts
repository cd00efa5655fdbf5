import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** One of several ways to look at the same thing. */
export interface Way {
  readonly name: string;
  readonly link: string | readonly string[];
  readonly query?: Readonly<Record<string, string | undefined>>;
}

const EXACT = { paths: 'exact', queryParams: 'ignored', fragment: 'ignored', matrixParams: 'ignored' } as const;

/** The ways to look at something, side by side: the one that is open is marked. */
@Component({
  selector: 'lv-ways',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav [attr.aria-label]="says()">
      @for (w of ways(); track w.name) {
        <a
          [routerLink]="w.link"
          [queryParams]="w.query"
          routerLinkActive="on"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="exact"
          >{{ w.name }}</a
        >
      }
    </nav>
  `,
  styles: `
    :host {
      display: block;
      margin-left: auto;
    }
    nav {
      display: flex;
      flex-wrap: wrap;
      gap: 2px;
      padding: 2px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
    }
    a {
      display: grid;
      place-items: center;
      min-height: 30px;
      padding: 2px 9px;
      border-radius: calc(var(--r) - 2px);
      font-weight: 600;
      text-decoration: none;
    }
    a:hover {
      background: var(--sunken);
    }
    a.on {
      background: var(--accent-soft);
      box-shadow: inset 0 -2px 0 var(--accent);
    }
  `,
})
export class Ways {
  readonly says = input.required<string>();
  readonly ways = input.required<readonly Way[]>();
  protected readonly exact = EXACT;
}
