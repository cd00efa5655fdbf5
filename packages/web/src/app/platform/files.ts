import { type Asset, base64 } from '@lorvet/core';

/** Hands a file to the browser to keep. */
export function download(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

const MIMES: readonly Asset['mime'][] = ['image/png', 'image/jpeg', 'image/svg+xml', 'image/webp', 'image/gif'];
const MOST_BYTES = 4 * 1024 * 1024;

/** A picture file as an asset under its content's address; a sentence for the teacher where it cannot be one. */
export async function readPicture(file: File): Promise<Asset | { problem: string }> {
  const mime = MIMES.find((m) => m === file.type);
  if (!mime)
    return { problem: `“${file.name}” is not a picture Lorvet can show. Choose a PNG, JPEG, WebP, GIF or SVG file.` };
  if (file.size > MOST_BYTES)
    return { problem: `“${file.name}” is larger than 4 MB. Make it smaller in a picture program and choose it again.` };
  const bytes = new Uint8Array(await file.arrayBuffer());
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes));
  const id = `sha256-${[...hash].map((b) => b.toString(16).padStart(2, '0')).join('')}`;
  return { id, mime, name: file.name.slice(0, 200), data: base64(bytes) };
}

/** Only ever the source of an <img>, where no script of an SVG can run. */
export const pictureUrl = (asset: Asset): string => `data:${asset.mime};base64,${asset.data}`;
