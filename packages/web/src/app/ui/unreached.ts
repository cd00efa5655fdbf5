import { ChangeDetectionStrategy, Component, computed, ErrorHandler, inject, Injectable, signal } from '@angular/core';
import { type NavigationError, Router } from '@angular/router';
import { isDeskPath } from '../start/desk-path';
import { ProblemCard, type Wrong } from './problem';

interface Wanted {
  /** The address that was to be opened; null for a part of the page that is open. */
  readonly url: string | null;
  /** Its files did not come; otherwise it came, and failed. */
  readonly isUnfetched: boolean;
}

/** Parts of Lorvet come when they are needed first: what could not be opened, and where it was wanted. */
@Injectable({ providedIn: 'root' })
export class Unreached {
  readonly wanted = signal<Wanted | null>(null);
}

/** No file of a part came: said by each browser in its own words, and by Angular by a number where a part was put off. */
const isUnfetched = (error: unknown): boolean =>
  error instanceof Error &&
  (('code' in error && Math.abs(Number(error.code)) === 750) ||
    (error instanceof TypeError && /\bmodule\b/i.test(error.message)));

/** What nobody caught: logged as ever, and a part that could not be fetched is said on the page. */
@Injectable()
export class UncaughtErrors extends ErrorHandler {
  private readonly unreached = inject(Unreached);

  override handleError(error: unknown): void {
    super.handleError(error);
    if (isUnfetched(error)) this.unreached.wanted.update((before) => before ?? { url: null, isUnfetched: true });
  }
}

/** A place that could not be opened; the one that was open stays. */
export function placeFailed({ url, error }: NavigationError): void {
  inject(ErrorHandler).handleError(error);
  inject(Unreached).wanted.set({ url, isUnfetched: isUnfetched(error) });
}

const UNFETCHED =
  'Its files did not come: there may be no connection, or Lorvet was renewed since this page was opened.';
const FAILED = 'Something went wrong while it was opened.';
const FOR_LEARNERS: Wrong = {
  message:
    'This page did not open. Your answers are kept. Try again in a moment. If it does not help, ask your teacher.',
  details: [],
};

/** Says over the page that a place, or a part of this one, could not be fetched, and opens it when it can be. */
@Component({
  selector: 'lv-unreached',
  imports: [ProblemCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (wrong(); as w) {
      <lv-problem [wrong]="w" [class.plain]="w === plain">
        <div class="row">
          @if (unreached.wanted()?.url) {
            <button class="btn main" type="button" (click)="again()">Try again</button>
          }
          <button class="btn" type="button" (click)="anew()">Reload the page</button>
          <button class="btn quiet" type="button" (click)="close()">Close this</button>
        </div>
      </lv-problem>
    }
  `,
  styles: `
    lv-problem {
      position: fixed;
      z-index: 1200;
      inset: auto 12px 12px;
      box-shadow: 0 6px 24px rgb(0 0 0 / 0.18);
      max-width: 560px;
      margin-inline: auto;
      max-height: calc(100vh - 24px);
      overflow: auto;
    }
    .row {
      flex-wrap: wrap;
    }
    lv-problem.plain {
      background: var(--surface);
      color: var(--ink);
      font-size: 19px;
    }
    .plain .btn {
      min-height: 44px;
      font-size: 18px;
    }
  `,
})
export class UnreachedCard {
  protected readonly unreached = inject(Unreached);
  protected readonly plain = FOR_LEARNERS;
  private readonly router = inject(Router);
  protected readonly wrong = computed(() => {
    const wanted = this.unreached.wanted();
    if (!wanted) return null;
    const { url, isUnfetched } = wanted;
    if (isDeskPath(url ?? this.router.url)) return FOR_LEARNERS;
    return {
      name: url ? 'This place could not be opened' : 'A part of this page could not be opened',
      message: `${isUnfetched ? UNFETCHED : FAILED} What you made is kept in this browser. Reloading the page fetches everything anew.`,
      details: [],
    };
  });

  protected again(): void {
    const url = this.unreached.wanted()?.url;
    this.close();
    if (url) void this.router.navigateByUrl(url);
  }

  protected anew(): void {
    location.assign(this.unreached.wanted()?.url ?? this.router.url);
  }

  protected close(): void {
    this.unreached.wanted.set(null);
  }
}
