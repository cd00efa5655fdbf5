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
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, FormRecord, ReactiveFormsModule } from '@angular/forms';
import {
  CannotRecord,
  derive,
  forLearner,
  kindOfAdjustment,
  basisContent,
  type LearnerBlock,
  type Lexicon,
  originOf,
  recordInPlace,
} from '@lorvet/core';
import { measure } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { Words } from '../platform/words';
import { LearnerBlockView } from '../ui/blocks/learner-block';
import { afterDrawing } from '../ui/after-drawing';
import { NumberField } from '../ui/controls/number';
import { SELECT } from '../ui/controls/select';
import { Soon } from '../ui/soon';
import { BenchView } from './bench-view';
import { actName, type Doing, DOINGS, type Selection, settled, type Values } from './doings';
import { Latest } from '../ui/latest';
import { onceDrawn } from '../ui/once-drawn';

const GROUPS = ['Help', 'Way to answer', 'Less or other', 'More', 'How it looks', 'Time'] as const;
const NO_WORDS: Lexicon = () => undefined;

/** What can be done with what is chosen: each shows what it would come to before it is done. */
@Component({
  selector: 'lv-do-here',
  imports: [ButtonDirective, InputText, LearnerBlockView, NumberField, ReactiveFormsModule, Soon, Textarea, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open(); as d) {
      <form class="stack card" [formGroup]="form()" (ngSubmit)="doIt()">
        <h3>{{ d.label }}</h3>
        @for (f of fields(); track f.name) {
          @if (form().controls[f.name]; as control) {
            @switch (f.as) {
              @case ('choice') {
                <lv-select [label]="f.label" [formControl]="control">
                  @for (o of f.options; track o.value) {
                    <lv-option [value]="o.value" [label]="o.label" />
                  }
                </lv-select>
              }
              @case ('number') {
                <lv-number [label]="f.label" [min]="f.min" [max]="f.max" [formControl]="control" />
              }
              @case ('lines') {
                <label class="field"
                  >{{ f.label }} <textarea pTextarea rows="3" maxlength="20000" [formControl]="control"></textarea>
                </label>
              }
              @default {
                <label class="field">{{ f.label }} <input pInputText maxlength="300" [formControl]="control" /></label>
              }
            }
          }
        }
        <div class="row">
          <button pButton type="submit" [disabled]="!preview()?.drafts?.length">Do it</button>
          <button pButton severity="secondary" type="button" (click)="close()">Cancel</button>
        </div>
        <div class="preview" role="status" aria-live="polite">
          @if (preview(); as p) {
            @for (s of p.sentences; track $index) {
              <p class="small">{{ s }}</p>
            }
            @if (p.more) {
              <p class="small">and {{ p.more }} more.</p>
            }
            @if (p.block; as b) {
              <div class="shown" aria-label="As the learner would see it">
                <lv-learner-block [block]="b" [locked]="true" />
              </div>
            }
            @if (p.drafts.length) {
              <p class="small">{{ p.change }}</p>
            }
            @for (w of p.why; track w) {
              <p class="small not">{{ w }}</p>
            }
          }
        </div>
      </form>
    } @else {
      @for (g of groups(); track g.group) {
        <div class="group" *lvSoon>
          <h4>{{ g.group }}</h4>
          @for (d of g.doings; track d.id) {
            <button pButton severity="secondary" text type="button" [attr.data-doing]="d.id" (click)="start(d)">
              {{ d.label }} …
            </button>
          }
        </div>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .group {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 4px;
      padding: 4px 0;
    }
    h4 {
      flex: 100%;
      margin: 0;
      font-size: 13px;
      font-weight: 600;
      color: var(--ink-3);
    }
    .group .p-button {
      padding: 3px 8px;
      font-size: 14px;
    }
    .preview {
      display: grid;
      gap: 4px;
    }
    .shown {
      max-height: 220px;
      overflow: auto;
      padding: 8px;
      border: 1px dashed var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
    }
    .not {
      color: var(--ochre);
    }
  `,
})
export class DoHere {
  readonly selection = input.required<Selection>();
  protected readonly view = inject(BenchView);
  private readonly words = inject(Words);
  protected readonly open = signal<Doing | null>(null);
  /** What is asked for, by name, as the fields have it. */
  protected readonly form = signal(new FormRecord<FormControl<string | number | null>>({}));
  private readonly values = signal<Values>({});
  private readonly lexicon = signal<Lexicon>(NO_WORDS);
  private readonly opening = signal('');

  private readonly suiting = computed(() => {
    const s = this.selection();
    return GROUPS.map((group) => ({ group, doings: DOINGS.filter((d) => d.group === group && d.suits(s)) })).filter(
      (g) => g.doings.length,
    );
  });
  protected readonly groups = afterDrawing(this.suiting, []);
  protected readonly fields = computed(() => this.open()?.fields(this.selection()) ?? []);

  protected readonly preview = computed(() => {
    const d = this.open();
    const family = this.view.family();
    const version = this.view.version();
    if (!d || !family || !version) return null;
    const tools = this.tools();
    const { drafts, why } = settled(d.drafts(this.selection(), this.values(), tools));
    if (drafts.length === 0) return { drafts, why, sentences: [], more: 0, block: null, change: '' };
    try {
      const stamp = { at: '', author: '', newId: tools.newId };
      const next = recordInPlace(family, version.id, { did: 'adjust', drafts, name: d.label }, stamp);
      const after = derive({ ...family, versions: family.versions.map((v) => (v === version ? next : v)) }, version.id);
      const before = derive(family, version.id);
      const made = next.adjustments.filter((a) => !version.adjustments.includes(a));
      const basis = basisContent(family, version);
      const touched = after.content.pages
        .flatMap((p) => p.blocks)
        .find((b) => {
          const o = originOf(after, b.id);
          const by = o.from === 'master' ? o.touched : [o.from, ...o.touched];
          return b.audience === 'learner' && by.some((t) => made.includes(t.adjustment));
        });
      const [m0, m1] = [measure(before.content), measure(after.content)];
      const parts = [
        m0.items === m1.items ? '' : `${m0.items} → ${m1.items} items`,
        m0.pages === m1.pages ? '' : `${m0.pages} → ${m1.pages} pages`,
        m0.words === m1.words ? '' : `${m0.words} → ${m1.words} words`,
      ].filter(Boolean);
      return {
        drafts,
        why,
        sentences: made.slice(0, 3).map((a) => kindOfAdjustment(a).describe(a, basis)),
        more: Math.max(0, made.length - 3),
        block: touched && touched.kind !== 'teacher-note' ? (forLearner(touched) as LearnerBlock) : null,
        change: parts.length ? `${parts.join(', ')}.` : 'The measures stay as they are.',
      };
    } catch (error) {
      if (error instanceof CannotRecord)
        return { drafts: [], why: [error.message], sentences: [], more: 0, block: null, change: '' };
      throw error;
    }
  });

  constructor() {
    effect(() => {
      const d = DOINGS.find((x) => x.id === this.view.asked());
      if (!d) return;
      untracked(() => {
        this.view.asked.set(null);
        this.start(d);
        this.onceDrawn(() =>
          this.host.nativeElement.querySelector<HTMLElement>('input, textarea, select, button')?.focus(),
        );
      });
    });
    // Another choice, another thing to do.
    effect(() => {
      const key = this.selection()
        .blocks.map((b) => b.id)
        .join();
      untracked(() => {
        if (key !== this.last) this.open.set(null);
        this.last = key;
      });
    });
  }
  private last = '';
  private readonly gone = inject(DestroyRef);
  private readonly onceDrawn = onceDrawn();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  private readonly reading = new Latest();

  /** The same ids each time until it is opened anew: what is drawn by chance is done as it was shown. */
  private tools() {
    const from = this.opening();
    let n = 0;
    return { lexicon: this.lexicon(), newId: () => `${from}-${++n}` };
  }

  /** Opens one of the doings, by its id where a shortcut or the palette asks for it. */
  start(d: Doing): void {
    const fields = d.fields(this.selection());
    const form = new FormRecord(
      Object.fromEntries(
        fields.map((f) => [f.name, new FormControl(f.as === 'number' && f.value !== '' ? Number(f.value) : f.value)]),
      ),
    );
    const say = () =>
      this.values.set(Object.fromEntries(Object.entries(form.getRawValue()).map(([name, v]) => [name, `${v ?? ''}`])));
    form.valueChanges.pipe(takeUntilDestroyed(this.gone)).subscribe(say);
    say();
    this.form.set(form);
    this.opening.set(crypto.randomUUID().slice(0, 12));
    this.open.set(d);
    const isLast = this.reading.begin();
    if (d.id === 'glossary')
      void this.words.lexicon(this.selection().pages).then((lexicon) => isLast() && this.lexicon.set(lexicon));
  }

  protected close(): void {
    this.open.set(null);
  }

  protected doIt(): void {
    const d = this.open();
    if (!d) return;
    const { drafts } = settled(d.drafts(this.selection(), this.values(), this.tools()));
    if (drafts.length === 0) return;
    this.view.recorded({ did: 'adjust', drafts, name: actName(d, drafts) }, actName(d, drafts));
    this.open.set(null);
  }
}
