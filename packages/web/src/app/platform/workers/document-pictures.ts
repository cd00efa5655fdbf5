import type { DocumentPicture } from '../evidence-desk';
import type { Pictures } from './document-pdf';

/** Longest side of a photograph in a document, in pixels: beyond it nothing is seen on paper. */
const LONGEST = 1200;

/** A picture that this browser can read, as a JPEG of a moderate size with the way it lies in it; null for others. */
export async function asJpeg(data: Blob): Promise<{ bytes: Uint8Array; width: number; height: number } | null> {
  try {
    const picture = await createImageBitmap(data);
    const by = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(picture.width * by)),
      Math.max(1, Math.round(picture.height * by)),
    );
    const to = canvas.getContext('2d');
    if (!to) return null;
    to.fillStyle = '#fff';
    to.fillRect(0, 0, canvas.width, canvas.height);
    to.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
    return { bytes: new Uint8Array(await blob.arrayBuffer()), width: canvas.width, height: canvas.height };
  } catch {
    return null;
  }
}

export async function picturesFor(all: readonly DocumentPicture[]): Promise<Pictures> {
  const photographs: Record<string, string> = {};
  const drawings: Record<string, string> = {};
  for (const { assetId, data } of all) {
    if (data.type === 'image/svg+xml') {
      drawings[assetId] = await data.text();
      continue;
    }
    const read = await asJpeg(data);
    if (read) photographs[assetId] = `data:image/jpeg;base64,${base64Of(read.bytes)}`;
  }
  return { photographs, drawings };
}

const AT_ONCE = 0x8000;
export function base64Of(bytes: Uint8Array): string {
  let out = '';
  for (let i = 0; i < bytes.length; i += AT_ONCE) out += String.fromCharCode(...bytes.subarray(i, i + AT_ONCE));
  return btoa(out);
}
