import type { RecordOf } from '@lorvet/core';
import { type Asset, ASSET_MIMES, type CollectionName } from '@lorvet/core/desk';
import { z } from '@lorvet/core/desk';

/** An asset as the browser keeps it: its bytes stay on the disk until they are shown. */
export const keptAssetSchema = z.object({
  id: z.string().max(80),
  mime: z.enum(ASSET_MIMES),
  name: z.string().max(200),
  data: z.custom<Blob>((v) => v instanceof Blob),
});
export type KeptAsset = z.infer<typeof keptAssetSchema>;

export const keptAsset = ({ data, ...head }: Asset): KeptAsset => ({
  ...head,
  data: new Blob([data as BlobPart], { type: head.mime }),
});

export const assetOfKept = async ({ data, ...head }: KeptAsset): Promise<Asset> => ({
  ...head,
  data: new Uint8Array(await data.arrayBuffer()),
});

/** The records of a workspace that are in memory, with their assets as the browser keeps them. */
export type KeptRecord<C extends CollectionName> = C extends 'assets' ? KeptAsset : RecordOf<C>;
export type KeptDoc = { readonly [C in CollectionName]: Readonly<Record<string, KeptRecord<C>>> };
