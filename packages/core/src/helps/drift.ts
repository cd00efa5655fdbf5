import type { Id } from '../activity/block';
import { isItem } from '../activity/blocks';
import { type Family, versionTree } from '../activity/family';
import { compareVersions } from '../derive/compare';
import { classify } from '../verdict/classify';

/** How far a version has gone from its master: blocks of the master by what became of them. */
export interface Drift {
  readonly versionId: Id;
  readonly name: string;
  readonly same: number;
  readonly changed: number;
  readonly leftOut: number;
  readonly added: number;
  /** Questions of the master that it still asks, of all. */
  readonly asks: number;
  readonly of: number;
  /** What it counts as as a whole. */
  readonly counts: ReturnType<typeof classify>['judgement'];
}

/** Every version of a family, in the order of the tree. */
export function driftOf(family: Family): Drift[] {
  return versionTree(family).map(({ version }) => {
    const rows = compareVersions(family, null, version.id)
      .flatMap((p) => p.rows)
      .filter((r) => (r.left ?? r.right)?.audience === 'learner');
    const are = (...how: (typeof rows)[number]['how'][]) => rows.filter((r) => how.includes(r.how)).length;
    const items = rows.filter((r) => r.left && isItem(r.left));
    return {
      ...{ versionId: version.id, name: version.name },
      ...{ same: are('same', 'moved'), changed: are('changed'), leftOut: are('left out'), added: are('added') },
      ...{ asks: items.filter((r) => r.right).length, of: items.length },
      counts: classify(family, version.id).judgement,
    };
  });
}
