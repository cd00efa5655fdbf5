import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  blockKinds,
  derive,
  type Family,
  type Id,
  type LearnerPackage,
  learnerSheet,
  questionNumbers,
} from '@lorvet/core';
import { LaidPage } from '../../ui/blocks/laid-page';
import { counted } from '../../platform/many';

/** A version that is given; null is the master. */
export interface GivenVersion {
  readonly id: Id | null;
  readonly name: string;
}

interface Measured {
  /** The same page, with the same numbers, in whichever version. */
  readonly key: string;
  readonly page: LearnerPackage['pages'][number];
  readonly numbers: ReadonlyMap<Id, number>;
  readonly where: string[];
  readonly link: readonly string[];
}

/** Milliseconds after which a picture does not come any more. */
const LONGEST = 3000;
const MOST_NAMED = 8;

/**
 * The check that what is laid on pictures has room there: each page that is given is laid out once, out of sight and as
 * wide as on the desk, one after the other, and what opens as a panel is named with its place.
 */
@Component({
  selector: 'lv-no-room',
  imports: [LaidPage, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (found().length) {
      <div class="card ochre">
        <h3>
          {{
            counted(found().length, 'Too large for its place on a picture', 'Too large for their places on a picture')
          }}
        </h3>
        <p class="small">Learners see a button there that opens it over the page.</p>
        <ul class="small">
          @for (f of found().slice(0, MOST_NAMED); track $index) {
            <li>
              <a [routerLink]="f.link">{{ f.where }}</a>: {{ f.what }}
            </li>
          }
        </ul>
        @if (found().length > MOST_NAMED) {
          <p class="small">and {{ found().length - MOST_NAMED }} more</p>
        }
      </div>
    }
    @for (p of now(); track p.key) {
      <div class="measured" inert aria-hidden="true">
        <lv-laid-page [page]="p.page" [shrink]="true" (tooLarge)="note($event)" />
      </div>
    }
  `,
  styles: `
    ul {
      margin: 4px 0 0;
      padding-left: 18px;
    }
    .measured {
      position: fixed;
      left: -3000px;
      top: 0;
      width: 1100px;
      visibility: hidden;
    }
  `,
})
export class NoRoom {
  protected readonly counted = counted;
  readonly family = input.required<Family>();
  readonly given = input.required<readonly GivenVersion[]>();
  protected readonly MOST_NAMED = MOST_NAMED;

  private readonly pages = computed(() => {
    const family = this.family();
    const all = new Map<string, Measured>();
    for (const { id, name } of this.given()) {
      const { content } = derive(family, id);
      if (!content.pages.some((p) => p.fixed)) continue;
      const sheet = learnerSheet({ id: '', swatch: family.swatch, content });
      const numbers = questionNumbers(sheet.pages);
      sheet.pages.forEach((page, i) => {
        if (!page.fixed) return;
        const key = JSON.stringify([page, page.blocks.map((b) => numbers.get(b.id))]);
        const where = `${name}, page ${i + 1}`;
        const known = all.get(key);
        if (known) known.where.push(where);
        else
          all.set(key, {
            key,
            page,
            numbers,
            where: [where],
            link: ['/bench', family.id, ...(id === null ? [] : [id])],
          });
      });
    }
    return [...all.values()];
  });
  /** What has no room, by the page it is on; of pages that were measured. */
  private readonly results = signal<ReadonlyMap<string, readonly Id[]>>(new Map());
  /** The page that is measured now: a list of one, or of none. */
  protected readonly now = computed(
    () =>
      this.pages()
        .filter((p) => !this.results().has(p.key))
        .slice(0, 1),
    { equal: (a, b) => a[0]?.key === b[0]?.key },
  );
  protected readonly found = computed(() =>
    this.pages().flatMap((p) =>
      (this.results().get(p.key) ?? []).map((id) => {
        const n = p.numbers.get(id);
        const kind = p.page.blocks.find((b) => b.id === id)?.kind;
        const what = n ? `question ${n}` : kind ? blockKinds[kind].label.toLowerCase() : '';
        return { where: p.where.join('; '), link: p.link, what };
      }),
    ),
  );
  private readonly noted = new Set<Id>();

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    let timer = 0;
    // What is laid on a picture is measured when it has come and was drawn.
    const come = () => {
      clearTimeout(timer);
      timer = window.setTimeout(() => this.done(), 100);
    };
    host.addEventListener('load', come, true);
    effect(() => {
      const [page] = this.now();
      clearTimeout(timer);
      this.noted.clear();
      if (page) timer = window.setTimeout(() => this.done(), LONGEST);
    });
    inject(DestroyRef).onDestroy(() => clearTimeout(timer));
  }

  protected note({ id, is }: { readonly id: Id; readonly is: boolean }): void {
    if (is) this.noted.add(id);
    else this.noted.delete(id);
  }

  private done(): void {
    const [page] = this.now();
    if (page) this.results.update((all) => new Map(all).set(page.key, [...this.noted]));
  }
}
