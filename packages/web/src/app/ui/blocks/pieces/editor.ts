import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { type Board, type Piece, placesOfBoard, type Rect } from '@lorvet/core';
import { PictureField } from '../../picture-field';
import { RectBoard } from '../../rect-board';
import { Rows } from '../../rows';
import { type BlockOf, EditorPart, numberIn } from '../editor-part';

type Placed = BlockOf<'pieces'>['pieces'][number];
type OnPicture = Extract<Board, { on: 'picture' }>;

@Component({
  selector: 'lv-pieces-editor',
  imports: [Rows, RectBoard, PictureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './editor.html',
  styleUrl: '../editor.css',
})
export class PiecesEditor extends EditorPart<BlockOf<'pieces'>> {
  protected readonly n = numberIn;
  protected readonly chosen = signal<string | null>(null);
  protected readonly places = computed(() => placesOfBoard(this.block().board));
  protected readonly rects = computed(() => {
    const board = this.block().board;
    return board.on === 'picture' ? board.places.map((p, i) => ({ ...p, name: p.text || `Place ${i + 1}` })) : [];
  });
  protected readonly fresh = (row: Piece): Placed => ({ ...row, place: '' });

  protected on(kind: string): void {
    const word = (text: string) => ({ id: this.newId(), text });
    const boards: Record<Board['on'], () => Board> = {
      frames: () => ({ on: 'frames', size: 10, frames: 1 }),
      line: () => ({ on: 'line', from: 0, to: 10, step: 1 }),
      picture: () => ({ on: 'picture', assetId: '', alt: '', places: [] }),
      table: () => ({ on: 'table', columns: [word(''), word('')], rows: [word(''), word('')] }),
    };
    const make = boards[kind as Board['on']];
    if (make) this.set({ board: make(), pieces: this.block().pieces.map((p) => ({ ...p, place: '' })) });
  }

  protected board(fields: object): void {
    this.set({ board: { ...this.block().board, ...fields } as Board });
  }

  protected draw(rect: Rect): void {
    const board = this.block().board as OnPicture;
    this.board({ places: [...board.places, { id: this.newId(), text: '', ...rect }] });
  }

  protected move(id: string, fields: object): void {
    const board = this.block().board as OnPicture;
    this.board({ places: board.places.map((p) => (p.id === id ? { ...p, ...fields } : p)) });
  }

  protected drop(id: string): void {
    const board = this.block().board as OnPicture;
    this.set({
      board: { ...board, places: board.places.filter((p) => p.id !== id) },
      pieces: this.block().pieces.map((p) => (p.place === id ? { ...p, place: '' } : p)),
    });
  }

  protected place(id: string, place: string): void {
    this.set({ pieces: this.block().pieces.map((p) => (p.id === id ? { ...p, place } : p)) });
  }
}
