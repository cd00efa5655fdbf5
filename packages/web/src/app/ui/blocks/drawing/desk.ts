import { ChangeDetectionStrategy, Component } from '@angular/core';
import { DrawingPad } from '../drawing-pad';
import { DeskPart, type LearnerBlockOf } from '../part';

@Component({
  selector: 'lv-drawing-desk',
  imports: [DrawingPad],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<lv-drawing-pad
    [answer]="answer()"
    [locked]="locked()"
    [ratio]="RATIOS[block().height]"
    [label]="block().prompt"
    (drawn)="give($event)"
  />`,
})
export class DrawingDesk extends DeskPart<LearnerBlockOf<'drawing'>> {
  protected readonly RATIOS = { low: 0.3, middle: 0.5, tall: 0.85 };
}
