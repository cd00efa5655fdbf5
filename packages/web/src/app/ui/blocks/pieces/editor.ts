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
    if (make) this.set((b) => ({ board: make(), pieces: b.pieces.map((p) => ({ ...p, place: '' })) }));
  }

  protected board(fields: object): void {
    this.set((b) => ({ board: { ...b.board, ...fields } as Board }));
  }

  protected words(field: 'columns' | 'rows', change: (rows: readonly Piece[]) => readonly Piece[]): void {
    this.set(({ board }) =>
      board.on === 'table'
        ? { board: { ...board, [field]: change(board[field]).map(({ id, text }) => ({ id, text })) } }
        : {},
    );
  }

  protected draw(rect: Rect): void {
    const place = { id: this.newId(), text: '', ...rect };
    this.onPicture((places) => [...places, place]);
  }

  protected move(id: string, fields: object): void {
    this.onPicture((places) => places.map((p) => (p.id === id ? { ...p, ...fields } : p)));
  }

  protected drop(id: string): void {
    this.set(({ board, pieces }) =>
      board.on === 'picture'
        ? {
            board: { ...board, places: board.places.filter((p) => p.id !== id) },
            pieces: pieces.map((p) => (p.place === id ? { ...p, place: '' } : p)),
          }
        : {},
    );
  }

  protected place(id: string, place: string): void {
    this.list<Placed>('pieces', (all) => all.map((p) => (p.id === id ? { ...p, place } : p)));
  }

  private onPicture(change: (places: OnPicture['places']) => OnPicture['places']): void {
    this.set(({ board }) => (board.on === 'picture' ? { board: { ...board, places: change(board.places) } } : {}));
  }
}
