import type { Report } from '@lorvet/core/report';
import { expose } from 'comlink';
import * as packed from 'pdfmake/build/pdfmake';
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

const AT_ONCE = 0x8000;
function base64Of(bytes: Uint8Array): string {
  let out = '';
  for (let i = 0; i < bytes.length; i += AT_ONCE) out += String.fromCharCode(...bytes.subarray(i, i + AT_ONCE));
  return btoa(out);
}

const api = {
  /** The reports as one PDF. `base` is where the application is served. */
  async pdf(reports: readonly Report[], title: string, base: string): Promise<Uint8Array> {
    fonts ??= withFonts(base).catch((error: unknown) => {
      fonts = null;
      throw error;
    });
    await fonts;
    return new Uint8Array(await pdfMake.createPdf(reportDocument(reports, title)).getBuffer());
  },
};
export type ReportApi = typeof api;
expose(api);
