import { expose } from 'comlink';
import { HelpsDesk, type HelpsAsked } from '../helps-desk';
import { learnAllRules } from '../storage/all-rules';
import type { Progress } from '../storage/bulk';
import { LocalForageBoxes } from '../storage/localforage-boxes';

learnAllRules();
let desk: HelpsDesk | null = null;

const api = {
  async open(generation: string, progress: Progress): Promise<string[]> {
    desk = new HelpsDesk(new LocalForageBoxes(), generation);
    return await desk.open(progress);
  },
  async figures(asked: HelpsAsked) {
    if (!desk) throw new Error('Nothing was read.');
    return await desk.figures(asked);
  },
  async suggestions(today: string) {
    if (!desk) throw new Error('Nothing was read.');
    return await desk.suggestions(today);
  },
};
export type HelpsApi = typeof api;
expose(api);
