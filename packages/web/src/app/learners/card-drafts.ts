import { Injectable } from '@angular/core';
import type { Id } from '@lorvet/core';

/** What was written on a card and cannot be kept as it stands: it waits, by learner and field, until it is mended. */
@Injectable({ providedIn: 'root' })
export class CardDrafts {
  private readonly texts = new Map<Id, ReadonlyMap<string, string>>();

  of(learnerId: Id): ReadonlyMap<string, string> {
    return this.texts.get(learnerId) ?? new Map<string, string>();
  }

  /** Without a text: what is in the field can be kept. */
  put(learnerId: Id, field: string, text: string | undefined): void {
    const now = new Map(this.of(learnerId));
    if (text === undefined) now.delete(field);
    else now.set(field, text);
    if (now.size) this.texts.set(learnerId, now);
    else this.texts.delete(learnerId);
  }
}
