import { type Material, readHtml, readLaidOut } from '@lorvet/core/intake';
import mammoth from 'mammoth';
import * as pdfjs from 'pdfjs-dist/legacy/build/pdf.mjs';
import { htmlOfMarkdown } from '../platform/workers/markdown';
import { readPdfPage } from '../platform/workers/pdf-pages';
import { readWord } from '../platform/workers/word-pages';

/** Reads a file as the application's worker does, outside a browser: PDF, Word, HTML or Markdown by its ending. */
export async function readMaterial(bytes: Uint8Array, name: string): Promise<Material> {
  if (name.endsWith('.pdf')) {
    const doc = await pdfjs.getDocument({ data: bytes, verbosity: 0, useSystemFonts: false }).promise;
    const pages = [];
    for (let i = 1; i <= doc.numPages; i++)
      pages.push(readLaidOut(await readPdfPage((await doc.getPage(i)) as never, { OPS: pdfjs.OPS as never })));
    return { name, pages, left: [] };
  }
  if (name.endsWith('.docx')) {
    const { material, left } = await readWord(bytes, name, mammoth, (f) => ({ buffer: Buffer.from(f) }));
    return { ...material, left };
  }
  const text = new TextDecoder().decode(bytes);
  return readHtml(name.endsWith('.md') ? await htmlOfMarkdown(text) : text, name).material;
}
