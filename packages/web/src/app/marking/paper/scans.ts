import { DestroyRef, inject, signal } from '@angular/core';
import { readPicture } from '../../platform/files';
import { Intake, IntakeProblem } from '../../platform/intake';
import { counted } from '../../platform/many';
import type { KeptAsset } from '../../platform/storage/kept-asset';
import { Stopped } from '../../platform/workers/task';
import { Notice } from '../../ui/notice';

/** Photographs are handed on so many at a time: what is read already is kept, whatever happens to the rest. */
const AT_ONCE = 8;

/** Reads photographs and scanned PDFs, page by page, in a worker. Made where things are injected. */
export class Scans {
  private readonly notice = inject(Notice);
  private readonly intake = new Intake();
  readonly reading = signal<{ readonly what: string; readonly done: number; readonly of: number } | null>(null);

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop());
  }

  stop(): void {
    this.intake.stop();
    this.reading.set(null);
  }

  /** Reads all of `files`, at most `room` pages of them, and hands them on as they come. What cannot be read is said. */
  async read(files: readonly File[], room: number, take: (assets: readonly KeptAsset[]) => void): Promise<void> {
    const wrong: string[] = [];
    let left = room;
    const give = (assets: readonly KeptAsset[]) => {
      take(assets.slice(0, left));
      left -= Math.min(left, assets.length);
    };
    const isPdf = (f: File) => f.type === 'application/pdf' || /\.pdf$/i.test(f.name);
    const pictures = files.filter((f) => !isPdf(f));
    try {
      for (let i = 0; i < pictures.length && left > 0; i += AT_ONCE) {
        const part = pictures.slice(i, i + AT_ONCE);
        const at = (done: number) => this.reading.set({ what: 'Reading the pictures', done, of: pictures.length });
        at(i);
        const { assets, left: bad } = await this.intake.readPictures(part, (done) => at(i + done));
        give(assets);
        wrong.push(...bad);
      }
      for (const file of files.filter(isPdf)) wrong.push(...(await this.readPdf(file, () => left, give)));
      if (left === 0)
        wrong.push(
          counted(room, 'Only {n} sheet could be taken', 'Only {n} sheets could be taken') + ': place these first.',
        );
    } catch (error) {
      if (!(error instanceof Stopped)) throw error;
    } finally {
      this.reading.set(null);
    }
    if (wrong.length) this.notice.wrong('Not everything was taken', wrong.slice(0, 5).join(' '));
  }

  /** The picture by a quarter turn; null where this browser cannot draw it. */
  async turned({ data, name }: KeptAsset, way: 1 | -1): Promise<KeptAsset | null> {
    const bitmap = await createImageBitmap(data);
    const canvas = new OffscreenCanvas(bitmap.height, bitmap.width);
    const pen = canvas.getContext('2d');
    if (!pen) return null;
    pen.translate(canvas.width / 2, canvas.height / 2);
    pen.rotate((way * Math.PI) / 2);
    pen.drawImage(bitmap, -bitmap.width / 2, -bitmap.height / 2);
    bitmap.close();
    const blob = await canvas.convertToBlob({ type: 'image/webp', quality: 0.9 });
    const taken = await readPicture(new File([blob], name, { type: blob.type }));
    return 'problem' in taken ? null : taken;
  }

  private async readPdf(
    file: File,
    left: () => number,
    give: (assets: readonly KeptAsset[]) => void,
  ): Promise<readonly string[]> {
    try {
      const { pages } = await this.intake.openPdf(file);
      for (let n = 1; n <= pages && left() > 0; n++) {
        this.reading.set({ what: `Reading “${file.name}”`, done: n - 1, of: pages });
        give([await this.intake.pagePicture(n)]);
      }
      return [];
    } catch (error) {
      if (!(error instanceof IntakeProblem)) throw error;
      const isLocked = error.details.includes('locked');
      return [isLocked ? `“${file.name}” is locked with a password. Choose an open copy.` : error.message];
    }
  }
}
