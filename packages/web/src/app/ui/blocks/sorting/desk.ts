import { CdkDropListGroup } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component } from '@angular/core';
import type { Piece } from '@lorvet/core/desk';
import { MovingPart } from '../moving';
import type { LearnerBlockOf } from '../part';
import { Place } from '../place';

@Component({
  selector: 'lv-sorting-desk',
  imports: [CdkDropListGroup, Place],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div cdkDropListGroup class="all" role="group" [attr.aria-labelledby]="labelledBy()">
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
      <div class="groups">
        @for (g of block().groups; track g.id) {
          <section [attr.aria-label]="g.text">
            <p>{{ g.text }}</p>
            <lv-place
              [place]="g.id"
              [name]="placeName(g.id)"
              [pieces]="at(g.id)"
              [picked]="picked()"
              [locked]="locked()"
              (pressed)="press($event, g.id)"
              (put)="put(g.id)"
              (dropped)="dropped($event)"
            />
          </section>
        }
      </div>
    </div>
    <p class="sr" role="status">{{ said() }}</p>
  `,
  styleUrl: '../moving.css',
  styles: `
    .all {
      display: grid;
      gap: 12px;
    }
    .groups {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(12em, 1fr));
      gap: 12px;
    }
    section p {
      font-weight: 700;
      margin-bottom: 4px;
    }
  `,
})
export class SortingDesk extends MovingPart<LearnerBlockOf<'sorting'>> {
  protected pieces(): readonly Piece[] {
    return this.block().pieces;
  }
  protected override many(): boolean {
    return true;
  }
  protected placeName(id: string): string {
    return this.block().groups.find((g) => g.id === id)?.text ?? '';
  }
}
