import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { listOf, type Page, type PageMark, PAGE_SIZES } from '@lorvet/core';
import { BenchActions } from '../store/actions';
import { Parts } from '../store/parts';
import { Notice } from '../ui/notice';
import { PageMarkView, SIGNS } from '../ui/page-mark';
import { PictureField } from '../ui/picture-field';
import { Removal } from '../ui/removal';
import { BenchView } from './bench-view';
import { changePage, doublePage, movePage } from './page-edits';

const PLAIN_MARK: PageMark = { day: '', subject: '', colour: '', sign: '' };
const COLOUR_NAMES: Record<Exclude<PageMark['colour'], ''>, string> = {
  a: 'terracotta',
  b: 'sea',
  c: 'ochre',
  d: 'violet',
  e: 'moss',
  f: 'madder',
  g: 'slate',
  h: 'bark',
};

/** What a page is: its size, whom it is for, its marks, its picture; and what can be done with the whole of it. */
@Component({
  selector: 'lv-page-panel',
  imports: [PageMarkView, PictureField, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (page(); as p) {
      <div class="stack">
        <h3>Page {{ number() }}</h3>
        <div class="two">
          <label class="field"
            >Size
            <select #s (change)="size(s.value)">
              @for (x of sizes; track x) {
                <option [value]="x" [selected]="x === (p.size ?? 'A4')">{{ x }}</option>
              }
            </select>
          </label>
          <label class="field"
            >Which way up
            <select #o (change)="set({ orientation: o.value === 'landscape' ? 'landscape' : 'portrait' })">
              <option value="portrait" [selected]="p.orientation === 'portrait'">upright</option>
              <option value="landscape" [selected]="p.orientation === 'landscape'">across</option>
            </select>
          </label>
        </div>
        <label class="field"
          >For
          <select #a (change)="audience(a.value)">
            <option value="learner" [selected]="(p.audience ?? 'learner') === 'learner'">learners</option>
            <option value="key" [selected]="p.audience === 'key'">you: the answer key</option>
            <option value="teacher" [selected]="p.audience === 'teacher'">you: notes</option>
          </select>
        </label>
        <div class="two">
          <label class="field"
            >Day <input #d maxlength="40" [value]="mark().day" (change)="setMark({ day: d.value.trim() })"
          /></label>
          <label class="field"
            >Subject
            <input #sub maxlength="60" [value]="mark().subject" (change)="setMark({ subject: sub.value.trim() })"
          /></label>
          <label class="field"
            >Colour
            <select #c (change)="colour(c.value)">
              <option value="">none</option>
              @for (x of colours; track x.id) {
                <option [value]="x.id" [selected]="x.id === mark().colour">{{ x.name }}</option>
              }
            </select>
          </label>
          <label class="field"
            >Sign
            <select #g (change)="sign(g.value)">
              <option value="">none</option>
              @for (x of signs; track x) {
                <option [value]="x" [selected]="x === mark().sign">{{ x }}</option>
              }
            </select>
          </label>
        </div>
        @if (p.mark) {
          <lv-page-mark [mark]="p.mark" />
        }
        <h3>Picture that fills the page</h3>
        @if (p.fixed; as f) {
          <p class="small">Fixed in place: learners answer on top of it and cannot move it.</p>
          <label class="field"
            >What it shows
            <textarea #alt rows="3" maxlength="2000" [value]="f.alt" (change)="describe(alt.value)"></textarea>
          </label>
          <div class="row">
            <lv-picture-field label="Another picture" (chosen)="fix($event)" />
            <button class="btn quiet" type="button" (click)="flow()">Let the page flow</button>
          </div>
        } @else {
          <p class="small">A copied sheet can lie under the answer places.</p>
          <div><lv-picture-field label="Lay over a picture" (chosen)="fix($event)" /></div>
        }
        <h3>The whole page</h3>
        <div class="row">
          <button class="btn" type="button" (click)="copy()"><svg lucideIcon="copy"></svg>Copy the page</button>
          <button class="btn" type="button" (click)="move(-1)">Earlier</button>
          <button class="btn" type="button" (click)="move(1)">Later</button>
        </div>
        <form class="row" (submit)="$event.preventDefault(); keep(name.value)">
          <input
            class="input grow"
            #name
            maxlength="120"
            [value]="p.title.slice(0, 120)"
            aria-label="Name of the template"
          />
          <button class="btn" type="submit"><svg lucideIcon="layout-template"></svg>Keep as a template</button>
        </form>
        @if (templates().length) {
          <h3>Templates</h3>
          <ul>
            @for (t of templates(); track t.id) {
              <li class="row">
                <span class="grow">{{ t.name }}</span>
                <button
                  class="btn quiet icon"
                  type="button"
                  [attr.aria-label]="'Remove the template ' + t.name"
                  (click)="dropTemplate(t.id)"
                >
                  <svg lucideIcon="x"></svg>
                </button>
              </li>
            }
          </ul>
        }
        <button class="btn quiet" type="button" (click)="view.chosenPage.set(null)">About the whole activity</button>
      </div>
    }
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 8px;
    }
    .row {
      flex-wrap: wrap;
    }
  `,
})
export class PagePanel {
  protected readonly view = inject(BenchView);
  private readonly notice = inject(Notice);
  protected readonly sizes = Object.keys(PAGE_SIZES) as (keyof typeof PAGE_SIZES)[];
  protected readonly signs = Object.keys(SIGNS) as (keyof typeof SIGNS)[];
  protected readonly colours = (Object.keys(COLOUR_NAMES) as (keyof typeof COLOUR_NAMES)[]).map((id) => ({
    id,
    name: COLOUR_NAMES[id],
  }));
  protected readonly page = computed(() => this.view.master()?.pages.find((p) => p.id === this.view.chosenPage()));
  protected readonly number = computed(
    () => (this.view.master()?.pages.findIndex((p) => p.id === this.view.chosenPage()) ?? 0) + 1,
  );
  protected readonly mark = computed(() => this.page()?.mark ?? PLAIN_MARK);

  protected set(fields: Partial<Page>): void {
    this.change((p) => ({ ...p, ...fields }));
  }

  protected size(value: string): void {
    const size = this.sizes.find((s) => s === value);
    if (size) this.set({ size });
  }

  protected audience(value: string): void {
    if (value === 'learner' || value === 'teacher' || value === 'key') this.set({ audience: value });
  }

  protected colour(value: string): void {
    this.setMark({ colour: this.colours.find((c) => c.id === value)?.id ?? '' });
  }

  protected sign(value: string): void {
    this.setMark({ sign: this.signs.find((s) => s === value) ?? '' });
  }

  protected setMark(fields: Partial<PageMark>): void {
    const mark = { ...this.mark(), ...fields };
    this.change((p) => {
      const { mark: _, ...rest } = p;
      return Object.values(mark).some(Boolean) ? { ...rest, mark } : rest;
    });
  }

  protected fix(assetId: string): void {
    this.change((p) => ({ ...p, fixed: { assetId, alt: p.fixed?.alt ?? '' } }));
  }

  protected describe(alt: string): void {
    this.change((p) => (p.fixed ? { ...p, fixed: { ...p.fixed, alt } } : p));
  }

  /** The places are kept: laid over a picture again, the blocks lie where they lay. */
  protected flow(): void {
    this.change((p) => {
      const { fixed: _, ...rest } = p;
      return rest;
    });
  }

  constructor() {
    void inject(Parts).list('templates');
  }

  protected copy(): void {
    const id = this.view.chosenPage();
    if (id && this.view.changeMaster((c) => doublePage(c, id, () => crypto.randomUUID()), 'copy a page'))
      this.notice.done('A copy of the page stands after it', '');
  }

  protected move(by: -1 | 1): void {
    const id = this.view.chosenPage();
    if (id) this.view.changeMaster((c) => movePage(c, id, by), 'move a page');
  }

  protected keep(name: string): void {
    const page = this.page();
    const [id] = this.view.work.stamp(1).ids;
    if (!page || !id) return;
    this.view.work.dispatch(BenchActions.templateKept({ template: { id, name: name.trim() || 'Page', page } }));
    this.notice.done('Kept as a template', 'Choose it beside “Page” at the end of any master.');
  }

  private readonly removal = inject(Removal);
  protected readonly templates = computed(() => listOf(this.view.work.templates()));

  protected dropTemplate(id: string): void {
    void this.removal.remove('template', id);
  }

  private change(change: (page: Page) => Page): void {
    const id = this.view.chosenPage();
    if (id) this.view.changeMaster((c) => changePage(c, id, change), 'page', `page panel ${id}`);
  }
}
