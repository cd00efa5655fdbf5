import { inject, Injectable, Injector } from '@angular/core';

/** The teacher's part of the store: it comes with the first of the teacher's places, and never with the desk alone. */
@Injectable({ providedIn: 'root' })
export class Teaching {
  private readonly injector = inject(Injector);
  private coming: Promise<void> | null = null;

  /** Rejects where it cannot be fetched; it may be asked for again then. */
  learn(): Promise<void> {
    this.coming ??= import('./teachers-part').then(
      ({ teach }) => teach(this.injector),
      (error: unknown) => {
        this.coming = null;
        throw error;
      },
    );
    return this.coming;
  }
}
