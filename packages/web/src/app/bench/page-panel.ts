import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { listOf, type Page, type PageMark, PAGE_SIZES } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { BenchActions } from '../store/actions';
import { Parts } from '../store/parts';
import { SELECT } from '../ui/controls/select';
import { IconButton } from '../ui/icon-button';
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
  imports: [IconButton, ButtonDirective, InputText, LucideDynamicIcon, PageMarkView, PictureField, Textarea, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (page(); as p) {
      <div class="stack">
        <h3>Page {{ number() }}</h3>
        <div class="two">
          <lv-select label="Size" [value]="p.size ?? 'A4'" (chosen)="size($event)">
            @for (x of sizes; track x) {
              <lv-option [value]="x" [label]="x" />
            }
          </lv-select>
          <lv-select
            label="Which way up"
            [value]="p.orientation"
            (chosen)="set({ orientation: $event === 'landscape' ? 'landscape' : 'portrait' })"
          >
            <lv-option value="portrait" label="upright" />
            <lv-option value="landscape" label="across" />
          </lv-select>
        </div>
        <lv-select label="For" [value]="p.audience ?? 'learner'" (chosen)="audience($event)">
          <lv-option value="learner" label="learners" />
          <lv-option value="key" label="you: the answer key" />
          <lv-option value="teacher" label="you: notes" />
        </lv-select>
        <div class="two">
          <label class="field"
            >Day <input pInputText #d maxlength="40" [value]="mark().day" (change)="setMark({ day: d.value.trim() })"
          /></label>
          <label class="field"
            >Subject
            <input
              pInputText
              #sub
              maxlength="60"
              [value]="mark().subject"
              (change)="setMark({ subject: sub.value.trim() })"
          /></label>
          <lv-select label="Colour" [value]="mark().colour" (chosen)="colour($event)">
            <lv-option value="" label="none" />
            @for (x of colours; track x.id) {
              <lv-option [value]="x.id" [label]="x.name" />
            }
          </lv-select>
          <lv-select label="Sign" [value]="mark().sign" (chosen)="sign($event)">
            <lv-option value="" label="none" />
            @for (x of signs; track x) {
              <lv-option [value]="x" [label]="x" />
            }
          </lv-select>
        </div>
        @if (p.mark) {
          <lv-page-mark [mark]="p.mark" />
        }
        <h3>Picture that fills the page</h3>
        @if (p.fixed; as f) {
          <p class="small">Fixed in place: learners answer on top of it and cannot move it.</p>
          <label class="field"
            >What it shows
            <textarea
              pTextarea
              #alt
              rows="3"
              maxlength="2000"
              [value]="f.alt"
              (change)="describe(alt.value)"
            ></textarea>
          </label>
          <div class="row">
            <lv-picture-field label="Another picture" (chosen)="fix($event)" />
            <button pButton severity="secondary" text type="button" (click)="flow()">Let the page flow</button>
          </div>
        } @else {
          <p class="small">A copied sheet can lie under the answer places.</p>
          <div><lv-picture-field label="Lay over a picture" (chosen)="fix($event)" /></div>
        }
        <h3>The whole page</h3>
        <div class="row">
          <button pButton severity="secondary" type="button" (click)="copy()">
            <svg lucideIcon="copy"></svg>Copy the page
          </button>
          <button pButton severity="secondary" type="button" (click)="move(-1)">Earlier</button>
          <button pButton severity="secondary" type="button" (click)="move(1)">Later</button>
        </div>
        <form class="row" (submit)="$event.preventDefault(); keep(name.value)">
          <input
            pInputText
            class="input grow"
            #name
            maxlength="120"
            [value]="p.title.slice(0, 120)"
            aria-label="Name of the template"
          />
          <button pButton severity="secondary" type="submit">
            <svg lucideIcon="layout-template"></svg>Keep as a template
          </button>
        </form>
        @if (templates().length) {
          <h3>Templates</h3>
          <ul>
            @for (t of templates(); track t.id) {
              <li class="row">
                <span class="grow">{{ t.name }}</span>
                <button
                  type="button"
                  lvIcon="x"
                  [says]="'Remove the template ' + t.name"
                  (click)="dropTemplate(t.id)"
                ></button>
              </li>
            }
          </ul>
        }
        <button pButton severity="secondary" text type="button" (click)="view.chosenPage.set(null)">
          About the whole activity
        </button>
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
    this.notice.done('Kept as a template', 'Choose it beside “New page” at the end of any master.');
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
