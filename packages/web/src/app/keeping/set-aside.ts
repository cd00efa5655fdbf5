import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { ButtonDirective } from 'primeng/button';
import { type AsideHead, Asides } from '../platform/storage/asides';
import { download } from '../platform/download';
import { type Mended, PuttingBack } from '../store/putting-back';
import { Ask } from '../ui/ask';
import { Notice } from '../ui/notice';
import { whenIn } from '../ui/when';

/** Records that could not be read, or that another tab was quicker with: mended and put back, had as files, or let go. */
@Component({
  selector: 'lv-set-aside',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Set aside</h2>
    <p class="small">
      These records could not be read, or another tab was quicker. They are out of the way, not lost, and in every
      backup.
    </p>
    <ul>
      @for (a of asides.all(); track a.id) {
        <li>
          <div class="row">
            <span class="grow"
              ><strong>{{ nameOf(a) }}</strong
              ><small>{{ a.why }} · {{ whenIn(a.at) }}</small></span
            >
            <button
              pButton
              severity="secondary"
              type="button"
              [attr.aria-label]="'Mend … ' + nameOf(a)"
              (click)="look(a)"
            >
              Mend …
            </button>
            <button
              pButton
              severity="secondary"
              type="button"
              [attr.aria-label]="'Export ' + nameOf(a)"
              (click)="toFile(a)"
            >
              Export
            </button>
            <button
              pButton
              severity="secondary"
              text
              type="button"
              [attr.aria-label]="'Let it go: ' + nameOf(a)"
              (click)="drop(a)"
            >
              Let it go
            </button>
          </div>
          @if (looked()?.id === a.id) {
            <div class="card" [class.ochre]="looked()?.mended" role="status">
              @if (looked()?.mended; as m) {
                <p>{{ m.notes.length ? 'It can be put back, mended:' : 'It can be put back as it is.' }}</p>
                <ul class="problems small">
                  @for (n of m.notes; track $index) {
                    <li>{{ n }}</li>
                  }
                </ul>
                @if (m.replaces) {
                  <p class="small">It takes the place of what is there now; one undo brings that back.</p>
                }
                <button pButton type="button" (click)="putBack(a, m)">Put it back</button>
              } @else {
                <p>
                  What is wrong with it is not known, so that it cannot be mended here. Export it: somebody who knows
                  the format may read it.
                </p>
              }
            </div>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    :host > ul > li {
      padding: 7px 0;
      border-top: 1px solid var(--line);
    }
    small {
      display: block;
      overflow-wrap: anywhere;
    }
  `,
})
export class SetAside {
  protected readonly asides = inject(Asides);
  private readonly putting = inject(PuttingBack);
  private readonly notice = inject(Notice);
  private readonly ask = inject(Ask);
  protected readonly whenIn = whenIn;
  protected readonly looked = signal<{ id: string; mended: Mended | null } | null>(null);

  protected nameOf(a: AsideHead): string {
    return this.putting.nameOf(a);
  }

  protected async look(a: AsideHead): Promise<void> {
    this.looked.set({ id: a.id, mended: await this.putting.mended(a) });
  }

  protected async putBack(a: AsideHead, mended: Mended): Promise<void> {
    await this.putting.putBack(a, mended);
    this.looked.set(null);
    this.notice.done(
      `${this.nameOf(a)} is back`,
      mended.notes.length ? 'Its first form stays here until you let it go.' : '',
    );
  }

  protected async toFile(a: AsideHead): Promise<void> {
    const text = JSON.stringify({ ...a, data: await this.asides.data(a.id) }, null, 2);
    download(new Blob([text], { type: 'application/json' }), `set-aside-${a.at.slice(0, 10)}.json`);
  }

  protected async drop(a: AsideHead): Promise<void> {
    const yes = await this.ask.sure({
      title: `Let go of ${this.nameOf(a)}?`,
      says: 'It cannot be had back. Export it first if you may want it.',
      yes: 'Let go for good',
    });
    if (yes) await this.asides.drop(a.id);
  }
}
