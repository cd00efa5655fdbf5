import type { Content } from '../activity/activity';
import { type Family, latest, versionOf } from '../activity/family';
import { type InPlace, recordInPlace } from '../adjust/record';
import type { Adjustment } from '../adjust/registry';
import { demoWorkspace } from '../demo/index';
import { stamp } from './random-family';

export const demo = demoWorkspace(Date.UTC(2026, 10, 24));
/** The demo’s survey: its core version is the one that things are done to. */
export const pool = demo.families['rock-pool'] as Family;
export const content = latest(pool).content;
export const page = (id: string, c: Content = content) => {
  const found = c.pages.find((p) => p.id === id);
  if (!found) throw new Error(`no page ${id}`);
  return found;
};

/** The demo's core version with something done to it in place. */
export function act(done: InPlace, family: Family = pool, id = 'rp-core'): Family {
  const changed = recordInPlace(family, id, done, stamp);
  return { ...family, versions: family.versions.map((v) => (v.id === id ? changed : v)) };
}
export const list = (f: Family, id = 'rp-core') => versionOf(f, id)?.adjustments ?? [];
export const newest = (f: Family): Adjustment => list(f).at(-1) as Adjustment;
