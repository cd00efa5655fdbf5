import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { answerIsEmpty, questionNumbers } from '@lorvet/core/desk';
import { Clock } from '../../platform/clock';
import { belowTitle } from '../../ui/below-title';
import { LaidPage } from '../../ui/blocks/laid-page';
import { Focused } from '../../ui/focused';
import { type Plain, Say, saying } from '../../ui/say/say';
import { SwatchMark } from '../../ui/swatch';
import { comfortSays, comfortStyle } from '../comfort/comfort-style';
import { Companions } from '../companions/companions';
import { DeskSession } from '../desk-session';
import type { DeskWork } from '../desk-work';
import { Reader } from '../reading/reader';
import { Reading } from '../reading/reading';
import { isOver, OPEN, pressOf, WorkList } from './work-list';

interface Part {
  readonly name: Plain;
  readonly when: 'now' | 'earlier';
  readonly works: readonly DeskWork[];
}

/** All the work that is open for the learner at the desk: what to do first, what comes then, what is done. */
@Component({
  selector: 'lv-my-work',
  imports: [Companions, Focused, LaidPage, LucideDynamicIcon, Reading, RouterLink, SwatchMark, WorkList],
  providers: [Reader],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (session.learner(); as l) {
      <main #work>
        <div class="row">
          <h1 class="grow" lvFocused>{{ t('Hello, {name}', { name: firstName() }) }}</h1>
          @if (session.tools().aloud !== 'hidden') {
            <button
              #hearButton
              class="btn"
              type="button"
              data-quiet
              [attr.aria-expanded]="reader.isOpen()"
              (click)="hear(hearButton)"
            >
              <svg lucideIcon="volume-2"></svg>{{ t('Hear it') }}
            </button>
          }
          <a class="btn" routerLink="/desk" data-quiet><svg lucideIcon="log-out"></svg>{{ t('I am done here') }}</a>
        </div>
        @if (next(); as w) {
          <section class="card next">
            <div class="about">
              <p class="first">{{ t('Do this first') }}</p>
              <div class="row">
                <lv-swatch [swatch]="w.work.swatch" [size]="52" />
                <h2 class="grow">{{ w.work.title }}</h2>
              </div>
              @if (w.work.dueAt; as due) {
                <p>
                  {{ t('Due {soon}, {when}', { soon: soon(due), when: speaks.when(due) }) }}
                  @if (w.work.more) {
                    <span>{{ t('You have more time.') }}</span>
                  }
                </p>
              }
              @if (w.work.team) {
                <p>{{ t('With your group: {name}', { name: w.work.team }) }}</p>
              }
              @if (progress(); as p) {
                <p>
                  @if (p.done) {
                    {{ t('You have answered {done} of {of}.', { done: p.done, of: p.of }) }}
                  } @else {
                    {{ t('{count} questions.', { count: p.of }) }}
                  }
                  @if (p.at; as number) {
                    {{ t('You go on at question {number}.', { number }) }}
                  }
                </p>
                <span class="bar" aria-hidden="true"><i [style.width.%]="(100 * p.done) / p.of"></i></span>
              }
              @if (w.state === 'another go' && w.work.said.comment; as word) {
                <p class="word">{{ t('Your teacher says:') }} {{ word }}</p>
              }
              <lv-companions [of]="w.id" [list]="w.work.companions" />
              <a class="btn main" [routerLink]="['/desk/work', w.id]"
                >{{ t(press(w)) }}<span class="sr">: {{ w.work.title }}</span></a
              >
            </div>
            @defer (on idle) {
              @if (firstPage(); as page) {
                <div class="look" inert aria-hidden="true" dir="auto">
                  <lv-laid-page [page]="page" [shrink]="true" />
                </div>
              }
            }
          </section>
        }
        @if (ready() && !next()) {
          <p class="card">
            {{ t(hasWork() ? 'You have done everything for now.' : 'There is nothing to do right now.') }}
          </p>
        }
        @for (part of parts(); track part.name) {
          <lv-work-list [name]="part.name" [works]="part.works" />
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
        @if (earlier().length) {
          <details [open]="!hasOpen()">
            <summary class="btn">{{ t('Earlier work, {number}', { number: earlierMany() }) }}</summary>
            @for (part of earlier(); track part.name) {
              <lv-work-list [name]="part.name" [works]="part.works" />
            }
          </details>
        }
      </main>
      <lv-reading
        [root]="work"
        [comfort]="session.comfort()"
        [tools]="session.tools()"
        (comfortChanged)="session.setComfort($event)"
        (closed)="reader.close()"
      />
    }
  `,
  styleUrl: '../desk.css',
  styles: `
    /* The bar for reading stands at the foot of the window, on a short page too. */
    :host {
      display: grid;
      grid-template: minmax(0, 1fr) auto / minmax(0, 1fr);
    }
    main {
      align-content: start;
      width: 100%;
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
    section {
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
    details {
      display: grid;
      gap: 20px;
    }
    details[open] > section {
      margin-top: 18px;
    }
    summary {
      width: fit-content;
      cursor: pointer;
    }
    lv-reading:has(lv-read-bar) {
      display: block;
      position: sticky;
      bottom: 0;
      padding: 10px 20px;
      border-top: 1px solid var(--line);
      background: var(--surface);
    }
    .word {
      padding: 8px 12px;
      border-inline-start: 4px solid var(--moss);
      background: var(--sunken);
    }
    .said {
      white-space: pre-wrap;
      overflow-wrap: anywhere;
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
  protected readonly reader = inject(Reader);
  private readonly clock = inject(Clock);
  protected readonly belowTitle = belowTitle;
  protected readonly speaks = inject(Say);
  protected readonly t = saying();
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
  private readonly all = computed(() => {
    const read = this.session.all().filter((w) => w.work.kind === 'work' && w.work.way === 'to-read');
    const done = this.session.all().filter((w) => w.work.way !== 'to-read' && !OPEN.has(w.state));
    const over = this.session.all().filter((w) => w.work.way !== 'to-read' && OPEN.has(w.state) && this.isOver(w));
    const list: readonly Part[] = [
      { name: 'Then', when: 'now', works: this.open().slice(1) },
      { name: 'To read', when: 'now', works: read },
      { name: 'With your teacher', when: 'earlier', works: done.filter((w) => w.state === 'submitted') },
      { name: 'The time is over', when: 'earlier', works: over },
      { name: 'Finished', when: 'earlier', works: done.filter((w) => w.state !== 'submitted') },
    ];
    return list.filter((p) => p.works.length);
  });
  protected readonly parts = computed(() => this.all().filter((p) => p.when === 'now'));
  protected readonly earlier = computed(() => this.all().filter((p) => p.when === 'earlier'));
  protected readonly earlierMany = computed(() => this.earlier().reduce((n, p) => n + p.works.length, 0));
  protected readonly hasOpen = computed(() => this.open().length > 0);
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
    const done = items.filter((b) => !answerIsEmpty(open.answers[b.id])).length;
    return { of: items.length, done, at: done ? questionNumbers(open.sheet.pages).get(open.left) : undefined };
  });

  constructor() {
    this.session.speaks();
    if (!this.session.learner()) void inject(Router).navigate(['/desk'], { replaceUrl: true });
  }

  protected hear(button: HTMLElement): void {
    if (this.reader.isOpen()) this.reader.close();
    else this.reader.open();
    button.focus();
  }

  private isOver(w: DeskWork): boolean {
    return isOver(w, this.clock.minute());
  }

  protected press(w: DeskWork): Plain {
    return pressOf(w, this.clock.minute());
  }

  protected soon(at: string): string {
    return this.speaks.soon(at, this.clock.local());
  }
}
