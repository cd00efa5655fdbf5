import { type Audience, fromBase64, Problem, type Rect } from '@lorvet/core';
import {
  type BadLine,
  type FoundPicture,
  isKeyed,
  mapQuestions,
  type Material,
  type MaterialPage,
  propose,
  type Proposed,
  type QuestionField,
  type QuestionTable,
  readHtml,
  readLaidOut,
  readQtiPackage,
  type ReadQuestion,
  readQuestionTable,
} from '@lorvet/core/intake';
import { expose } from 'comlink';
import { nanoid } from 'nanoid';
import { assetOf, readPicture } from '../files';
import { htmlOfMarkdown } from './markdown';
import type { PdfInWork } from './pdf-file';
import { readWord } from './word-pages';
import type { KeptAsset } from '../storage/kept-asset';
import { counted } from '../many';

/** What a call gives back: its result, or what is wrong in words. A class does not survive the way between threads. */
export type Told<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly message: string; readonly details: readonly string[] };

/** A reading that can be reviewed. Pictures come as assets; `picture:<i>` in a block stands for the i-th. */
export interface Reading {
  readonly name: string;
  readonly proposed: Proposed;
  readonly pictures: readonly (KeptAsset | null)[];
  readonly left: readonly string[];
  /** Width and height of the file's pages, by their numbers; of files that are not laid out in pages, none. */
  readonly sizes: Readonly<Record<number, { readonly width: number; readonly height: number }>>;
  /** Whether it can be read anew with other decisions. */
  readonly canTurn: boolean;
}

/** Pictures done, of those in the file. */
type Progress = (done: number, of: number) => void;

const THUMB = 220;
/** Longest side of a page's picture, in pixels: sharp on an A4 sheet in print. */
const PAGE = 1700;

let pdf: PdfInWork | null = null;
/** What was read last, to be proposed anew where the teacher decides otherwise. */
let lastRead: Material | null = null;
let table: QuestionTable | null = null;
let mapped: readonly ReadQuestion[] = [];
const newId = () => nanoid(12);

async function told<T>(work: () => T | Promise<T>): Promise<Told<T>> {
  try {
    return { ok: true, value: await work() };
  } catch (error) {
    if (error instanceof Problem) return { ok: false, message: error.message, details: error.details };
    return { ok: false, message: 'This file could not be read. Nothing was changed.', details: [] };
  }
}

function openPdf(): PdfInWork {
  if (!pdf) throw new Problem('The file is no longer open. Choose it again.');
  return pdf;
}

/** Pictures of a document: made smaller where they are large; what cannot be read is left out and said. */
async function assetsOf(
  pictures: readonly FoundPicture[],
  bytesOf: (p: FoundPicture) => Promise<Blob | null>,
  left: string[],
  progress: Progress,
) {
  const out: (KeptAsset | null)[] = [];
  for (const p of pictures) {
    progress(out.length, pictures.length);
    const blob = await bytesOf(p);
    const taken = blob && (await readPicture(blob));
    if (taken && !('problem' in taken)) out.push(taken);
    else {
      out.push(null);
      left.push(
        blob
          ? `A picture (${p.alt.slice(0, 100) || 'without description'}) is damaged, or of a kind no browser shows.`
          : `A picture at another address was left out: ${p.src.slice(0, 100)}`,
      );
    }
  }
  return out;
}

async function dataUrl(p: FoundPicture): Promise<Blob | null> {
  if (!/^data:image\//i.test(p.src)) return null;
  const [head = '', data = ''] = p.src.split(',', 2);
  // What is no picture costs itself, and not the file it stands in.
  let bytes: Uint8Array<ArrayBuffer> = new Uint8Array();
  try {
    bytes = fromBase64(data);
  } catch {
    // Nothing is in it: it is said to be of a kind that no browser shows.
  }
  return new Blob([bytes], { type: /^data:([^;,]+)/.exec(head)?.[1] ?? '' });
}

async function fromHtml(html: string, name: string, progress: Progress): Promise<Reading> {
  const { material, pictures } = readHtml(html, name);
  const left = [...material.left];
  const assets = await assetsOf(pictures, dataUrl, left, progress);
  return reading(material, assets, left);
}

function reading(material: Material, pictures: readonly (KeptAsset | null)[], left: readonly string[]): Reading {
  lastRead = material;
  const proposed = propose(material, newId);
  return {
    name: material.name,
    proposed,
    pictures,
    left: [...left, ...(proposed.cut ?? [])],
    sizes: Object.fromEntries(material.pages.flatMap((p) => (p.size ? [[p.n, p.size]] : []))),
    canTurn: true,
  };
}

const api = {
  async openPdf(file: Blob, name: string, password?: string): Promise<Told<{ pages: number }>> {
    return await told(async () => {
      const { PdfInWork } = await import('./pdf-file');
      await pdf?.close();
      pdf = null;
      pdf = await PdfInWork.open(file, name, `${self.location.origin}/`, password);
      return { pages: pdf.pages };
    });
  },

  async thumb(n: number, pixels = THUMB): Promise<Told<Blob>> {
    return await told(async () => {
      const { drawPdfPage } = await import('./pdf-file');
      return await openPdf().page(n, (p) => drawPdfPage(p, pixels, 0.75));
    });
  },

  async readPdf(pages: readonly number[], progress: (done: number) => void): Promise<Told<Reading>> {
    return await told(async () => {
      const { PDF_TOOLS } = await import('./pdf-file');
      const { countComments, readPdfPage } = await import('./pdf-pages');
      const read: MaterialPage[] = [];
      const left: string[] = [];
      for (const [i, n] of pages.entries()) {
        try {
          const page = await openPdf().page(n, (p) => readPdfPage(p, PDF_TOOLS));
          read.push(readLaidOut(page));
          if (page.hid) left.push(`Page ${n}: white words were left out.`);
          const comments = await openPdf().page(n, countComments);
          if (comments)
            left.push(
              counted(comments, 'Page {page}: a comment was left out.', 'Page {page}: {n} comments were left out.', {
                page: n,
              }),
            );
        } catch (error) {
          if (error instanceof Problem) throw error;
          left.push(`Page ${n} is damaged and was left out.`);
        }
        progress(i + 1);
      }
      const empty = read.filter((p) => p.pictureOnly).map((p) => p.n);
      if (empty.length)
        left.push(
          counted(
            empty.length,
            'Page {pages}: a picture without words that can be read. It can be laid under answer places.',
            'Pages {pages}: pictures without words that can be read. They can be laid under answer places.',
            { pages: empty.join(', ') },
          ),
        );
      return reading({ name: pdf?.name ?? '', pages: read, left }, [], left);
    });
  },

  /** What the material read last becomes where some decisions are turned round, by their ids. */
  async proposeAgain(turned: ReadonlyMap<string, Audience>): Promise<Told<Proposed>> {
    return await told(() => {
      if (!lastRead) throw new Problem('The file is no longer open. Choose it again.');
      return propose(lastRead, newId, turned);
    });
  },

  /** A page's own picture, to lie under answer places; `covers`, in hundredths of it, are painted over. */
  async pagePicture(n: number, covers: readonly Rect[] = []): Promise<Told<KeptAsset>> {
    return await told(async () => {
      const { drawPdfPage } = await import('./pdf-file');
      const blob = await openPdf().page(n, (p) => drawPdfPage(p, PAGE, 0.82, covers));
      return await assetOf(blob, 'image/webp', `${pdf?.name ?? 'page'}, page ${n}`);
    });
  },

  async readDocx(file: Blob, name: string, progress: Progress): Promise<Told<Reading>> {
    return await told(async () => {
      // mammoth's build for browsers looks for a window.
      (globalThis as unknown as { window: unknown }).window ??= globalThis;
      const { default: mammoth } = await import('mammoth/mammoth.browser.js');
      const { material, pictures, found, left } = await readWord(
        new Uint8Array(await file.arrayBuffer()),
        name,
        mammoth,
        (arrayBuffer) => ({ arrayBuffer }),
      );
      const bytesOf = async (p: FoundPicture) => {
        const at = found[Number(/^docx:(\d+)$/.exec(p.src)?.[1] ?? -1)];
        return at ? new Blob([at.bytes], { type: at.type }) : null;
      };
      const assets = await assetsOf(pictures, bytesOf, left, progress);
      return reading(material, assets, left);
    });
  },

  async readHtml(text: string, name: string, progress: Progress): Promise<Told<Reading>> {
    return await told(() => fromHtml(text, name, progress));
  },

  async readMarkdown(text: string, name: string, progress: Progress): Promise<Told<Reading>> {
    return await told(async () => await fromHtml(await htmlOfMarkdown(text), name, progress));
  },

  async readPictures(
    files: readonly File[],
    progress: (done: number) => void,
  ): Promise<Told<{ assets: KeptAsset[]; left: string[] }>> {
    return await told(async () => {
      const assets: KeptAsset[] = [];
      const left: string[] = [];
      for (const [i, file] of files.entries()) {
        const taken = await readPicture(file);
        if ('problem' in taken) left.push(taken.problem);
        else assets.push(taken);
        progress(i + 1);
      }
      return { assets, left };
    });
  },

  async openQuestions(text: string): Promise<
    Told<{
      headers: readonly string[];
      guess: QuestionTable['guess'];
      rows: number;
      sample: readonly (readonly string[])[];
    }>
  > {
    return await told(() => {
      table = readQuestionTable(text);
      return {
        headers: table.headers,
        guess: table.guess,
        rows: table.rows.length,
        sample: table.rows.slice(0, 4).map((r) => r.cells),
      };
    });
  },

  /** Reads the list under these columns; the questions are fetched in parts, so that none is long in coming over. */
  async mapQuestions(columns: readonly (QuestionField | null)[]): Promise<Told<{ count: number; bad: BadLine[] }>> {
    return await told(() => {
      if (!table) throw new Problem('The list is no longer open. Choose it again.');
      const { questions, bad } = mapQuestions(table, columns, newId);
      mapped = questions;
      return { count: questions.length, bad };
    });
  },

  async questions(from: number, to: number): Promise<Told<readonly ReadQuestion[]>> {
    return await told(() => mapped.slice(from, to));
  },

  async readQti(file: Blob, name: string, progress: Progress): Promise<Told<Reading>> {
    return await told(async () => {
      const read = readQtiPackage(new Uint8Array(await file.arrayBuffer()), name, newId);
      const left = [...read.left];
      const pictures: (KeptAsset | null)[] = [];
      for (const p of read.pictures) {
        progress(pictures.length, read.pictures.length);
        const taken = await readPicture(new Blob([p.bytes as BlobPart], { type: mimeOf(p.name) }));
        pictures.push('problem' in taken ? null : taken);
        if ('problem' in taken) left.push(`The picture “${p.name}” cannot be shown.`);
      }
      const pages = chunks(read.items, 8).map((items, i) => ({
        n: i + 1,
        page: i + 1,
        title: i === 0 ? read.title : `${read.title}, page ${i + 1}`,
        audience: 'learner' as const,
        pictureOnly: false,
        proposals: items.flatMap((item) =>
          item.blocks.map((block) => ({ id: newId(), says: item.title, block, plain: null, keyed: isKeyed(block) })),
        ),
      }));
      return { name: read.title, proposed: { pages, unmatched: [] }, pictures, left, sizes: {}, canTurn: false };
    });
  },
};

const mimeOf = (name: string): string =>
  ({
    png: 'image/png',
    jpg: 'image/jpeg',
    jpeg: 'image/jpeg',
    gif: 'image/gif',
    svg: 'image/svg+xml',
    webp: 'image/webp',
  })[name.split('.').at(-1)?.toLowerCase() ?? ''] ?? '';

function chunks<T>(list: readonly T[], size: number): T[][] {
  return Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));
}

export type IntakeApi = typeof api;
expose(api);
