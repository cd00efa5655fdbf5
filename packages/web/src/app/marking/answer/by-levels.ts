import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { type ItemBlock, Problem } from '@lorvet/core';
import { readRubric, rubricLines } from '@lorvet/core/marking';
import { ButtonDirective } from 'primeng/button';
import { Textarea } from 'primeng/textarea';
import { Clock } from '../../platform/clock';
import { DIALOG } from '../../ui/dialog';
import { FileButton } from '../../ui/file-button';
import { ProblemCard, type Wrong } from '../../ui/problem';
import { MarkingHere } from '../here';
import { type Row } from '../row';

/** A longer answer marked by levels: one press for each criterion; the rubric is written here, or comes from a file. */
@Component({
  selector: 'lv-by-levels',
  imports: [ButtonDirective, DIALOG, FileButton, ProblemCard, Textarea],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rubric(); as r) {
      @for (c of r.criteria; track c.id) {
        <div role="group" [attr.aria-label]="c.text">
          <p class="small">{{ c.text }}</p>
          <div class="row">
            @for (l of c.levels; track l.id) {
              <button
                type="button"
                class="btn level"
                [attr.aria-pressed]="given().get(c.id) === l.id"
                (click)="here.answering.level(row(), item(), c.id, l.id)"
              >
                {{ l.text }} <small>{{ l.points }}</small>
              </button>
            }
          </div>
        </div>
      }
    }
    <button pButton severity="secondary" text type="button" (click)="edit()">
      {{ rubric() ? 'Change the levels' : 'Mark it by levels' }}
    </button>
    @if (isOpen()) {
      <p-dialog
        header="Levels of this question"
        [visible]="true"
        (visibleChange)="isOpen.set($event)"
        [style]="{ width: '680px', maxWidth: '96vw' }"
      >
        <label class="field"
          >One criterion a line: what is looked at, a colon, and its levels from least to most, with strokes between
          <textarea
            pTextarea
            #t
            rows="6"
            maxlength="6000"
            [value]="lines()"
            placeholder="Names a part of the body: not yet / names it / names two = 3"
          ></textarea>
        </label>
        <p class="small">A level counts one point more than the one before it, or as much as stands behind “=”.</p>
        @if (problem(); as p) {
          <lv-problem [wrong]="p" />
        }
        <div class="row">
          <button pButton type="button" (click)="take(t.value)">Take these levels</button>
          <lv-file-button accept=".csv,.tsv,.txt,text/csv,text/plain" (chosen)="file($event)"
            >From a file</lv-file-button
          >
          @if (rubric()) {
            <button
              pButton
              severity="secondary"
              text
              type="button"
              (click)="here.answering.setRubric(item().id, null); isOpen.set(false)"
            >
              Mark it without levels
            </button>
          }
        </div>
      </p-dialog>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    .row {
      gap: 4px;
    }
    .level {
      min-height: 30px;
      padding: 2px 9px;
      white-space: normal;
      text-align: start;
    }
  `,
})
export class ByLevels {
  readonly row = input.required<Row>();
  readonly item = input.required<ItemBlock>();
  protected readonly here = inject(MarkingHere);
  private readonly clock = inject(Clock);
  protected readonly isOpen = signal(false);
  protected readonly problem = signal<Wrong | null>(null);
  protected readonly lines = signal('');
  protected readonly rubric = computed(() => this.here.table.handOut()?.rubrics?.[this.item().id]);
  /** The level given, by criterion. */
  protected readonly given = computed(
    () => new Map((this.row().response?.levels?.[this.item().id] ?? []).map((g) => [g.criterionId, g.levelId])),
  );

  protected edit(): void {
    const rubric = this.rubric();
    this.lines.set(rubric ? rubricLines(rubric) : '');
    this.problem.set(null);
    this.isOpen.set(true);
  }

  protected async file(file: File): Promise<void> {
    const text = await file.text();
    this.lines.set(text.slice(0, 6000));
    this.take(text);
  }

  protected take(text: string): void {
    try {
      this.here.answering.setRubric(
        this.item().id,
        readRubric(text, () => this.clock.newId(), this.rubric()),
      );
      this.isOpen.set(false);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.problem.set({ message: error.message, details: error.details });
    }
  }
}
