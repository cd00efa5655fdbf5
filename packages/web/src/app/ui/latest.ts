/** Tells the last of several answers that are waited for from those that were asked for before it and come late. */
export class Latest {
  private n = 0;

  /** Begins a question; what it gives back says whether it still is the last. */
  begin(): () => boolean {
    const mine = ++this.n;
    return () => mine === this.n;
  }
}
