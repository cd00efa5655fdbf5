import { CdkDropListGroup } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component } from '@angular/core';
import type { Piece } from '@lorvet/core/desk';
import { Picture } from '../../picture';
import { MovingPart } from '../moving';
import type { LearnerBlockOf } from '../part';
import { Place } from '../place';

/** The spots are numbered on the picture; the places stand beside it, large enough for a finger. */
@Component({
  selector: 'lv-labels-desk',
  imports: [CdkDropListGroup, Place, Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div cdkDropListGroup class="all" role="group" [attr.aria-labelledby]="labelledBy()">
      <div class="picture">
        <lv-picture [assetId]="block().assetId" [alt]="block().alt" />
        @for (s of block().spots; track s.id; let i = $index) {
          <b aria-hidden="true" [style.left.%]="s.x" [style.top.%]="s.y">{{ i + 1 }}</b>
        }
      </div>
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
      <ol>
        @for (s of block().spots; track s.id; let i = $index) {
          <li>
            <b aria-hidden="true">{{ i + 1 }}</b>
            <lv-place
              [place]="s.id"
              [name]="placeName(s.id)"
              [pieces]="at(s.id)"
              [picked]="picked()"
              [locked]="locked()"
              (pressed)="press($event, s.id)"
              (put)="put(s.id)"
              (dropped)="dropped($event)"
            />
          </li>
        }
      </ol>
    </div>
    <p class="sr" role="status">{{ said() }}</p>
  `,
  styleUrl: '../moving.css',
  styles: `
    .all {
      display: grid;
      gap: 12px;
    }
    .picture {
      position: relative;
      justify-self: start;
    }
    b {
      display: grid;
      place-items: center;
      width: 30px;
      height: 30px;
      border-radius: 50%;
      border: 2px solid var(--surface);
      background: var(--accent);
      color: var(--accent-ink);
      font-size: 16px;
      line-height: 1;
    }
    .picture b {
      position: absolute;
      translate: -50% -50%;
    }
    ol {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(13em, 1fr));
      gap: 8px 14px;
    }
    li {
      display: grid;
      grid-template-columns: 34px minmax(0, 1fr);
      align-items: center;
    }
  `,
})
export class LabelsDesk extends MovingPart<LearnerBlockOf<'labels'>> {
  protected pieces(): readonly Piece[] {
    return this.block().labels;
  }
  protected placeName(id: string): string {
    return this.t('number {number}', { number: this.block().spots.findIndex((s) => s.id === id) + 1 });
  }
}
