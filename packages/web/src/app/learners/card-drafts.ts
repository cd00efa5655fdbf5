import { Injectable } from '@angular/core';
import type { Id } from '@lorvet/core';
import type { CardFieldName } from './card-fields';

/** What was written on a card and cannot be kept as it stands: it waits, by learner, until it is mended. */
@Injectable({ providedIn: 'root' })
export class CardDrafts {
  private readonly texts = new Map<Id, ReadonlyMap<CardFieldName, string>>();

  of(learnerId: Id): ReadonlyMap<CardFieldName, string> {
    return this.texts.get(learnerId) ?? new Map<CardFieldName, string>();
  }

  set(learnerId: Id, texts: ReadonlyMap<CardFieldName, string>): void {
    if (texts.size) this.texts.set(learnerId, texts);
    else this.texts.delete(learnerId);
  }
}
