import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { DrawingPad } from '../../ui/blocks/drawing-pad';
import { Media } from '../../ui/blocks/media';
import { saying } from '../../ui/say/say';
import type { TeacherSaid } from '../desk-work';
import { WentWell } from './went-well';

/** What the teacher says to the whole of the work, in words or aloud: what went well comes first. */
@Component({
  selector: 'lv-teacher-words',
  imports: [DrawingPad, Media, WentWell],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (hasMarks()) {
      <lv-went-well
        [marks]="said().lastMarks"
        [numbers]="numbers()"
        [comment]="said().comment"
        [whole]="said().points"
        [isAgain]="isAgain()"
        (asked)="asked.emit($event)"
      />
    } @else if (said().comment) {
      <p class="word said">
        <strong>{{ t('Your teacher says:') }}</strong> {{ said().comment }}
      </p>
    }
    @for (s of said().sheets; track s.assetId) {
      <div class="word said">
        <p>{{ onPaper() }}</p>
        <lv-drawing-pad
          [assetId]="s.assetId"
          [answer]="s.writing"
          [alt]="onPaper()"
          [label]="onPaper()"
          [locked]="true"
        />
      </div>
    }
    @if (said().voice; as asset) {
      <div class="word said">
        <p>{{ t('Your teacher speaks to you:') }}</p>
        <lv-media [assetId]="asset" what="sound" [label]="t('Your teacher’s words, to listen to')" />
      </div>
    }
  `,
  styleUrl: './part.css',
  styles: `
    :host {
      display: grid;
      gap: 26px;
    }
    lv-drawing-pad {
      --picture-height: 80vh;
    }
  `,
})
export class TeacherWords {
  readonly said = input.required<TeacherSaid>();
  /** The questions' numbers on the sheet. */
  readonly numbers = input.required<ReadonlyMap<string, number>>();
  /** Whether it is gone over once more. */
  readonly isAgain = input(false);
  /** A question, by its id, that somebody wants to see. */
  readonly asked = output<string>();
  protected readonly t = saying();
  protected readonly onPaper = computed(() => this.t('What you did on paper, and what your teacher wrote on it'));
  protected readonly hasMarks = computed(() => Object.keys(this.said().lastMarks).length > 0);
}
