import { type Alike, gatherAlike, type Gathered } from '@lorvet/core/marking';
import { expose } from 'comlink';

const api = {
  gather: (given: readonly Gathered[]): Alike[] => gatherAlike(given),
};

export type MarkingApi = typeof api;
expose(api);
