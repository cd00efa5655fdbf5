import {
  assetsOf,
  type BlockWay,
  frozenIdsOf,
  ifChanged,
  latest,
  wayOf,
  wordsOf,
  type WouldFollow,
} from '@lorvet/core/evidence';
import type { Boxes } from './storage/boxes';
import { EvidenceSource } from './storage/evidence-source';

/** The whole way of a block, with what would follow of a change to it. */
export interface WholeWay {
  readonly way: BlockWay;
  /** Null where a version added it: there it is changed in the version. */
  readonly follow: WouldFollow | null;
  /** Plans that are not given out yet, with the versions they would give. */
  readonly plans: readonly {
    readonly id: string;
    readonly title: string;
    readonly versionIds: readonly (string | null)[];
  }[];
}

/** A sheet that was found by its code. */
export interface FoundSheet {
  readonly familyId: string;
  readonly handOutId: string;
  readonly title: string;
  readonly versionName: string;
  readonly learnerIds: readonly string[];
  /** Its blocks, in order. */
  readonly blockIds: readonly string[];
}

/** Where else a picture is shown. */
export interface PicturePlace {
  readonly familyId: string;
  readonly title: string;
  readonly blockId: string;
  readonly words: string;
}

/** A code is at least as long; shorter ones fit too many sheets. */
export const SHORTEST_CODE = 8;
const MOST_PLACES = 60;

/** Follows what is kept: each question reads what it needs, and nothing of it stays. */
export class WayDesk {
  private constructor(private readonly source: EvidenceSource) {}

  static async open(boxes: Boxes, generation: string): Promise<WayDesk> {
    const source = new EvidenceSource(boxes, generation);
    await source.open();
    return new WayDesk(source);
  }

  async way(familyId: string, blockId: string): Promise<WholeWay | null> {
    const family = await this.source.familyOf(familyId);
    if (!family) return null;
    const way = wayOf(family, blockId, await this.source.givenOf(familyId));
    if (!way) return null;
    const plans = (await this.source.plansOf(familyId)).map((h) => ({
      ...{ id: h.id, title: h.title },
      versionIds: [
        ...new Set(
          [...h.lines.flatMap((l) => [l, ...(l.parts ?? [])]), ...h.rules, ...h.teams].map((x) => x.versionId),
        ),
      ],
    }));
    return { way, follow: ifChanged(family, blockId) ?? null, plans };
  }

  /** The sheet whose code begins so; null where there is none. */
  async sheet(code: string): Promise<FoundSheet | null> {
    const sought = code.toLowerCase().replace(/[^0-9a-f]/g, '');
    if (sought.length < SHORTEST_CODE) return null;
    for await (const handOut of this.source.given()) {
      const address = frozenIdsOf(handOut).find((f) => f.startsWith(sought));
      const frozen = address && (await this.source.frozenOf(address));
      if (!frozen) continue;
      return {
        ...{ familyId: handOut.familyId, handOutId: handOut.id, title: handOut.title },
        versionName: frozen.versionName,
        learnerIds: Object.entries(handOut.given).flatMap(([id, g]) =>
          [g, ...(g.earlier ?? [])].some((x) => x.frozen === address) ? [id] : [],
        ),
        blockIds: frozen.content.pages.flatMap((p) => p.blocks.map((b) => b.id)),
      };
    }
    return null;
  }

  /** Blocks of all masters that show a picture, or play a recording. */
  async picture(assetId: string): Promise<PicturePlace[]> {
    const out: PicturePlace[] = [];
    for await (const family of this.source.allFamilies()) {
      const { content } = latest(family);
      if (!assetsOf(content).has(assetId)) continue;
      for (const b of content.pages.flatMap((p) => p.blocks)) {
        if (!JSON.stringify(b).includes(assetId)) continue;
        const words = wordsOf(b)[0]?.text ?? '';
        out.push({ familyId: family.id, title: content.title, blockId: b.id, words });
        if (out.length >= MOST_PLACES) return out;
      }
    }
    return out;
  }
}
