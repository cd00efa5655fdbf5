import type { PrintedDocument } from '@lorvet/core/evidence';
import { expose, transfer } from 'comlink';
import type { DocumentPicture } from '../evidence-desk';
import { docxDocument, type DocxPictures } from './document-docx';
import { asJpeg } from './document-pictures';

const api = {
  /** A document for a word processor; `bytes` are its JSON. */
  async document(bytes: Uint8Array, pictures: readonly DocumentPicture[]): Promise<Uint8Array> {
    const doc = JSON.parse(new TextDecoder().decode(bytes)) as PrintedDocument;
    const shown: [string, NonNullable<Awaited<ReturnType<typeof asJpeg>>>][] = [];
    for (const { assetId, data } of pictures) {
      const read = await asJpeg(data);
      if (read) shown.push([assetId, read]);
    }
    const out = await docxDocument(doc, new Map(shown) satisfies DocxPictures);
    return transfer(out, [out.buffer]);
  },
};
export type DocxApi = typeof api;
expose(api);
