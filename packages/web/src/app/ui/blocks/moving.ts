import type { CdkDragDrop } from '@angular/cdk/drag-drop';
import { afterNextRender, computed, Directive, ElementRef, inject, Injector, signal, type Signal } from '@angular/core';
import { type LearnerBlock, type Piece, placedOf } from '@lorvet/core/desk';
import { DeskPart } from './part';

export const TRAY = '';

/**
 * Pieces that go to places: dragged; or a piece is pressed, then the place; or the same from the keyboard. What
 * happened is said for screen readers.
 */
@Directive({ host: { '(keydown.escape)': 'pick(null)' } })
export abstract class MovingPart<B extends LearnerBlock> extends DeskPart<B> {
  protected abstract pieces(): readonly Piece[];
  /** What a place is called when it is spoken of. */
  protected abstract placeName(placeId: string): string;
  /** Whether several pieces may lie in one place. */
  protected many(_placeId: string): boolean {
    return false;
  }

  private readonly part = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);
  protected readonly TRAY = TRAY;
  protected readonly picked = signal<string | null>(null);
  protected readonly said = signal('');
  protected readonly placed: Signal<Readonly<Record<string, string>>> = computed(() => {
    const answer = this.answer();
    return answer ? placedOf(answer) : {};
  });
  protected readonly tray = computed(() => this.pieces().filter((p) => !this.placed()[p.id]));
  protected readonly pickedPiece = computed(() => this.pieces().find((p) => p.id === this.picked()));

  protected at(placeId: string): readonly Piece[] {
    return this.pieces().filter((p) => this.placed()[p.id] === placeId);
  }

  protected pick(id: string | null): void {
    if (this.locked()) return;
    const next = this.picked() === id ? null : id;
    this.picked.set(next);
    const piece = this.pickedPiece();
    this.said.set(piece ? this.t('{piece} is picked up. Choose where it goes.', { piece: piece.text }) : '');
  }

  /** A piece was pressed where it lies: another picked piece takes its place, else it is picked up itself. */
  protected press(id: string, placeId: string): void {
    const picked = this.picked();
    if (picked !== null && picked !== id) this.put(placeId);
    else this.pick(id);
  }

  /** A place was pressed: the picked piece goes there. */
  protected put(placeId: string): void {
    const id = this.picked();
    if (id === null) return;
    this.move(id, placeId);
    // What was pressed is gone: the focus goes with the piece.
    afterNextRender(
      () => this.part.nativeElement.querySelector<HTMLElement>(`[data-piece="${CSS.escape(id)}"] button`)?.focus(),
      { injector: this.injector },
    );
  }

  protected dropped(event: CdkDragDrop<string, string, string>): void {
    if (event.container.data !== event.previousContainer.data) this.move(event.item.data, event.container.data);
  }

  private move(id: string, placeId: string): void {
    const piece = this.pieces().find((p) => p.id === id);
    if (!piece || this.locked()) return;
    const rest = Object.entries(this.placed()).filter(
      ([other, place]) => other !== id && (placeId === TRAY || this.many(placeId) || place !== placeId),
    );
    const placed = Object.fromEntries(placeId === TRAY ? rest : [...rest, [id, placeId]]);
    this.picked.set(null);
    this.said.set(
      placeId === TRAY
        ? this.t('{piece} is back.', { piece: piece.text })
        : this.t('{piece} is in {place}.', { piece: piece.text, place: this.placeName(placeId) }),
    );
    this.moved(placed);
  }

  protected moved(placed: Readonly<Record<string, string>>): void {
    this.give({ kind: 'placed', placed: { ...placed } });
  }
}
