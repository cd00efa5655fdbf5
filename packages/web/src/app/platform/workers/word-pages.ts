import { Problem } from '@lorvet/core';
import { type FoundPicture, type Material, PAGE_BREAK_STYLE, readHtml, wordFile } from '@lorvet/core/intake';
import type mammoth from 'mammoth';

/** A picture in a Word document, in the order in which `docx:<i>` names it. */
export interface WordPicture {
  readonly type: string;
  readonly bytes: ArrayBuffer;
}

/**
 * Reads a Word document as words, lists, tables and pictures. `tools` is mammoth, which builds differ between a worker
 * and a test; `source` makes its input of a file. Throws a Problem where it cannot be read.
 */
export async function readWord(
  bytes: Uint8Array,
  name: string,
  tools: typeof mammoth,
  source: (file: ArrayBuffer) => { arrayBuffer: ArrayBuffer } | { buffer: Buffer },
): Promise<{ material: Material; pictures: readonly FoundPicture[]; found: readonly WordPicture[]; left: string[] }> {
  const found: WordPicture[] = [];
  const convertImage = tools.images.imgElement(async (image) => {
    found.push({ type: image.contentType, bytes: await image.readAsArrayBuffer().catch(() => new ArrayBuffer(0)) });
    return { src: `docx:${found.length - 1}` };
  });
  const left: string[] = [];
  let html: string;
  try {
    const word = wordFile(bytes);
    left.push(...word.left);
    const result = await tools.convertToHtml(source(word.file), { convertImage, styleMap: [PAGE_BREAK_STYLE] });
    html = result.value;
    const said = new Set(result.messages.map((m) => m.message).filter((m) => !/style/i.test(m)));
    left.push(...[...said].slice(0, 5));
  } catch (error) {
    // A file made to fill the machine is said to be one.
    if (error instanceof Problem && !error.message.includes('ZIP file')) throw error;
    throw new Problem(
      `“${name}” cannot be read as a Word document (.docx): it is damaged, locked, or of another kind. An old .doc must be saved as .docx first.`,
    );
  }
  const { material, pictures } = readHtml(html, name);
  return { material, pictures, found, left: [...left, ...material.left] };
}
