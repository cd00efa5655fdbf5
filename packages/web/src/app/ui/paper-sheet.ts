import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { type Answer, type LearnerPackage, questionNumbers } from '@lorvet/core/desk';
import { LaidPage } from './blocks/laid-page';
import { SheetContext } from './blocks/sheet-context';
import { PageMarkView } from './page-mark';
import { SwatchMark } from './swatch';
import { saying } from './say/say';

/** What stands beside a question on the teacher's copy. */
export interface Beside {
  readonly key: string;
  readonly note: string;
}

/** A note of the teacher's own, and the page it stands on. */
export interface PaperNote {
  readonly page: string;
  readonly text: string;
}

/** A sheet as it is printed: each page with its head on every piece of paper, everything to be answered by pen. */
@Component({
  selector: 'lv-paper-sheet',
  imports: [LaidPage, PageMarkView, SwatchMark],
  providers: [SheetContext],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let s = sheet();
    @for (p of s.pages; track p.id; let i = $index; let first = $first) {
      <div class="leaf" [class]="'paper-' + p.size + (p.orientation === 'landscape' ? '-wide' : '')">
        <div class="top" role="presentation">
          <div class="head">
            @if (s.swatch) {
              <lv-swatch [swatch]="s.swatch" [size]="26" />
            }
            <strong>{{ s.title }}</strong>
            <span class="grow"></span>
            @if (teacher()) {
              <span class="copy">{{ t('Teacher’s copy: not for learners') }}</span>
            } @else {
              <span>{{ t('Name: {name}', { name: name() || '…………………………………' }) }}</span>
            }
            <span class="n">{{ t('page {number} of {of}', { number: i + 1, of: s.pages.length }) }}</span>
          </div>
        </div>
        <div class="whole">
          <section class="page" [attr.aria-label]="t('Page {number}', { number: i + 1 })">
            @if (p.mark; as m) {
              <lv-page-mark [mark]="m" />
            }
            @if (first && supports().length) {
              <p class="word">Agreed: {{ supports().join(', ') }}</p>
            }
            @if (first && s.note) {
              <p class="word">{{ s.note }}</p>
            }
            <lv-laid-page [page]="p" [numbers]="numbers()" [answers]="answers()">
              <ng-template #beside let-b let-laid="laid">
                @if (!laid && besideOf(b.id); as words) {
                  <p class="beside">{{ words }}</p>
                }
              </ng-template>
            </lv-laid-page>
            @for (words of besideLaid(p); track $index) {
              <p class="beside">{{ words }}</p>
            }
          </section>
        </div>
      </div>
    }
    @if (notes().length) {
      <div class="leaf paper-A4">
        <div class="whole">
          <section class="page" aria-label="Notes for the teacher">
            <h2>For the teacher</h2>
            @for (n of notes(); track $index) {
              <p class="note">
                <strong>{{ n.page }}</strong><br />{{ n.text }}
              </p>
            }
          </section>
        </div>
      </div>
    }
  `,
  styleUrl: './paper-sheet.css',
})
export class PaperSheet {
  protected readonly t = saying();
  readonly sheet = input.required<LearnerPackage>();
  readonly name = input('');
  readonly answers = input<Readonly<Record<string, Answer>>>({});
  /** Keys and notes by question, on the teacher's copy only. */
  readonly teacher = input<ReadonlyMap<string, Beside> | null>(null);
  /** The teacher's own notes and key pages, on the teacher's copy only. */
  readonly notes = input<readonly PaperNote[]>([]);
  /** Supports agreed for the learner, in words. */
  readonly supports = input<readonly string[]>([]);
  /** What stands beside a question: its key, and the note on it. */
  protected besideOf(id: string): string {
    const beside = this.teacher()?.get(id);
    return [beside?.key ? `Key: ${beside.key}` : '', beside?.note ?? ''].filter(Boolean).join(' · ');
  }
  /** The same for what lies on a page's picture: under it, by number. */
  protected besideLaid(page: LearnerPackage['pages'][number]): string[] {
    return page.blocks.flatMap((b) => {
      const words = page.fixed && page.places[b.id] ? this.besideOf(b.id) : '';
      return words ? [`${this.numbers().get(b.id) ?? ''} ${words}`] : [];
    });
  }
  protected readonly numbers = computed(() => questionNumbers(this.sheet().pages));
  private readonly context = inject(SheetContext, { self: true });

  constructor() {
    this.context.paper.set(true);
    effect(() => this.context.sheet.set({ pages: this.sheet().pages, turn: () => undefined }));
  }
}
