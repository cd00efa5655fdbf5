import { keyOf, type Kind, type Wrapped } from './record-places';

/** What this tab knows of the records in storage: how often each was written, and its place in the order of its kind. */
export class Known {
  private readonly revs = new Map<string, number>();
  private readonly places = new Map<string, number>();
  private lastPlace = 0;

  clear(): void {
    this.revs.clear();
    this.places.clear();
  }

  /** Takes note of a record as it was read. */
  note(kind: Kind, id: string, { rev, place }: Wrapped): void {
    this.setRev(keyOf(kind, id), rev);
    this.setPlace(keyOf(kind, id), place);
    this.lastPlace = Math.max(this.lastPlace, place);
  }

  has(key: string): boolean {
    return this.revs.has(key);
  }

  /** 0 where there is no such record. */
  rev(key: string): number {
    return this.revs.get(key) ?? 0;
  }

  setRev(key: string, rev: number): void {
    this.revs.set(key, rev);
  }

  setPlace(key: string, place: number): void {
    this.places.set(key, place);
  }

  /** Where a record stands, or from now on will: after all others. */
  place(key: string): number {
    let place = this.places.get(key);
    if (place === undefined) {
      this.lastPlace = Math.max(this.lastPlace + 1, Date.now());
      this.places.set(key, (place = this.lastPlace));
    }
    return place;
  }
}
