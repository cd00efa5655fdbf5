import {
  type AdjustmentFile,
  type Asset,
  type Family,
  readAdjustments,
  readFamily,
  writeAdjustments,
  writeFamily,
} from '@lorvet/core';
import { familyReport, htmlDocument, namesInReport } from '@lorvet/core/report';
import { expose, transfer } from 'comlink';
import { assetOfKept, keptAsset, type KeptAsset } from '../storage/kept-asset';
import { base64Of } from './document-pictures';
import { type Refused, refusedOr } from './refused';

export type FamilyReading =
  { readonly ok: true; readonly family: Family; readonly assets: readonly KeptAsset[] } | Refused;
export type AdjustmentsReading =
  { readonly ok: true; readonly file: AdjustmentFile; readonly assets: readonly KeptAsset[] } | Refused;

const bytesOf = async (file: Blob): Promise<Uint8Array> => new Uint8Array(await file.arrayBuffer());
const zipOf = (bytes: Uint8Array): Blob => new Blob([bytes as BlobPart], { type: 'application/zip' });

async function byId(assets: readonly KeptAsset[]): Promise<Record<string, Asset>> {
  return Object.fromEntries(await Promise.all(assets.map(async (a) => [a.id, await assetOfKept(a)] as const)));
}

async function dataAddresses(assets: readonly KeptAsset[]): Promise<Record<string, string>> {
  const pictures = assets.filter((a) => a.mime.startsWith('image/'));
  return Object.fromEntries(
    await Promise.all(pictures.map(async (a) => [a.id, `data:${a.mime};base64,${base64Of(await bytesOf(a.data))}`])),
  );
}

const api = {
  /** A family for colleagues, as the bytes of a page of HTML, or of the JSON of what prints it; with the names that stand in it. */
  async report(
    family: Family,
    assets: readonly KeptAsset[],
    of: {
      readonly at: string;
      readonly names: ReadonlySet<string>;
      readonly language: string;
      readonly form: 'html' | 'pdf';
    },
  ): Promise<{ readonly bytes: Uint8Array; readonly named: readonly string[] }> {
    const form = new Intl.DateTimeFormat(of.language, { dateStyle: 'medium' });
    const doc = familyReport(family, { at: of.at, names: of.names, day: (iso) => form.format(new Date(iso)) });
    const text = of.form === 'html' ? htmlDocument(doc, await dataAddresses(assets)) : JSON.stringify(doc);
    const bytes = new TextEncoder().encode(text);
    return transfer({ bytes, named: namesInReport(doc, of.names) }, [bytes.buffer]);
  },
  /** `names` are those of learners, which do not go out. */
  async writeFamily(
    family: Family,
    assets: readonly KeptAsset[],
    at: string,
    names: ReadonlySet<string>,
  ): Promise<Blob> {
    return zipOf(writeFamily(family, await byId(assets), at, names));
  },
  /** `id` is the family's own here. */
  readFamily: (file: Blob, id: string): Promise<FamilyReading> =>
    refusedOr(async () => {
      const { family, assets } = readFamily(await bytesOf(file), () => id);
      return { ok: true, family, assets: assets.map(keptAsset) };
    }),
  async writeAdjustments(
    family: Family,
    versionId: string,
    assets: readonly KeptAsset[],
    at: string,
    names: ReadonlySet<string>,
  ): Promise<Blob> {
    return zipOf(writeAdjustments(family, versionId, await byId(assets), at, names));
  },
  readAdjustments: (file: Blob): Promise<AdjustmentsReading> =>
    refusedOr(async () => {
      const { file: read, assets } = readAdjustments(await bytesOf(file));
      return { ok: true, file: read, assets: assets.map(keptAsset) };
    }),
};

export type PackApi = typeof api;
expose(api);
