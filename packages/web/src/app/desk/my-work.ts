import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import type { CopyState } from '@lorvet/core';
import { Focused } from '../ui/focused';
import { SwatchMark } from '../ui/swatch';
import { whenIn } from '../ui/when';
import { comfortStyle } from './comfort';
import { DeskSession } from './desk-session';

const SAYS: Record<CopyState, { readonly state: string; readonly press: string }> = {
  'not open yet': { state: '', press: '' },
  'to start': { state: 'New', press: 'Start' },
  working: { state: 'Begun', press: 'Go on' },
  submitted: { state: 'Submitted', press: 'Look' },
  'another go': { state: 'Have another go', press: 'Another go' },
  complete: { state: 'Finished', press: 'Look' },
};

/** All the work that is open for the learner at the desk, in one place. */
@Component({
  selector: 'lv-my-work',
  imports: [Focused, RouterLink, SwatchMark, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (session.learner(); as l) {
      <main>
        <div class="row">
          <h1 class="grow" lvFocused>Hello, {{ first() }}</h1>
          <a class="btn" routerLink="/desk"><svg lucideIcon="log-out"></svg>I am done here</a>
        </div>
        <ul>
          @for (w of session.all(); track w.id) {
            <li class="card">
              <lv-swatch [swatch]="w.work.swatch" [size]="44" />
              <div class="grow">
                <h2>{{ w.work.title }}</h2>
                <p>
                  {{ w.work.way === 'to-read' ? 'To read' : says[w.state].state
                  }}{{ w.work.dueAt ? ' · due ' + whenIn(w.work.dueAt) : '' }}
                </p>
              </div>
              <a
                class="btn"
                [class.main]="w.state === 'to start' || w.state === 'working' || w.state === 'another go'"
                [routerLink]="['/desk/work', w.id]"
                >{{ w.work.way === 'to-read' ? 'Read' : says[w.state].press
                }}<span class="sr">: {{ w.work.title }}</span></a
              >
            </li>
          } @empty {
            @if (ready()) {
              <li class="card"><p>There is nothing to do right now.</p></li>
            }
          }
        </ul>
      </main>
    }
  `,
  styleUrl: './desk.css',
  styles: `
    main {
      max-width: 860px;
      margin: 0 auto;
      padding: 44px 20px;
      display: grid;
      gap: 24px;
    }
    h1 {
      font-size: 1.7em;
    }
    h2 {
      font-size: 1.15em;
    }
    ul {
      display: grid;
      gap: 14px;
    }
    li {
      display: flex;
      align-items: center;
      gap: 18px;
      padding: 18px 20px;
    }
    .btn {
      min-height: 50px;
      padding: 4px 22px;
      font-size: 0.95em;
    }
  `,
  host: { '[style]': 'style()' },
})
export class MyWork {
  protected readonly session = inject(DeskSession);
  protected readonly ready = this.session.hold();
  protected readonly says = SAYS;
  protected readonly whenIn = whenIn;
  protected readonly style = computed(() => comfortStyle(this.session.comfort()));
  protected readonly first = computed(() => this.session.learner()?.name.split(' ')[0] ?? '');

  constructor() {
    if (!this.session.learner()) void inject(Router).navigate(['/desk'], { replaceUrl: true });
  }
}
