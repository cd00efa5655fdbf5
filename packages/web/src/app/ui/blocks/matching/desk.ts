import { CdkDropListGroup } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component } from '@angular/core';
import type { Piece } from '@lorvet/core/desk';
import { MovingPart } from '../moving';
import type { LearnerBlockOf } from '../part';
import { PieceFace } from '../piece-face';
import { Place } from '../place';

@Component({
  selector: 'lv-matching-desk',
  imports: [CdkDropListGroup, Place, PieceFace],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div cdkDropListGroup class="all" role="group" [attr.aria-labelledby]="labelledBy()">
      @for (l of block().left; track l.id) {
        <div class="pair">
          <lv-piece-face [piece]="l" />
          <lv-place
            [place]="l.id"
            [name]="placeName(l.id)"
            [pieces]="at(l.id)"
            [picked]="picked()"
            [locked]="locked()"
            (pressed)="press($event, l.id)"
            (put)="put(l.id)"
            (dropped)="dropped($event)"
          />
        </div>
      }
      <lv-place
        [place]="TRAY"
        [tray]="true"
        [pieces]="tray()"
        [picked]="picked()"
        [locked]="locked()"
        (pressed)="pick($event)"
        (put)="put(TRAY)"
        (dropped)="dropped($event)"
      />
    </div>
    <p class="sr" role="status">{{ said() }}</p>
  `,
  styleUrl: '../moving.css',
  styles: `
    .all {
      display: grid;
      gap: 10px;
    }
    .pair {
      display: grid;
      grid-template-columns: minmax(0, 16em) minmax(45%, 1fr);
      gap: 14px;
      align-items: center;
      max-width: 44em;
      font-weight: 600;
    }
    .pair > lv-piece-face {
      align-items: flex-start;
    }
  `,
})
export class MatchingDesk extends MovingPart<LearnerBlockOf<'matching'>> {
  protected pieces(): readonly Piece[] {
    return this.block().right;
  }
  protected placeName(id: string): string {
    return this.t('the place beside {name}', { name: this.block().left.find((l) => l.id === id)?.text ?? '' });
  }
}
