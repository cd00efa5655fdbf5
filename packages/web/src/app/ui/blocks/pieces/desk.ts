import { CdkDropListGroup } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { chosenOf, type Piece, placesOfBoard } from '@lorvet/core/desk';
import { Picture } from '../../picture';
import { MovingPart } from '../moving';
import type { LearnerBlockOf } from '../part';
import { Place } from '../place';
import { Counters } from './counters';

@Component({
  selector: 'lv-pieces-desk',
  imports: [CdkDropListGroup, Counters, Place, Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let board = block().board;
    <div cdkDropListGroup class="all" role="group" [attr.aria-labelledby]="labelledBy()">
      @if (board.on !== 'frames') {
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
      }
      @switch (board.on) {
        @case ('picture') {
          <div class="picture">
            <lv-picture [assetId]="board.assetId" [alt]="board.alt" />
            @for (p of board.places; track p.id) {
              <div class="on" [style.left.%]="p.x" [style.top.%]="p.y" [style.width.%]="p.w" [style.min-height.%]="p.h">
                <lv-place
                  [place]="p.id"
                  [name]="placeName(p.id)"
                  [pieces]="at(p.id)"
                  [picked]="picked()"
                  [locked]="locked()"
                  (pressed)="press($event, p.id)"
                  (put)="put(p.id)"
                  (dropped)="dropped($event)"
                />
              </div>
            }
          </div>
        }
        @case ('frames') {
          <lv-counters
            [frames]="frames()"
            [filled]="filled()"
            [locked]="locked()"
            [paper]="paper()"
            (changed)="give({ kind: 'choice', chosen: $event })"
          />
        }
        @case ('line') {
          <div class="scroll">
            <div class="line" [class.on-paper]="paper()" [style.--n]="marks().length">
              @for (m of marks(); track m.id) {
                <div class="mark">
                  <lv-place
                    [stack]="true"
                    [place]="m.id"
                    [name]="placeName(m.id)"
                    [pieces]="at(m.id)"
                    [picked]="picked()"
                    [locked]="locked()"
                    (pressed)="press($event, m.id)"
                    (put)="put(m.id)"
                    (dropped)="dropped($event)"
                  />
                  <span>{{ m.text }}</span>
                </div>
              }
            </div>
          </div>
        }
        @case ('table') {
          <div class="scroll">
            <table>
              <thead>
                <tr>
                  <td></td>
                  @for (c of board.columns; track c.id) {
                    <th scope="col">{{ c.text }}</th>
                  }
                </tr>
              </thead>
              <tbody>
                @for (r of board.rows; track r.id) {
                  <tr>
                    <th scope="row">{{ r.text }}</th>
                    @for (c of board.columns; track c.id) {
                      <td>
                        @let cell = r.id + ':' + c.id;
                        <lv-place
                          [place]="cell"
                          [name]="placeName(cell)"
                          [pieces]="at(cell)"
                          [picked]="picked()"
                          [locked]="locked()"
                          (pressed)="press($event, cell)"
                          (put)="put(cell)"
                          (dropped)="dropped($event)"
                        />
                      </td>
                    }
                  </tr>
                }
              </tbody>
            </table>
          </div>
        }
      }
    </div>
    <p class="sr" role="status">{{ said() }}</p>
  `,
  styleUrls: ['../moving.css', '../grid.css', './desk.css'],
})
export class PiecesDesk extends MovingPart<LearnerBlockOf<'pieces'>> {
  protected readonly marks = computed(() => placesOfBoard(this.block().board));
  protected readonly frames = computed(() => {
    const board = this.block().board;
    if (board.on !== 'frames') return [];
    const cells = this.marks().map((m) => m.id);
    return Array.from({ length: board.frames }, (_, i) => cells.slice(i * board.size, (i + 1) * board.size));
  });
  protected readonly filled = computed(() => {
    const answer = this.answer();
    return answer ? chosenOf(answer) : [];
  });

  protected pieces(): readonly Piece[] {
    return this.block().pieces;
  }
  protected override many(id: string): boolean {
    return this.marks().find((m) => m.id === id)?.many ?? false;
  }
  protected placeName(id: string): string {
    const { board } = this.block();
    const at = this.marks().findIndex((m) => m.id === id);
    const isNamed = board.on !== 'picture' || !!board.places[at]?.text;
    return isNamed ? (this.marks()[at]?.text ?? '') : this.t('Place {number}', { number: at + 1 });
  }
}
