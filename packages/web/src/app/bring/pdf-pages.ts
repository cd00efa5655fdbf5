import { signal } from '@angular/core';
import type { Rect } from '@lorvet/core';
import { type Intake, IntakeProblem } from '../platform/intake';
import { Stopped } from '../platform/workers/task';
import type { KeptAsset } from '../platform/storage/kept-asset';
import { Latest } from '../ui/latest';

/** Longer side of the page under review, in pixels. */
const LARGE = 900;
/** Up to this many pages all are chosen; of more the teacher chooses. */
const FEW_PAGES = 12;

/** The pages of one PDF: how many there are, small pictures of them, which are chosen, and one of them large. */
export class PdfPages {
  readonly count = signal(0);
  readonly thumbs = signal<ReadonlyMap<number, string>>(new Map());
  readonly chosen = signal<ReadonlySet<number>>(new Set());
  /** The page under review, large enough to read. */
  readonly large = signal<{ n: number; url: string } | null>(null);
  /** Whether it opens only with a password. */
  readonly locked = signal(false);
  /** Whether what is brought in is a PDF. */
  readonly here = signal(false);
  private file: File | null = null;
  private password: string | undefined;
  private opened = false;

  constructor(private readonly intake: Intake) {}

  async open(file: File, password?: string): Promise<void> {
    this.file = file;
    this.password = password;
    this.here.set(true);
    try {
      const { pages } = await this.intake.openPdf(file, password);
      this.opened = true;
      this.locked.set(false);
      this.count.set(pages);
      this.chosen.set(new Set(pages <= FEW_PAGES ? Array.from({ length: pages }, (_, i) => i + 1) : []));
      void this.drawThumbs(pages);
    } catch (error) {
      if (error instanceof IntakeProblem && error.details.includes('locked')) this.locked.set(true);
      throw error;
    }
  }

  /** Opens the same file with a password; nothing where there is none. */
  async unlock(password: string): Promise<void> {
    if (this.file) await this.open(this.file, password);
  }

  /** Makes sure that it is open: stopping whatever was done closes it. */
  async reopen(): Promise<void> {
    if (this.opened || !this.file) return;
    await this.intake.openPdf(this.file, this.password);
    this.opened = true;
  }

  /** A page's picture; `covers`, in hundredths of it, are painted over. */
  async picture(n: number, covers: readonly Rect[] = []): Promise<KeptAsset> {
    await this.reopen();
    return await this.intake.pagePicture(n, covers);
  }

  private readonly enlarging = new Latest();

  async enlarge(n: number): Promise<void> {
    if (!this.here() || this.large()?.n === n) return;
    try {
      await this.reopen();
      const isLast = this.enlarging.begin();
      const picture = await this.intake.thumb(n, LARGE);
      if (!isLast()) return;
      const url = URL.createObjectURL(picture);
      this.forgetLarge();
      this.large.set({ n, url });
    } catch {
      // The small picture stays.
    }
  }

  /** Its worker was stopped. */
  closed(): void {
    this.opened = false;
  }

  reset(): void {
    this.closed();
    for (const url of this.thumbs().values()) URL.revokeObjectURL(url);
    this.thumbs.set(new Map());
    this.forgetLarge();
    this.locked.set(false);
    this.here.set(false);
    this.file = null;
    this.password = undefined;
  }

  private forgetLarge(): void {
    const old = this.large();
    if (old) URL.revokeObjectURL(old.url);
    this.large.set(null);
  }

  /** One after the other, so that the worker is free for what the teacher asks next. */
  private async drawThumbs(pages: number): Promise<void> {
    for (let n = 1; n <= pages && this.opened; n++) {
      try {
        const url = URL.createObjectURL(await this.intake.thumb(n));
        this.thumbs.set(new Map(this.thumbs()).set(n, url));
      } catch (error) {
        if (error instanceof Stopped) return;
      }
    }
  }
}
