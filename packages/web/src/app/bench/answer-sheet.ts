import { ChangeDetectionStrategy, Component, computed, inject, model, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { type Block, type Page, Problem } from '@lorvet/core';
import { answerSheet, type KeyDoubt, readKeys } from '@lorvet/core/intake';
import { ButtonDirective } from 'primeng/button';
import { Textarea } from 'primeng/textarea';
import { valueOf } from '../ui/controls/value-of';
import { NumberField } from '../ui/controls/number';
import { Radios } from '../ui/controls/radios';
import { SELECT } from '../ui/controls/select';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { readMedia } from '../platform/files';
import { BenchActions } from '../store/actions';
import { FileButton } from '../ui/file-button';
import { Notice } from '../ui/notice';
import { ProblemCard } from '../ui/problem';
import { BenchView } from './bench-view';

/** Keys told back as they were understood. */
const SHOWN = 8;

/** An answer sheet made by rule, keyed by typing letters or pasting a column, beside the PDF with the questions. */
@Component({
  selector: 'lv-answer-sheet',
  imports: [
    ButtonDirective,
    DIALOG,
    FileButton,
    NumberField,
    ProblemCard,
    Radios,
    ReactiveFormsModule,
    Textarea,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog header="Answer sheet" [style]="{ width: '520px' }" [(visible)]="open">
      <form class="stack" [formGroup]="form" (ngSubmit)="make()">
        <div class="three">
          <lv-number label="Questions" [min]="1" [max]="200" formControlName="count" />
          <lv-select label="Answered by" formControlName="kind">
            <lv-option value="choice" label="choosing a letter" />
            <lv-option value="short" label="a short answer" />
          </lv-select>
          @if (asked().kind === 'choice') {
            <lv-number label="Choices each" [min]="2" [max]="8" formControlName="choices" />
          }
        </div>
        <label class="field"
          >Key
          <textarea
            pTextarea
            formControlName="keys"
            rows="4"
            maxlength="20000"
            [placeholder]="
              asked().kind === 'choice'
                ? 'ACBD… or one letter a line'
                : 'one answer a line, an empty line for none; a slash between accepted answers'
            "
          ></textarea>
        </label>
        <p class="small" role="status">
          {{ given() }} of {{ asked().count || 0 }} keys given{{ given() ? ': ' + understood() : '.' }}
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
        @if (problem(); as p) {
          <lv-problem [wrong]="{ message: p, details: [] }" />
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
  protected readonly form = new FormGroup({
    count: new FormControl<number | null>(20),
    kind: new FormControl<'choice' | 'short'>('choice', { nonNullable: true }),
    choices: new FormControl<number | null>(4),
    keys: new FormControl('', { nonNullable: true }),
  });
  protected readonly asked = valueOf(this.form);
  protected readonly file = signal<File | null>(null);
  protected readonly problem = signal('');
  protected readonly decided = signal<Partial<Record<KeyDoubt['id'], string>>>({});
  protected readonly read = computed(() => readKeys(this.asked().keys, this.asked().kind, this.decided()));
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
    const asked = this.form.getRawValue();
    try {
      const newId = () => this.clock.newId();
      const items = answerSheet(
        {
          kind: asked.kind,
          count: asked.count ?? 0,
          choices: Math.min(8, Math.max(2, asked.choices || 4)),
          keys: asked.keys,
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
