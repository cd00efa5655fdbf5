import type { PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist';
import * as pdfjs from 'pdfjs-dist';
// In a worker of its own already, pdf.js does its work here rather than in one more.
import * as pdfjsWorker from 'pdfjs-dist/build/pdf.worker.mjs';
import { Problem, type Rect } from '@lorvet/core';

(globalThis as unknown as { pdfjsWorker: unknown }).pdfjsWorker = pdfjsWorker;

/** Bytes asked of the file at a time: a large PDF is never whole in memory. */
const CHUNK = 512 * 1024;

class FileRanges extends pdfjs.PDFDataRangeTransport {
  constructor(private readonly file: Blob) {
    super(file.size, null);
  }
  override requestDataRange(begin: number, end: number): void {
    void this.file
      .slice(begin, end)
      .arrayBuffer()
      .then((bytes) => this.onDataRange(begin, new Uint8Array(bytes)));
  }
}

/** Canvases of a worker. */
class OffscreenFactory {
  create(width: number, height: number) {
    const canvas = new OffscreenCanvas(Math.max(1, width), Math.max(1, height));
    return { canvas, context: canvas.getContext('2d') };
  }
  reset(entry: { canvas: OffscreenCanvas }, width: number, height: number): void {
    entry.canvas.width = width;
    entry.canvas.height = height;
  }
  destroy(entry: { canvas: OffscreenCanvas }): void {
    entry.canvas.width = 0;
    entry.canvas.height = 0;
  }
}

/** Colour filters need a page; a worker has none, and worksheets do without. */
class NoFilters {
  addFilter = (): string => 'none';
  addHCMFilter = (): string => 'none';
  addAlphaFilter = (): string => 'none';
  addLuminosityFilter = (): string => 'none';
  addKnockoutFilter = (): string => 'none';
  addHighlightHCMFilter = (): string => 'none';
  destroy(): void {
    // Nothing is kept.
  }
}

/** Opens a PDF for reading page by page. Throws a Problem for a locked or broken one, in words. */
async function openPdf(file: Blob, name: string, base: string, password?: string): Promise<PDFDocumentProxy> {
  const range = new FileRanges(file);
  try {
    return await pdfjs.getDocument({
      range,
      rangeChunkSize: CHUNK,
      disableAutoFetch: true,
      disableStream: true,
      disableFontFace: true,
      useSystemFonts: false,
      isEvalSupported: false,
      // Asked for by hand: pdf.js would look at the page's address, and a worker has none.
      useWorkerFetch: true,
      enableXfa: false,
      standardFontDataUrl: `${base}pdf/fonts/`,
      cMapUrl: `${base}pdf/cmaps/`,
      wasmUrl: `${base}pdf/wasm/`,
      cMapPacked: true,
      CanvasFactory: OffscreenFactory,
      FilterFactory: NoFilters,
      verbosity: 0,
      ...(password ? { password } : {}),
    }).promise;
  } catch (error) {
    const kind = error instanceof Error ? error.name : '';
    if (kind === 'PasswordException')
      throw new Problem(
        password
          ? `That is not the password of “${name}”. Type it again.`
          : `“${name}” is locked with a password. Type it, or choose an open copy.`,
        ['locked'],
      );
    if (kind === 'InvalidPDFException' || kind === 'FormatError')
      throw new Problem(`“${name}” is damaged, or it is not a PDF. Try another copy of it.`);
    throw new Problem(`“${name}” could not be opened as a PDF. Try another copy of it.`);
  }
}

/** Room round what is painted over, in hundredths: letters reach beyond the boxes of their lines. */
const COVER = 0.6;

/** One page as a picture, so many pixels wide at most. White lies under it, and over `covers` (in hundredths of it). */
export async function drawPdfPage(
  page: PDFPageProxy,
  pixels: number,
  quality: number,
  covers: readonly Rect[] = [],
): Promise<Blob> {
  const whole = page.getViewport({ scale: 1 });
  const view = page.getViewport({ scale: pixels / Math.max(whole.width, whole.height) });
  const canvas = new OffscreenCanvas(Math.round(view.width), Math.round(view.height));
  const pen = canvas.getContext('2d');
  if (!pen) throw new Problem('This browser cannot draw the pages.');
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  await page.render({
    canvas: null,
    canvasContext: pen as never,
    viewport: view,
    background: '#fff',
  }).promise;
  pen.fillStyle = '#fff';
  for (const c of covers)
    pen.fillRect(
      ((c.x - COVER) * canvas.width) / 100,
      ((c.y - COVER) * canvas.height) / 100,
      ((c.w + 2 * COVER) * canvas.width) / 100,
      ((c.h + 2 * COVER) * canvas.height) / 100,
    );
  const blob = await canvas.convertToBlob({ type: 'image/webp', quality });
  canvas.width = 0;
  return blob;
}

export const PDF_TOOLS = { OPS: pdfjs.OPS as unknown as Record<string, number> };

/** pdf.js keeps every part of a file that it has read: after so many pages it is opened anew, and they are let go. */
const PAGES_PER_OPENING = 80;

/** An open PDF whose pages are worked on one after the other, with memory for a few pages however large the file is. */
export class PdfInWork {
  private used = 0;
  private last: Promise<unknown> = Promise.resolve();

  private constructor(
    private doc: PDFDocumentProxy,
    readonly name: string,
    private readonly open: () => Promise<PDFDocumentProxy>,
  ) {}

  static async open(file: Blob, name: string, base: string, password?: string): Promise<PdfInWork> {
    const open = () => openPdf(file, name, base, password);
    return new PdfInWork(await open(), name, open);
  }

  get pages(): number {
    return this.doc.numPages;
  }

  async page<T>(n: number, work: (page: PDFPageProxy) => Promise<T>): Promise<T> {
    const mine = this.last.then(async () => {
      if (this.used >= PAGES_PER_OPENING) {
        await this.doc.loadingTask.destroy();
        this.doc = await this.open();
        this.used = 0;
      }
      this.used++;
      const page = await this.doc.getPage(n);
      try {
        return await work(page);
      } finally {
        page.cleanup();
      }
    });
    this.last = mine.catch(() => undefined);
    return await mine;
  }

  async close(): Promise<void> {
    await this.doc.loadingTask.destroy();
  }
}
