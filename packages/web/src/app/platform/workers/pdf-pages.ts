import type { LaidOutPage, TextItem } from '@lorvet/core/intake';
import type { PDFPageProxy } from 'pdfjs-dist';
import { inkOf, withoutWhite } from './pdf-ink';
import { asMatrix, type PdfTools, times } from './pdf-matrix';

/**
 * Reads one page's words and drawn lines, in points from the top left of the page as it is shown; white words on nothing
 * coloured are none of them, and `hid` says that there were some.
 */
export async function readPdfPage(page: PDFPageProxy, tools: PdfTools): Promise<LaidOutPage & { hid: boolean }> {
  const view = page.getViewport({ scale: 1 });
  const toView = asMatrix(view.transform);
  const content = await page.getTextContent();
  const all = content.items.flatMap((item): TextItem[] => {
    if (!('str' in item) || item.str.trim() === '') return [];
    const at = times(toView, asMatrix(item.transform as number[]));
    const size = Math.hypot(at[2], at[3]) || item.height;
    const font = content.styles[item.fontName];
    const bold = /bold|black|heavy/i.test(font?.fontFamily ?? '') || isBold(page, item.fontName);
    return [{ text: item.str, x: at[4], y: at[5] - size * 0.8, w: item.width, h: size, bold }];
  });
  const ink = inkOf(await page.getOperatorList(), toView, tools);
  return {
    n: page.pageNumber,
    width: view.width,
    height: view.height,
    ...withoutWhite(all, ink),
    shapes: ink.shapes,
  };
}

/** How many comments somebody wrote on a page: they are no words of it. */
export async function countComments(page: PDFPageProxy): Promise<number> {
  const notes = (await page.getAnnotations()) as readonly { subtype?: string; contentsObj?: { str?: string } }[];
  return notes.filter((a) => a.subtype !== 'Link' && a.subtype !== 'Popup' && a.contentsObj?.str?.trim()).length;
}

/** The font's own name, once the page's fonts are known; before that it is not bold. */
function isBold(page: PDFPageProxy, fontName: string): boolean {
  if (!page.commonObjs.has(fontName)) return false;
  const font = page.commonObjs.get(fontName) as { name?: string; bold?: boolean } | null;
  return font?.bold === true || /bold|black|heavy/i.test(font?.name ?? '');
}
