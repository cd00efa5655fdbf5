import { computed, Injectable, signal } from '@angular/core';
import type { Tools } from '@lorvet/core/desk';

interface Turn {
  readonly pages: readonly { readonly id: string; readonly title: string }[];
  readonly turn: (to: number) => void;
}

/** What a block may know of the sheet it stands on: its pages, and how to turn to one. */
@Injectable()
export class SheetContext {
  readonly sheet = signal<Turn>({ pages: [], turn: () => undefined });
  /** Whether it is printed: everything is to be answered by pen. */
  readonly paper = signal(false);
  /** What of the desk the teacher settled; and whether somebody speaks an answer now. */
  readonly tools = signal<Tools>({});
  readonly isSpoken = signal(false);
  readonly pages = computed(() => this.sheet().pages);
}
