import type { DrawnShape, LaidOutPage, TextItem } from '@lorvet/core/intake';
import type { PDFPageProxy } from 'pdfjs-dist';
import { inkOf, withoutWhite } from './pdf-ink';
import { asMatrix, type Matrix, type PdfTools, times, UNIT } from './pdf-matrix';

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
  const list = await page.getOperatorList();
  return {
    n: page.pageNumber,
    width: view.width,
    height: view.height,
    ...withoutWhite(all, inkOf(list, toView, tools)),
    shapes: shapesOf(list, toView, tools),
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

type Painted = Awaited<ReturnType<PDFPageProxy['getOperatorList']>>;
function shapesOf(list: Painted, toView: Matrix, { OPS }: PdfTools): DrawnShape[] {
  const shapes: DrawnShape[] = [];
  const kept: Matrix[] = [];
  let now: Matrix = UNIT;
  list.fnArray.forEach((fn, i) => {
    const args = list.argsArray[i] as unknown[];
    if (fn === OPS['save']) kept.push(now);
    else if (fn === OPS['restore']) now = kept.pop() ?? UNIT;
    else if (fn === OPS['transform']) now = times(now, asMatrix(args as number[]));
    else if (fn === OPS['paintFormXObjectBegin']) {
      kept.push(now);
      if (args[0]) now = times(now, asMatrix(args[0] as number[]));
    } else if (fn === OPS['paintFormXObjectEnd']) now = kept.pop() ?? UNIT;
    else if (fn === OPS['constructPath'] && args[2]) {
      const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = Array.from(args[2] as ArrayLike<number>);
      const m = times(toView, now);
      const ends = [
        [x0, y0],
        [x1, y1],
      ].map(([x = 0, y = 0]) => [m[0] * x + m[2] * y + m[4], m[1] * x + m[3] * y + m[5]] as const);
      const xs = ends.map((e) => e[0]);
      const ys = ends.map((e) => e[1]);
      const [x, y] = [Math.min(...xs), Math.min(...ys)];
      shapes.push({ x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y });
    }
  });
  return shapes;
}
