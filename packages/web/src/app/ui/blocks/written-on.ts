import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type Answer, type LearnerBlock, mediaOf, type Writing } from '@lorvet/core/desk';
import { DrawingPad } from './drawing-pad';

const RATIOS = { low: 0.3, middle: 0.5, tall: 0.85 };

/** Whether something can be written on an answer: drawings, pictures that were written on, photographs. */
export const canWriteOn = (block: Pick<LearnerBlock, 'kind'>, answer: Answer | undefined): boolean =>
  answer !== undefined &&
  (block.kind === 'drawing' ||
    block.kind === 'picture-writing' ||
    (block.kind === 'photo' && mediaOf(answer).best !== ''));

/** A learner's drawing or photograph with what the teacher writes on it, in a layer of its own: the learner's stays as it is. */
@Component({
  selector: 'lv-written-on',
  imports: [DrawingPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let on = below();
    <lv-drawing-pad
      [answer]="writing()"
      [under]="on.under"
      [assetId]="on.assetId"
      [alt]="on.alt"
      [ratio]="on.ratio"
      [locked]="locked()"
      [label]="label()"
      (drawn)="drawn.emit($event)"
    />
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class WrittenOn {
  readonly block = input.required<LearnerBlock>();
  /** What the learner drew, or took. */
  readonly answer = input.required<Answer>();
  readonly writing = input<Writing>();
  readonly locked = input(true);
  readonly label = input('');
  readonly drawn = output<Extract<Answer, { kind: 'drawing' }>>();

  protected readonly below = computed(() => {
    const b = this.block();
    const answer = this.answer();
    if (b.kind === 'drawing') return { under: answer, assetId: '', alt: '', ratio: RATIOS[b.height] };
    if (b.kind === 'picture-writing') return { under: answer, assetId: b.assetId, alt: b.alt, ratio: 0.5 };
    return { under: undefined, assetId: mediaOf(answer).best, alt: '', ratio: 0.5 };
  });
}
