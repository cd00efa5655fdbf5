import type { Report } from '@lorvet/core/report';
import type { PrintedDocument } from '@lorvet/core/evidence';
import { expose, transfer } from 'comlink';
import * as packed from 'pdfmake/build/pdfmake';
import type { DocumentPicture } from '../evidence-desk';
import { pdfDocument, type Pictures } from './document-pdf';
import { base64Of, picturesFor } from './document-pictures';
import { LETTERS } from './report-letters';
import { reportDocument } from './report-pdf';

// The package is one object with its methods further up, which only stands under its default.
const pdfMake = (packed as { readonly default?: typeof packed }).default ?? packed;

/** Fetched once, from where the application itself is. */
let fonts: Promise<void> | null = null;

async function withFonts(base: string): Promise<void> {
  const files: Record<string, string> = {};
  const names: Record<string, Record<'normal' | 'bold' | 'italics' | 'bolditalics', string>> = {};
  await Promise.all(
    LETTERS.flatMap(([part]) =>
      ['400', '700'].map(async (weight) => {
        const name = `andika-${part}-${weight}-normal.woff`;
        const got = await fetch(`${base}pdf/andika/${name}`);
        if (!got.ok) throw new Error(`${name}: ${got.status}`);
        files[name] = base64Of(new Uint8Array(await got.arrayBuffer()));
      }),
    ),
  );
  for (const [part] of LETTERS) {
    const [normal, bold] = ['400', '700'].map((w) => `andika-${part}-${w}-normal.woff`) as [string, string];
    names[part] = { normal, bold, italics: normal, bolditalics: bold };
  }
  pdfMake.addVirtualFileSystem(files);
  pdfMake.addFonts(names);
}

const ready = (base: string): Promise<void> =>
  (fonts ??= withFonts(base).catch((error: unknown) => {
    fonts = null;
    throw error;
  }));

const written = async (doc: PrintedDocument, pictures: Pictures): Promise<Uint8Array<ArrayBuffer>> =>
  new Uint8Array(await pdfMake.createPdf(pdfDocument(doc, pictures)).getBuffer());

/** Drawings of other programs may hold what a PDF cannot: those stand by their words. */
async function drawable(pictures: Pictures): Promise<Pictures> {
  const drawings: Record<string, string> = {};
  for (const [assetId, svg] of Object.entries(pictures.drawings)) {
    const alone = { title: '', language: 'en', foot: '', parts: [{ is: 'picture', assetId, alt: '' }] } as const;
    const one = { photographs: {}, drawings: { [assetId]: svg } };
    if (await written(alone, one).catch(() => null)) drawings[assetId] = svg;
  }
  return { ...pictures, drawings };
}

const api = {
  /** A document as PDF; `bytes` are its JSON. Photographs go with it. */
  async document(bytes: Uint8Array, pictures: readonly DocumentPicture[], base: string): Promise<Uint8Array> {
    await ready(base);
    const doc = JSON.parse(new TextDecoder().decode(bytes)) as PrintedDocument;
    const shown = await picturesFor(pictures);
    const out = await written(doc, shown).catch(async () => written(doc, await drawable(shown)));
    return transfer(out, [out.buffer]);
  },
  /** The reports as one PDF. `base` is where the application is served. */
  async pdf(reports: readonly Report[], title: string, base: string): Promise<Uint8Array> {
    await ready(base);
    return new Uint8Array(await pdfMake.createPdf(reportDocument(reports, title)).getBuffer());
  },
};
export type ReportApi = typeof api;
expose(api);
