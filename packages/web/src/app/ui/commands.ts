import type { ListKeyManagerOption } from '@angular/cdk/a11y';
import { Injectable, signal } from '@angular/core';

/** Something that can be done by name, from anywhere. */
export interface Command extends ListKeyManagerOption {
  readonly name: string;
  /** Where it belongs: "Bench", "Go to". */
  readonly group: string;
  readonly keys?: string;
  /** Other words for it. */
  readonly also?: string;
  /** Where it is done, if not here. */
  readonly where?: string;
  /** Whether it can be done now; without it, it can. */
  readonly isThere?: () => boolean;
  readonly run: () => void;
}

/** Every action there is at the moment: each place adds its own while it is open. */
@Injectable({ providedIn: 'root' })
export class Commands {
  readonly all = signal<readonly Command[]>([]);

  /** Adds commands; what is given back takes them away again. */
  add(list: readonly Command[]): () => void {
    this.all.update((all) => [...all, ...list]);
    return () => this.all.update((all) => all.filter((c) => !list.includes(c)));
  }
}
