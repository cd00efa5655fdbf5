import { type Answer, COLLECTIONS, type Copy, indexOf, type Learner, type Workspace } from '@lorvet/core';
import { demoWorkspace } from '@lorvet/core/demo';
import { MemoryBoxes } from '../platform/storage/boxes';
import { fillWith } from '../platform/storage/filling';
import { Generation } from '../platform/storage/generation';
import { keptAsset, type KeptDoc } from '../platform/storage/kept-asset';
import type { Opened } from '../platform/storage/opening';
import type { Wrapped } from '../platform/storage/record-places';
import { writeGenerations } from '../platform/storage/root';
import { LearnersActions } from '../store/actions';

export const DEMO_DAY = Date.UTC(2026, 10, 24, 9);
export const GENERATION = 'demo';
export const demo = demoWorkspace(DEMO_DAY);
export const jory = demo.learners['l-jory'] as Learner;
export const kerra = demo.copies['h-survey.l-kerra'] as Copy;

/** Jory under another name. */
export const renamed = (name: string) =>
  LearnersActions.learnerSaved({ learner: { ...jory, name }, classIds: ['c-heron'], groupIds: [], label: 'x' });
export const textAnswer = (text: string): Answer => ({ kind: 'text', text });
/** A moment in which what waits gets on. */
export const rest = () => new Promise((done) => setTimeout(done, 5));

/** Storage with a workspace in it, as a browser would have it. */
export async function boxesWith(workspace: Workspace): Promise<MemoryBoxes> {
  const boxes = new MemoryBoxes();
  const generation = new Generation(boxes, GENERATION);
  await fillWith(generation, workspace);
  await generation.finish();
  await writeGenerations(boxes, { current: GENERATION, earlier: [] });
  return boxes;
}

let demoBoxes: Promise<MemoryBoxes> | undefined;
/** Storage with the demo in it: filled once, then copied. */
export async function boxesWithDemo(): Promise<MemoryBoxes> {
  demoBoxes ??= boxesWith(demo);
  return (await demoBoxes).copy();
}

/** What is kept under a key of the demo. */
export const dataOf = async (boxes: MemoryBoxes, box: 'heads' | 'bodies', key: string) =>
  ((await boxes.of(GENERATION, box).get(key)) as Wrapped | undefined)?.data;

/** A workspace as it would be with all of it in memory. */
export function allOpened(workspace: Workspace): Opened {
  const assets = Object.fromEntries(Object.entries(workspace.assets).map(([id, a]) => [id, keptAsset(a)]));
  return { doc: { ...workspace, assets } as KeptDoc, index: indexOf(workspace), toMend: [] };
}

/** Every record of a workspace, by kind. */
export const allKeys = (workspace: Workspace) =>
  COLLECTIONS.map((kind) => ({ kind, ids: Object.keys(workspace[kind]) }));
