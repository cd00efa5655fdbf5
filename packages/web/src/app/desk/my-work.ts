import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { answerIsEmpty, type CopyState } from '@lorvet/core/desk';
import { Clock } from '../platform/clock';
import { belowTitle } from '../ui/below-title';
import { LaidPage } from '../ui/blocks/laid-page';
import { Focused } from '../ui/focused';
import { howSoon } from '../ui/how-soon';
import { SwatchMark } from '../ui/swatch';
import { whenIn } from '../ui/when';
import { comfortSays, comfortStyle } from './comfort/comfort-style';
import { Companions } from './companions';
import { DeskSession, type DeskWork } from './desk-session';

const SAYS: Record<CopyState, { readonly state: string; readonly press: string }> = {
  'not open yet': { state: '', press: '' },
  'to start': { state: 'New', press: 'Start' },
  working: { state: 'Begun', press: 'Go on' },
  submitted: { state: 'Submitted', press: 'Look' },
  'another go': { state: 'Have another go', press: 'Another go' },
  complete: { state: 'Finished', press: 'Look' },
};

/** What can still be written in. */
const OPEN: ReadonlySet<CopyState> = new Set<CopyState>(['to start', 'working', 'another go']);

/** All the work that is open for the learner at the desk: what to do first, what comes then, what is done. */
@Component({
  selector: 'lv-my-work',
  imports: [Companions, Focused, LaidPage, LucideDynamicIcon, RouterLink, SwatchMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (session.learner(); as l) {
      <main>
        <div class="row">
          <h1 class="grow" lvFocused>Hello, {{ firstName() }}</h1>
          <a class="btn" routerLink="/desk"><svg lucideIcon="log-out"></svg>I am done here</a>
        </div>
        @if (next(); as w) {
          <section class="card next">
            <div class="about">
              <p class="first">Do this first</p>
              <div class="row">
                <lv-swatch [swatch]="w.work.swatch" [size]="52" />
                <h2 class="grow">{{ w.work.title }}</h2>
              </div>
              @if (w.work.dueAt; as due) {
                <p>Due {{ soon(due) }}, {{ whenIn(due) }}{{ w.work.more ? '. You have more time.' : '' }}</p>
              }
              @if (w.work.team) {
                <p>With your group: {{ w.work.team }}</p>
              }
              @if (progress(); as p) {
                <p>{{ p.done ? 'You have answered ' + p.done + ' of ' + p.of + '.' : p.of + ' questions.' }}</p>
                <span class="bar" aria-hidden="true"><i [style.width.%]="(100 * p.done) / p.of"></i></span>
              }
              @if (w.state === 'another go' && w.work.said.comment; as word) {
                <p class="word">Your teacher says: {{ word }}</p>
              }
              <lv-companions [of]="w.id" [list]="w.work.companions" />
              <a class="btn main" [routerLink]="['/desk/work', w.id]"
                >{{ press(w) }}<span class="sr">: {{ w.work.title }}</span></a
              >
            </div>
            @defer (on idle) {
              @if (firstPage(); as page) {
                <div class="look" inert aria-hidden="true"><lv-laid-page [page]="page" [shrink]="true" /></div>
              }
            }
          </section>
        }
        @if (ready() && !next()) {
          <p class="card">
            {{ hasWork() ? 'You have done everything for now.' : 'There is nothing to do right now.' }}
          </p>
        }
        @for (n of notices(); track n.id) {
          <section class="card" [attr.aria-label]="n.work.title">
            <h2>{{ n.work.title }}</h2>
            @if (belowTitle(n.work.title, n.work.note); as words) {
              <p class="said">{{ words }}</p>
            }
            <lv-companions [of]="n.id" [list]="n.work.companions" />
          </section>
        }
        @for (part of parts(); track part.name) {
          <section>
            <h2>{{ part.name }}</h2>
            <ul>
              @for (w of part.works; track w.id) {
                <li class="card">
                  <lv-swatch [swatch]="w.work.swatch" [size]="44" />
                  <div class="grow">
                    <h3>{{ w.work.title }}</h3>
                    <p>
                      {{ w.work.way === 'to-read' ? 'To read' : says[w.state].state
                      }}{{ part.isOpen && w.work.dueAt ? ' · due ' + soon(w.work.dueAt) : '' }}
                    </p>
                    <lv-companions [of]="w.id" [list]="w.work.companions" />
                    @if (w.state === 'complete' && w.work.said.comment; as word) {
                      <p class="word">Your teacher says: {{ word }}</p>
                    }
                  </div>
                  <a class="btn" [routerLink]="['/desk/work', w.id]"
                    >{{ press(w) }}<span class="sr">: {{ w.work.title }}</span></a
                  >
                </li>
              }
            </ul>
          </section>
        }
      </main>
    }
  `,
  styleUrl: './desk.css',
  styles: `
    main {
      max-width: 940px;
      margin: 0 auto;
      padding: 36px 20px;
      display: grid;
      gap: 26px;
    }
    h1 {
      font-size: 1.7em;
    }
    h2 {
      font-size: 1.1em;
    }
    h3 {
      font-size: 1.05em;
      font-weight: 650;
      color: var(--ink);
    }
    section {
      display: grid;
      gap: 12px;
    }
    ul {
      display: grid;
      gap: 12px;
    }
    .next {
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 340px), 1fr));
      gap: 24px;
      padding: 24px;
    }
    .about {
      display: grid;
      gap: 12px;
      align-content: start;
    }
    .about h2 {
      font-size: 1.35em;
    }
    .first {
      font-weight: 700;
      color: var(--accent-strong);
    }
    .bar {
      display: block;
      height: 12px;
      border: 1px solid var(--line-strong);
      border-radius: 6px;
      overflow: hidden;
    }
    .bar i {
      display: block;
      height: 100%;
      background: var(--moss);
    }
    /* The sheet as it lies there, from its top. */
    .look {
      max-height: 340px;
      overflow: hidden;
      padding: 14px;
      border: 1px solid var(--line);
      border-radius: var(--r);
      background: var(--surface);
      font-size: 0.7em;
      mask-image: linear-gradient(#000 75%, transparent);
    }
    .word {
      padding: 8px 12px;
      border-left: 4px solid var(--moss);
      background: var(--sunken);
    }
    .said {
      white-space: pre-wrap;
      overflow-wrap: anywhere;
    }
    li.card {
      display: flex;
      align-items: center;
      flex-wrap: wrap;
      gap: 12px 18px;
      padding: 16px 20px;
    }
    .btn {
      min-height: 50px;
      padding: 4px 22px;
      font-size: 0.95em;
    }
    .about .btn {
      justify-self: start;
      font-size: 1.05em;
    }
    @media (forced-colors: active) {
      .bar i {
        forced-color-adjust: none;
        background: Highlight;
      }
    }
  `,
  host: { '[style]': 'style()', '[attr.data-comfort]': 'comfortSays()' },
})
export class MyWork {
  protected readonly session = inject(DeskSession);
  private readonly clock = inject(Clock);
  protected readonly says = SAYS;
  protected readonly belowTitle = belowTitle;
  protected readonly whenIn = whenIn;
  protected readonly style = computed(() => comfortStyle(this.session.comfort()));
  protected readonly comfortSays = computed(() => comfortSays(this.session.comfort()));
  protected readonly firstName = computed(() => this.session.learner()?.name.split(' ')[0] ?? '');
  /** What is to be done, what is due soonest first. */
  private readonly open = computed(() =>
    this.session
      .all()
      .filter((w) => w.work.kind === 'work' && w.work.way !== 'to-read' && OPEN.has(w.state) && !this.isOver(w))
      .sort((a, b) => (a.work.dueAt ?? '9999').localeCompare(b.work.dueAt ?? '9999')),
  );
  protected readonly next = computed(() => this.open()[0]);
  protected readonly ready = this.session.hold(() => this.next()?.id ?? '');
  protected readonly parts = computed(() => {
    const read = this.session.all().filter((w) => w.work.kind === 'work' && w.work.way === 'to-read');
    const done = this.session.all().filter((w) => w.work.way !== 'to-read' && !OPEN.has(w.state));
    const over = this.session.all().filter((w) => w.work.way !== 'to-read' && OPEN.has(w.state) && this.isOver(w));
    return [
      { name: 'Then', isOpen: true, works: this.open().slice(1) },
      { name: 'To read', isOpen: false, works: read },
      { name: 'With your teacher', isOpen: false, works: done.filter((w) => w.state === 'submitted') },
      { name: 'The time is over', isOpen: false, works: over },
      { name: 'Finished', isOpen: false, works: done.filter((w) => w.state !== 'submitted') },
    ].filter((p) => p.works.length);
  });
  /** Notices that are up now, and folders that always are: the newest first. */
  protected readonly notices = computed(() =>
    this.session.all().filter((w) => w.work.kind !== 'work' && !this.isOver(w)),
  );
  private readonly sheet = computed(() => {
    const w = this.next();
    return w && this.session.of(w.id);
  });
  protected readonly hasWork = computed(() => this.session.all().some((w) => w.work.kind === 'work'));
  protected readonly firstPage = computed(() => this.sheet()?.sheet.pages[0]);
  protected readonly progress = computed(() => {
    const open = this.sheet();
    const items = open?.sheet.pages.flatMap((p) => p.blocks.filter((b) => 'prompt' in b)) ?? [];
    if (!open || !items.length) return null;
    return { of: items.length, done: items.filter((b) => !answerIsEmpty(open.answers[b.id])).length };
  });

  constructor() {
    if (!this.session.learner()) void inject(Router).navigate(['/desk'], { replaceUrl: true });
  }

  /** Whether nothing can be begun or submitted any more. */
  private isOver(w: DeskWork): boolean {
    return w.work.closesAt !== null && w.work.closesAt <= this.clock.minute();
  }

  protected press(w: DeskWork): string {
    if (w.work.way !== 'to-read' && OPEN.has(w.state) && this.isOver(w)) return 'Look';
    return w.work.way === 'to-read' ? 'Read' : SAYS[w.state].press;
  }

  protected soon(at: string): string {
    return howSoon(at, this.clock.local());
  }
}
