import { ChangeDetectionStrategy, Component, computed, inject, model, signal } from '@angular/core';
import { type Block, type Page, Problem } from '@lorvet/core';
import { answerSheet, type KeyDoubt, readKeys } from '@lorvet/core/intake';
import { ButtonDirective } from 'primeng/button';
import { Textarea } from 'primeng/textarea';
import { NumberField } from '../ui/controls/number';
import { Radios } from '../ui/controls/radios';
import { SELECT } from '../ui/controls/select';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { readMedia } from '../platform/files';
import { BenchActions } from '../store/actions';
import { FileButton } from '../ui/file-button';
import { Notice } from '../ui/notice';
import { BenchView } from './bench-view';

/** Keys told back as they were understood. */
const SHOWN = 8;

/** An answer sheet made by rule, keyed by typing letters or pasting a column, beside the PDF with the questions. */
@Component({
  selector: 'lv-answer-sheet',
  imports: [ButtonDirective, DIALOG, FileButton, NumberField, Radios, Textarea, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog header="Answer sheet" [style]="{ width: '520px' }" [(visible)]="open">
      <form class="stack" (submit)="$event.preventDefault(); make()">
        <div class="three">
          <lv-number label="Questions" [min]="1" [max]="200" [value]="count()" (typed)="count.set($event)" />
          <lv-select label="Answered by" [value]="kind()" (chosen)="kind.set($event === 'short' ? 'short' : 'choice')">
            <lv-option value="choice" label="choosing a letter" />
            <lv-option value="short" label="a short answer" />
          </lv-select>
          @if (kind() === 'choice') {
            <lv-number label="Choices each" [min]="2" [max]="8" [value]="choices()" (typed)="choices.set($event)" />
          }
        </div>
        <label class="field"
          >Key
          <textarea
            pTextarea
            #t
            rows="4"
            maxlength="20000"
            [placeholder]="
              kind() === 'choice'
                ? 'ACBD… or one letter a line'
                : 'one answer a line, an empty line for none; a slash between accepted answers'
            "
            [value]="keys()"
            (input)="keys.set(t.value)"
          ></textarea>
        </label>
        <p class="small" role="status">
          {{ given() }} of {{ count() || 0 }} keys given{{ given() ? ': ' + understood() : '.' }}
        </p>
        @for (d of read().doubts; track d.id) {
          <lv-radios
            class="card ochre"
            [legend]="d.asks"
            [options]="d.ways"
            [value]="decided()[d.id] ?? d.ways[0]?.id ?? ''"
            (chosen)="decide(d.id, $event)"
          />
        }
        <div class="row">
          <lv-file-button accept="application/pdf,.pdf" (chosen)="file.set($event)"
            >The questions as a PDF</lv-file-button
          >
          <span class="small">{{ file()?.name ?? 'for learners to open, if you like' }}</span>
        </div>
        @if (problem()) {
          <p class="card madder" role="alert">{{ problem() }}</p>
        }
        <div class="row end">
          <button pButton severity="secondary" type="button" (click)="open.set(false)">Cancel</button
          ><button pButton type="submit">Make the sheet</button>
        </div>
      </form>
    </p-dialog>
  `,
  styles: `
    .three {
      display: grid;
      grid-template-columns: 1fr 1.4fr 1fr;
      gap: 10px;
    }
    .end {
      justify-content: flex-end;
    }
  `,
})
export class AnswerSheet {
  readonly open = model(false);
  private readonly view = inject(BenchView);
  private readonly clock = inject(Clock);
  private readonly notice = inject(Notice);
  protected readonly count = signal<number | null>(20);
  protected readonly kind = signal<'choice' | 'short'>('choice');
  protected readonly choices = signal<number | null>(4);
  protected readonly keys = signal('');
  protected readonly file = signal<File | null>(null);
  protected readonly problem = signal('');
  protected readonly decided = signal<Partial<Record<KeyDoubt['id'], string>>>({});
  protected readonly read = computed(() => readKeys(this.keys(), this.kind(), this.decided()));
  protected readonly given = computed(() => this.read().keys.filter((k) => k.length).length);
  /** The keys as they are understood: the first of them. */
  protected readonly understood = computed(() => {
    const said = this.read().keys.map((k, i) => `${i + 1} ${k.length ? k.join(' or ') : 'none'}`);
    return said.slice(0, SHOWN).join(', ') + (said.length > SHOWN ? ' …' : '');
  });

  protected decide(id: KeyDoubt['id'], way: string): void {
    this.decided.update((d) => ({ ...d, [id]: way }));
  }

  protected async make(): Promise<void> {
    this.problem.set('');
    try {
      const newId = () => this.clock.newId();
      const items = answerSheet(
        {
          kind: this.kind(),
          count: this.count() ?? 0,
          choices: Math.min(8, Math.max(2, this.choices() || 4)),
          keys: this.keys(),
          decided: this.decided(),
        },
        newId,
      );
      const linked: Block[] = [];
      const file = this.file();
      if (file) {
        const taken = await readMedia(file, 'pdf');
        if ('problem' in taken) throw new Problem(taken.problem);
        this.view.work.dispatch(BenchActions.pictureAdded({ asset: taken }));
        linked.push({
          id: newId(),
          kind: 'document',
          audience: 'learner',
          assetId: taken.id,
          title: file.name.replace(/\.pdf$/i, ''),
        });
      }
      const page: Page = { id: newId(), title: 'Answer sheet', orientation: 'portrait', blocks: [...linked, ...items] };
      this.view.changeMaster(
        (c) => ({ ...c, pages: [...c.pages, page] }),
        `answer sheet with ${items.length} questions`,
      );
      this.notice.done(`Answer sheet with ${items.length} questions`, 'It is the last page. One undo takes it back.');
      this.open.set(false);
    } catch (error) {
      this.problem.set(error instanceof Problem ? error.message : 'The sheet could not be made.');
    }
  }
}
