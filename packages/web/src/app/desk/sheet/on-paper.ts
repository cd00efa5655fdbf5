import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { Answer, LearnerPackage } from '@lorvet/core/desk';
import { type Beside, type PaperNote, PaperSheet } from '../../ui/paper-sheet';
import { saying } from '../../ui/say/say';

/** What of the teacher's can stand on paper beside a learner's sheet. */
export interface ForPaper {
  /** Keys and notes by question. */
  readonly keys: ReadonlyMap<string, Beside>;
  readonly notes: readonly PaperNote[];
  /** Supports agreed for the learner. */
  readonly supports: readonly string[];
}

/** A sheet as it is printed, to be looked at first; for a teacher with what is asked for beside it. */
@Component({
  selector: 'lv-on-paper',
  imports: [LucideDynamicIcon, PaperSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let extra = teacher();
    <div class="paper-bar">
      <h1>{{ t('On paper') }}</h1>
      <span class="grow"></span>
      @if (extra?.supports?.length && !withKeys()) {
        <label class="row"
          ><input type="checkbox" [checked]="withSupports()" (change)="withSupports.set(!withSupports())" />
          {{ t('With the supports agreed') }}</label
        >
      }
      @if (extra) {
        <label class="row"
          ><input type="checkbox" [checked]="withKeys()" (change)="withKeys.set(!withKeys())" />
          {{ t('Teacher’s copy, with keys and notes') }}</label
        >
      }
      <button class="btn main" type="button" (click)="print()"><svg lucideIcon="printer"></svg>{{ t('Print') }}</button>
      <button class="btn" type="button" (click)="left.emit()">
        <svg lucideIcon="arrow-left"></svg>{{ t('Back to the screen') }}
      </button>
    </div>
    <lv-paper-sheet
      [sheet]="sheet()"
      [name]="name()"
      [answers]="answers()"
      [teacher]="withKeys() ? (extra?.keys ?? null) : null"
      [notes]="withKeys() ? (extra?.notes ?? []) : []"
      [supports]="withKeys() || withSupports() ? (extra?.supports ?? []) : []"
    />
  `,
  styleUrl: './part.css',
  styles: `
    .paper-bar {
      position: sticky;
      top: 0;
      z-index: 2;
      display: flex;
      flex-wrap: wrap;
      gap: 12px;
      align-items: center;
      padding: 9px 28px;
      margin-bottom: 18px;
      background: var(--surface);
      border-bottom: 1px solid var(--line);
    }
    h1 {
      font-size: 1.35em;
    }
    @media print {
      .paper-bar {
        display: none;
      }
    }
  `,
})
export class OnPaper {
  readonly sheet = input.required<LearnerPackage>();
  readonly name = input('');
  readonly answers = input<Readonly<Record<string, Answer>>>({});
  /** Null at the desk. */
  readonly teacher = input<ForPaper | null>(null);
  readonly left = output();
  protected readonly t = saying();
  /** Whether the teacher's copy is shown. */
  protected readonly withKeys = signal(false);
  /** Whether the supports agreed for the learner stand on the learner's own sheet: the teacher says so. */
  protected readonly withSupports = signal(false);

  protected print(): void {
    window.print();
  }
}
