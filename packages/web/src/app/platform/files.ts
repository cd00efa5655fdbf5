import { type Asset, ASSET_MIMES, base64, fromBase64 } from '@lorvet/core';

export type Taken = Asset | { problem: string };

/** A larger picture is made smaller on the way in: enough for print at full page width. */
export const MOST_PIXELS = 1800;
const SMALL_BYTES = 600 * 1024;
const MOST_BYTES = 24 * 1024 * 1024;
/** Beyond this a picture is not even opened. */
const MOST_PICTURE_BYTES = 80 * 1024 * 1024;

export async function assetOf(bytes: Uint8Array, mime: Asset['mime'], name: string): Promise<Asset> {
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as BufferSource));
  const id = `sha256-${[...hash].map((b) => b.toString(16).padStart(2, '0')).join('')}`;
  return { id, mime, name: name.slice(0, 200), data: base64(bytes) };
}

const knownMime = (type: string): Asset['mime'] | undefined => ASSET_MIMES.find((m) => m === type.split(';')[0]);
const bytesOf = async (blob: Blob): Promise<Uint8Array> => new Uint8Array(await blob.arrayBuffer());

/**
 * A picture file as an asset under its content's address; a sentence for the teacher where it cannot be one. Large
 * photographs are made smaller; turned ones are set upright, as the camera noted.
 */
export async function readPicture(file: Blob & { name?: string }): Promise<Taken> {
  const name = file.name ?? 'picture';
  const mime = knownMime(file.type);
  if (!mime?.startsWith('image/'))
    return { problem: `“${name}” is not a picture Lorvet can show. Choose a PNG, JPEG, WebP, GIF or SVG file.` };
  if (file.size > MOST_PICTURE_BYTES)
    return { problem: `“${name}” is larger than 80 MB. Make it smaller in a picture program and choose it again.` };
  if (mime === 'image/svg+xml' || mime === 'image/gif')
    return file.size > 4 * 1024 * 1024
      ? { problem: `“${name}” is larger than 4 MB. Save it as PNG or JPEG and choose it again.` }
      : await assetOf(await bytesOf(file), mime, name);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return { problem: `“${name}” cannot be read as a picture: it is damaged. Try another copy of it.` };
  }
  const scale = Math.min(1, MOST_PIXELS / Math.max(bitmap.width, bitmap.height));
  if (scale === 1 && file.size <= SMALL_BYTES && mime !== 'image/jpeg') {
    bitmap.close();
    return await assetOf(await bytesOf(file), mime, name);
  }
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const small = await canvas.convertToBlob(
    mime === 'image/png' ? { type: 'image/webp', quality: 0.9 } : { type: 'image/jpeg', quality: 0.85 },
  );
  return await assetOf(await bytesOf(small), knownMime(small.type) ?? 'image/png', name);
}

/** A sound, video or PDF file as an asset. */
export async function readMedia(file: Blob & { name?: string }, what: 'sound' | 'video' | 'pdf'): Promise<Taken> {
  const name = file.name ?? 'recording';
  const mime = knownMime(file.type);
  const begins = { sound: 'audio/', video: 'video/', pdf: 'application/pdf' }[what];
  if (!mime?.startsWith(begins))
    return {
      problem: `“${name}” is not a ${what === 'pdf' ? 'PDF' : what} Lorvet can keep. ${{ sound: 'Choose an MP3, WAV, OGG, M4A or WebM file.', video: 'Choose an MP4 or WebM file.', pdf: 'Choose a PDF file.' }[what]}`,
    };
  if (file.size > MOST_BYTES)
    return { problem: `“${name}” is larger than 24 MB. Make it shorter or smaller, then choose it again.` };
  return await assetOf(await bytesOf(file), mime, name);
}

/** Only ever the source of an <img>, where no script of an SVG can run. */
export const pictureUrl = (asset: Asset): string => `data:${asset.mime};base64,${asset.data}`;

const urls = new Map<string, string>();

/** An address for a player or a download: made once an asset, for a data: address of many megabytes is slow. */
export function assetUrl(asset: Asset): string {
  let url = urls.get(asset.id);
  if (!url) urls.set(asset.id, (url = URL.createObjectURL(assetBlob(asset))));
  return url;
}

export const assetBlob = (asset: Asset): Blob => new Blob([fromBase64(asset.data)], { type: asset.mime });
