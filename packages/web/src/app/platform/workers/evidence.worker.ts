import { filesAsZip } from '@lorvet/core/evidence';
import { expose, transfer } from 'comlink';
import { EvidenceDesk, type EvidenceOrder } from '../evidence-desk';
import { learnAllRules } from '../storage/all-rules';
import { LocalForageBoxes } from '../storage/localforage-boxes';
import { WayDesk } from '../way-desk';
import type { Progress } from '../storage/bulk';

learnAllRules();
const boxes = new LocalForageBoxes();
let desk: EvidenceDesk | null = null;

const api = {
  /** Evidence of one learner as it is, without what the teacher added. */
  one: (generation: string, learnerId: string, period: EvidenceOrder['period'], at: string) =>
    EvidenceDesk.one(boxes, generation, learnerId, period, at),
  /** Follows what is kept. */
  way: async (generation: string, familyId: string, blockId: string) =>
    await (await WayDesk.open(boxes, generation)).way(familyId, blockId),
  sheet: async (generation: string, code: string) => await (await WayDesk.open(boxes, generation)).sheet(code),
  picture: async (generation: string, assetId: string) =>
    await (await WayDesk.open(boxes, generation)).picture(assetId),
  /** Gathers what an order is about; gives how many learners it holds. */
  async take(generation: string, order: EvidenceOrder, at: string, progress: Progress): Promise<number> {
    desk = new EvidenceDesk(boxes, generation, order, at);
    return await desk.gather(progress);
  },
  /** One document of the order, as bytes of JSON: it goes on to who prints it without being looked at on the way. */
  async document(i: number): Promise<Uint8Array> {
    const bytes = new TextEncoder().encode(JSON.stringify(await need().document(i)));
    return transfer(bytes, [bytes.buffer]);
  },
  async overview(): Promise<Uint8Array> {
    const bytes = new TextEncoder().encode(JSON.stringify(await need().overview()));
    return transfer(bytes, [bytes.buffer]);
  },
  pictures: (i: number) => need().pictures(i),
  fileName: (i: number) => need().fileName(i),
  csv: () => need().csv(),
  json: (i: number) => need().json(i),
  /** Made a file here: on the page its bytes would be copied, which is felt. */
  zip(files: readonly { readonly name: string; readonly bytes: Uint8Array }[]): Blob {
    return new Blob([filesAsZip(files) as BlobPart], { type: 'application/zip' });
  },
};

function need(): EvidenceDesk {
  if (!desk) throw new Error('No order was taken.');
  return desk;
}

export type EvidenceApi = typeof api;
expose(api);
