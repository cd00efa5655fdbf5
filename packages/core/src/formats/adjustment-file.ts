import { z } from '../zod';
import { type Family, latest, versionOf } from '../activity/family';
import { forOthers } from '../adjust/for-others';
import { type Adjustment, adjustmentSchema } from '../adjust/registry';
import { assetsHeld } from '../bank/assets';
import { namesIn } from '../learners/names';
import type { Asset } from '../workspace';
import { type Pack, readPack, writePack } from './packed';
import { Problem } from './problem';

export const ADJUSTMENT_FILE_FORMAT = 1;

/** Adjustments of one version, for the same activity somewhere else; the titles are for whoever reads the file. */
export interface AdjustmentFile {
  readonly activity: string;
  readonly version: string;
  readonly adjustments: readonly Adjustment[];
}

const PACK: Pack<AdjustmentFile> = {
  kind: 'adjustments',
  format: ADJUSTMENT_FILE_FORMAT,
  schema: z.object({
    activity: z.string().max(200),
    version: z.string().max(120),
    adjustments: z.array(adjustmentSchema).max(2000),
  }),
  what: 'file of adjustments',
  holds: 'adjustments',
  by: 'Save them to a file',
};

/** A version's own adjustments, without reasons, and the assets they bring; throws where there is no such version. */
export function writeAdjustments(
  family: Family,
  versionId: string,
  assets: Readonly<Record<string, Asset>>,
  at: string,
  names: ReadonlySet<string> = new Set(),
): Uint8Array {
  const version = versionOf(family, versionId);
  if (!version) throw new Problem('This version is not there any more.');
  const adjustments = version.adjustments.map(forOthers);
  const record = {
    activity: latest(family).content.title,
    version:
      version.learnerId || namesIn(version.name, names).length ? `Version ${version.swatch.letter}` : version.name,
    adjustments,
  };
  return writePack(
    PACK,
    record,
    [...new Set(assetsHeld(adjustments))].flatMap((id) => assets[id] ?? []),
    at,
  );
}

/** Reads such a file whole or throws a Problem. Whether the adjustments fit a version, `fitAdjustments` says. */
export function readAdjustments(bytes: Uint8Array): { file: AdjustmentFile; assets: Asset[] } {
  const { record, assets, wrong } = readPack(bytes, PACK);
  const brought = new Set(assets.map((a) => a.id));
  if (assetsHeld(record.adjustments).some((id) => !brought.has(id)) && wrong.length === 0)
    wrong.push('A picture or recording that an adjustment shows is not in the file');
  if (wrong.length)
    throw new Problem('The adjustments in this file cannot be right. Nothing was changed.', wrong.slice(0, 8));
  return { file: { ...record, adjustments: record.adjustments.map(forOthers) }, assets };
}
