import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { Keeper } from '../../platform/storage/keeper';
import { DeskActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { LaidPage } from '../../ui/blocks/laid-page';
import { Focused, InSight } from '../../ui/focused';
import { type PlaceAt, placeAfter, PlaceIndex } from '../../ui/place-index';
import { comfortSays, comfortStyle } from '../comfort/comfort-style';
import { DeskAlbum } from './desk-album';
import { DeskSession } from '../desk-session';
import { saying } from '../../ui/say/say';

/** Everybody's places in one piece of work, with an index; a few words can be written to another's, for the teacher first. */
@Component({
  selector: 'lv-desk-places',
  imports: [Focused, InSight, LaidPage, LucideDynamicIcon, PlaceIndex, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (album(); as a) {
      <main>
        <div class="row">
          <h1 class="grow" lvFocused>{{ t('{title}: everybody’s places', { title: a.title }) }}</h1>
          <a class="btn" [routerLink]="['/desk/work', handOutId()]"
            ><svg lucideIcon="arrow-left"></svg>{{ t('Back to my place') }}</a
          >
        </div>
        <lv-place-index [list]="list()" [words]="a.words" [columns]="a.columns" [at]="at().id" (asked)="see($event)" />
        @if (shown(); as p) {
          <section [attr.aria-label]="called(at().id)">
            @for (x of [at()]; track x) {
              <h2 [lvInSight]="x.isAsked">{{ called(x.id) }}</h2>
            }
            @for (page of p.pages; track page.id) {
              <div class="card" lang="en" dir="auto">
                <lv-laid-page [page]="page" [answers]="p.answers" [locked]="true" />
              </div>
            }
            @for (r of said(); track r.id) {
              <p class="word">
                <strong>{{ r.from || t('Somebody') }}:</strong> {{ r.text }}
              </p>
            }
            @for (r of waiting(); track r.id) {
              <p class="word waits">
                <strong>{{ t('You, for your teacher to read first:') }}</strong> {{ r.text }}
              </p>
            }
            @if (keeper.failed()) {
              <p class="word" role="alert">
                <strong>{{ t('What you wrote is not saved yet.') }}</strong>
                {{ t('Keep this page open and tell your teacher.') }}
              </p>
            }
            @if (a.comments && at().id !== mine()) {
              <form class="row" (submit)="$event.preventDefault(); say(w)">
                <label class="grow"
                  >{{ t('Say something kind and useful') }}
                  <input class="field" #w maxlength="500" autocomplete="off" />
                </label>
                <button class="btn" type="submit">{{ t('Give it to my teacher') }}</button>
              </form>
            }
            @if (next(); as n) {
              <button class="btn next" type="button" (click)="see(n.id)">
                {{ t('Next: {name}', { name: called(n.id) }) }}
              </button>
            }
          </section>
        } @else if (ready()) {
          <p class="card">{{ t('There is nothing in this place.') }}</p>
        }
      </main>
    } @else if (ready()) {
      <main>
        <h1 lvFocused>{{ t('These places are not open') }}</h1>
        <p>
          <a class="btn" routerLink="/desk/work">{{ t('My work') }}</a>
        </p>
      </main>
    }
  `,
  styleUrl: '../desk.css',
  styles: `
    main {
      max-width: 940px;
      margin: 0 auto;
      padding: 36px 20px;
      display: grid;
      gap: 22px;
    }
    section {
      display: grid;
      gap: 14px;
    }
    .card {
      padding: 18px;
    }
    lv-laid-page {
      display: grid;
      gap: 18px;
    }
    .word {
      padding: 8px 12px;
      border-inline-start: 4px solid var(--moss);
      background: var(--sunken);
      overflow-wrap: anywhere;
    }
    .waits {
      border-inline-start-style: dashed;
    }
    .next {
      justify-self: end;
    }
    h2 {
      font-size: 1.6em;
      scroll-margin-top: 12px;
    }
    form {
      align-items: end;
    }
    .field {
      width: 100%;
      min-height: 46px;
      padding: 6px 10px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
      color: var(--ink);
      font: inherit;
    }
  `,
  host: { '[style]': 'style()', '[attr.data-comfort]': 'says()' },
})
export class DeskPlaces {
  protected readonly t = saying();
  readonly handOutId = input.required<string>();
  protected readonly session = inject(DeskSession);
  private readonly places = inject(DeskAlbum);
  private readonly store = inject(WorkspaceStore);
  protected readonly keeper = inject(Keeper);
  protected readonly mine = computed(() => this.session.learner()?.id ?? '');
  /** The place that is shown: one's own at first. */
  protected readonly at = linkedSignal((): PlaceAt => ({ id: this.mine(), isAsked: false }));
  protected readonly ready = this.places.holdPlaces(
    () => this.handOutId(),
    () => this.at().id,
  );
  protected readonly style = computed(() => comfortStyle(this.session.comfort()));
  protected readonly says = computed(() => comfortSays(this.session.comfort()));
  protected readonly album = computed(() => this.places.album(this.handOutId()));
  protected readonly list = computed(() =>
    (this.album()?.places ?? []).map(({ id, name, under }) =>
      id === this.mine() ? { id, name, under, says: this.t('yours') } : { id, name, under },
    ),
  );
  protected readonly shown = computed(() => this.places.placeIn(this.handOutId(), this.at().id));
  protected readonly said = computed(() => this.album()?.remarks.filter((r) => r.to === this.at().id) ?? []);
  private readonly known = computed(() => new Set(this.album()?.remarks.map((r) => r.id)));
  /** What this learner wrote here that nobody else reads yet. */
  protected readonly waiting = computed(() =>
    this.places.remarks(this.handOutId()).filter((r) => r.to === this.at().id && !this.known().has(r.id)),
  );

  protected readonly next = computed(() => placeAfter(this.list(), this.at().id));

  constructor() {
    this.session.speaks();
  }

  protected see(id: string): void {
    this.at.set({ id, isAsked: true });
  }

  protected called(id: string): string {
    const at = this.list().findIndex((p) => p.id === id);
    return this.list()[at]?.name || this.t('Place {number}', { number: at + 1 });
  }

  protected say(field: HTMLInputElement): void {
    const copy = this.places.remarked(this.handOutId(), this.at().id, field.value.trim());
    if (!copy) return;
    this.store.dispatch(DeskActions.copySaved({ copy }));
    field.value = '';
  }
}
