import {
  assetsHeld,
  assetsOfFamily,
  type BlockWay,
  type Content,
  derive,
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
  /** Where its master does not show it: in which version, or in which hand-out it was given. */
  readonly only: string;
  readonly versionId?: string;
  readonly handOutId?: string;
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

  /** Parts of masters, of versions and of sheets that were given that show a picture, or play a recording. */
  async picture(assetId: string): Promise<PicturePlace[]> {
    const places = new Map<string, PicturePlace>();
    const add = (content: Content, of: Omit<PicturePlace, 'blockId' | 'words'>) => {
      for (const { id, words } of partsWith(content, assetId)) {
        const key = `${of.familyId} ${id}`;
        if (!places.has(key) && places.size < MOST_PLACES) places.set(key, { ...of, blockId: id, words });
      }
    };
    for await (const family of this.source.allFamilies()) {
      if (!assetsOfFamily(family).has(assetId)) continue;
      const { content } = latest(family);
      const of = { familyId: family.id, title: content.title };
      add(content, { ...of, only: '' });
      for (const v of family.versions)
        add(derive(family, v.id).content, { ...of, only: `in ${v.name}`, versionId: v.id });
    }
    for await (const handOut of this.source.given()) {
      if (!this.source.isHere(handOut.familyId)) continue;
      for (const address of frozenIdsOf(handOut)) {
        const frozen = await this.source.frozenOf(address);
        if (!frozen) continue;
        const of = { familyId: handOut.familyId, title: frozen.content.title, handOutId: handOut.id };
        add(frozen.content, { ...of, only: `as given in “${handOut.title}”` });
      }
    }
    return [...places.values()];
  }
}

/** A page that is laid over the picture counts with its first part. */
const partsWith = (content: Content, assetId: string): { readonly id: string; readonly words: string }[] =>
  content.pages.flatMap((p) =>
    p.blocks
      .filter((b, i) => assetsHeld(b).includes(assetId) || (i === 0 && p.fixed?.assetId === assetId))
      .map((b) => ({ id: b.id, words: wordsOf(b)[0]?.text ?? '' })),
  );
