import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { listOf, type Removed } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { Exchange } from '../platform/storage/exchange';
import type { Earlier } from '../platform/storage/root';
import { Emptying } from '../store/emptying';
import { Exchanging } from '../store/exchanging';
import { Removing } from '../store/removing';
import { WorkspaceStore } from '../store/workspace';
import { Ask } from '../ui/ask';
import { Notice } from '../ui/notice';
import { whenIn } from '../ui/when';

/** Where what was removed waits, and comes back whole; and the workspaces that others took the place of. */
@Component({
  selector: 'lv-removed-things',
  imports: [ButtonDirective, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Removed things</h2>
    @if (rows().length || exchange.earlier().length) {
      <p class="small">They wait here, also in a backup, until you let them go. What comes back is whole.</p>
      <ul>
        @for (e of exchange.earlier(); track e.generation) {
          <li class="row">
            <span class="grow">
              <strong>Everything that was here before</strong>
              <small>{{ e.says }}{{ e.at ? ' · put away ' + whenIn(e.at) : '' }}</small>
            </span>
            <button
              pButton
              severity="secondary"
              type="button"
              [attr.aria-label]="'Put back ' + e.says"
              (click)="swap(e)"
            >
              Put back
            </button>
            <button
              pButton
              severity="secondary"
              text
              type="button"
              [attr.aria-label]="'Let go of ' + e.says"
              (click)="dropEarlier(e)"
            >
              Let go
            </button>
          </li>
        }
        @for (r of rows(); track r.id) {
          <li class="row">
            <span class="grow">
              <strong>{{ r.title }}</strong>
              <small>{{ r.what }}{{ r.says ? ' · ' + r.says : '' }} · removed {{ whenIn(r.at) }}</small>
            </span>
            @if (removing.hasPlace(r)) {
              <button
                pButton
                severity="secondary"
                type="button"
                [attr.aria-label]="'Put back ' + r.title"
                (click)="putBack(r)"
              >
                Put back
              </button>
            } @else {
              <small>its activity is not here</small>
            }
            <button
              pButton
              severity="secondary"
              text
              type="button"
              [attr.aria-label]="'Let go of ' + r.title"
              (click)="drop([r])"
            >
              Let go
            </button>
          </li>
        }
      </ul>
      @if (rows().length > 1) {
        <button pButton severity="secondary" text type="button" (click)="drop(rows())">
          <svg lucideIcon="trash-2"></svg>Let go of all {{ rows().length }}
        </button>
      }
    } @else {
      <p class="small">
        Nothing was removed. Hand-outs, activities, versions, learners, classes and groups that you remove wait here,
        and can be put back.
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    ul {
      display: grid;
      width: 100%;
    }
    li {
      padding: 7px 0;
      border-top: 1px solid var(--line);
    }
    small {
      display: block;
    }
  `,
})
export class RemovedThings {
  protected readonly exchange = inject(Exchange);
  protected readonly removing = inject(Removing);
  private readonly exchanging = inject(Exchanging);
  private readonly emptying = inject(Emptying);
  private readonly work = inject(WorkspaceStore);
  private readonly ask = inject(Ask);
  private readonly notice = inject(Notice);
  protected readonly whenIn = whenIn;
  protected readonly rows = computed(() =>
    listOf(this.work.removed()).sort((a, b) => b.at.localeCompare(a.at) || a.title.localeCompare(b.title)),
  );

  protected async putBack(r: Removed): Promise<void> {
    await this.removing.putBack(r);
    this.notice.done(`“${r.title}” is back`, r.says);
  }

  protected async drop(list: readonly Removed[]): Promise<void> {
    const [first] = list;
    if (!first) return;
    const one = list.length === 1;
    const yes = await this.ask.sure({
      title: one ? `Let go of “${first.title}”?` : `Let go of ${list.length} removed things?`,
      says: `${one && first.says ? `With it: ${first.says}. ` : ''}This cannot be undone; a backup that has ${one ? 'it' : 'them'} still can be restored.`,
      yes: 'Let go for good',
    });
    if (!yes) return;
    await this.emptying.empty(list);
    this.notice.done(one ? `“${first.title}” is gone` : `${list.length} things are gone`);
  }

  protected async swap(e: Earlier): Promise<void> {
    await this.exchanging.back({ label: 'put back what was here before', generation: e.generation }, 'future');
    this.notice.done('It is back', 'What was here meanwhile is put away in its turn.');
  }

  protected async dropEarlier(e: Earlier): Promise<void> {
    const yes = await this.ask.sure({
      title: 'Let go of everything that was here before?',
      says: `It holds ${e.says}. This cannot be undone; a backup of it still can be restored.`,
      yes: 'Let go for good',
    });
    if (yes) await this.exchanging.dropEarlier(e.generation);
  }
}
