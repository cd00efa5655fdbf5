import { ASSET_MIMES, Problem } from '@lorvet/core/desk';
import type { KeptAsset } from './storage/kept-asset';

type Mime = KeptAsset['mime'];
/** Why a file cannot be taken, as it is said in any language: `{name}` is the file’s own. */
const PROBLEMS = {
  noPicture: '“{name}” is not a picture Lorvet can show. Choose a PNG, JPEG, WebP, GIF or SVG file.',
  hugePicture: '“{name}” is larger than 80 MB. Make it smaller in a picture program and choose it again.',
  largeDrawing: '“{name}” is larger than 4 MB. Save it as PNG or JPEG and choose it again.',
  damaged: '“{name}” cannot be read as a picture: it is damaged. Try another copy of it.',
  sound: '“{name}” is not a sound Lorvet can keep. Choose an MP3, WAV, OGG, M4A or WebM file.',
  video: '“{name}” is not a video Lorvet can keep. Choose an MP4 or WebM file.',
  pdf: '“{name}” is not a PDF Lorvet can keep. Choose a PDF file.',
  large: '“{name}” is larger than 24 MB. Make it shorter or smaller, then choose it again.',
  noPdf: '“{name}” is called a PDF and is none. Save or export it as a PDF, then choose it again.',
} as const;
export interface NotTaken {
  /** In English. */
  readonly problem: string;
  readonly says: (typeof PROBLEMS)[keyof typeof PROBLEMS];
  readonly name: string;
}
export type Taken = KeptAsset | NotTaken;

const notTaken = (why: keyof typeof PROBLEMS, name: string): NotTaken => ({
  problem: PROBLEMS[why].replace('{name}', () => name),
  says: PROBLEMS[why],
  name,
});

/** A larger picture is made smaller on the way in: enough for print at full page width. */
export const MOST_PIXELS = 1800;
const SMALL_BYTES = 600 * 1024;
const MOST_BYTES = 24 * 1024 * 1024;
/** Beyond this a picture is not even opened. */
const MOST_PICTURE_BYTES = 80 * 1024 * 1024;

/** Bytes as an asset under their content's address. */
export async function assetOf(from: Blob | Uint8Array, mime: Mime, name: string): Promise<KeptAsset> {
  const data = new Blob([from as BlobPart], { type: mime });
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', await data.arrayBuffer()));
  const id = `sha256-${[...hash].map((b) => b.toString(16).padStart(2, '0')).join('')}`;
  return { id, mime, name: name.slice(0, 200), data };
}

/** The words of a text file. Throws a Problem where it is larger than a text of its kind can be. */
export async function textOf(file: File, mostMb = 50): Promise<string> {
  if (file.size > mostMb * 1_000_000)
    throw new Problem(
      `“${file.name}” is larger than ${mostMb} MB, which no such file needs to be. Check that it is the right one.`,
    );
  return await file.text();
}

const knownMime = (type: string): Mime | undefined => ASSET_MIMES.find((m) => m === type.split(';')[0]);

/**
 * A picture file as an asset under its content's address; a sentence for the teacher where it cannot be one. Large
 * photographs are made smaller; turned ones are set upright, as the camera noted.
 */
export async function readPicture(file: Blob & { name?: string }): Promise<Taken> {
  const name = file.name ?? 'picture';
  const mime = knownMime(file.type);
  if (!mime?.startsWith('image/')) return notTaken('noPicture', name);
  if (file.size > MOST_PICTURE_BYTES) return notTaken('hugePicture', name);
  if (mime === 'image/svg+xml' || mime === 'image/gif')
    return file.size > 4 * 1024 * 1024 ? notTaken('largeDrawing', name) : await assetOf(file, mime, name);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return notTaken('damaged', name);
  }
  const scale = Math.min(1, MOST_PIXELS / Math.max(bitmap.width, bitmap.height));
  if (scale === 1 && file.size <= SMALL_BYTES && mime !== 'image/jpeg') {
    bitmap.close();
    return await assetOf(file, mime, name);
  }
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const small = await canvas.convertToBlob(
    mime === 'image/png' ? { type: 'image/webp', quality: 0.9 } : { type: 'image/jpeg', quality: 0.85 },
  );
  return await assetOf(small, knownMime(small.type) ?? 'image/png', name);
}

/** A sound, video or PDF file as an asset. */
export async function readMedia(file: Blob & { name?: string }, what: 'sound' | 'video' | 'pdf'): Promise<Taken> {
  const name = file.name ?? 'recording';
  const mime = knownMime(file.type);
  const begins = { sound: 'audio/', video: 'video/', pdf: 'application/pdf' }[what];
  if (!mime?.startsWith(begins)) return notTaken(what, name);
  if (file.size > MOST_BYTES) return notTaken('large', name);
  // Programs put a few bytes before it; a page of the web that is called PDF has it nowhere.
  if (what === 'pdf' && !new TextDecoder('latin1').decode(await file.slice(0, 1024).arrayBuffer()).includes('%PDF-'))
    return notTaken('noPdf', name);
  return await assetOf(file, mime, name);
}
