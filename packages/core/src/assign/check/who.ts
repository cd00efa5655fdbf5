import type { Id } from '../../activity/block';
import { chainOf, versionOf } from '../../activity/family';
import { asSentence } from '../../spaces';
import { type CheckContext, type Finding, finding, named } from './finding';
import { counted } from '../../counted';

/** Nobody without a version, nobody with two, nobody with what was made for somebody else. */
export function checkWho({ handOut, family, people, audience }: CheckContext): Finding[] {
  const out: Finding[] = [];
  if (audience.length === 0)
    out.push(finding('mend', 'nobody', 'who', 'It is for nobody yet', 'Choose a class, a group or single learners.'));
  out.push(...overlaps());
  if (!family || handOut.kind !== 'work') return out;
  if (handOut.way === 'per-group') return [...out, ...checkTeams()];
  const linesBy = new Map<Id, (Id | null)[]>();
  for (const l of handOut.lines) linesBy.set(l.learnerId, [...(linesBy.get(l.learnerId) ?? []), l.versionId]);
  const linesOf = (id: Id) => linesBy.get(id) ?? [];
  const partsBy = new Map(handOut.lines.map((l) => [l.learnerId, (l.parts ?? []).map((p) => p.versionId)]));
  /** All versions of which a learner gets something. */
  const allOf = (id: Id) => [...linesOf(id), ...(partsBy.get(id) ?? [])];
  const versionName = (id: Id | null) =>
    id === null ? 'Master' : (versionOf(family, id)?.name ?? 'A removed version');
  const without = audience.filter((l) => linesOf(l.id).length === 0);
  if (without.length)
    out.push(
      finding(
        'mend',
        'none',
        'suggestions',
        counted(without.length, '{name} has no version', '{n} learners have no version', {
          name: without[0]?.name ?? '',
        }),
        without.length === 1 ? 'Choose one in their row.' : asSentence(named(without)),
        { learners: without },
      ),
    );
  for (const l of audience.filter((x) => linesOf(x.id).length > 1))
    out.push(
      finding(
        'mend',
        'twice',
        'row',
        `${l.name} would get two versions`,
        `${linesOf(l.id).map(versionName).join(' and ')}. Take one of them away.`,
        { learners: [l], about: l.id },
      ),
    );
  const gone = new Set(
    handOut.lines
      .filter((l) => [l, ...(l.parts ?? [])].some((x) => x.versionId !== null && !versionOf(family, x.versionId)))
      .map((l) => l.learnerId),
  );
  if (gone.size)
    out.push(
      finding(
        'mend',
        'outside',
        'row',
        'A version that was removed is still in the plan',
        'Choose another version for these learners.',
        { learners: audience.filter((l) => gone.has(l.id)) },
      ),
    );
  // Also where it is made on a version that was: the words of that one stand in it.
  const owners = new Map<Id, Id | undefined>();
  const ownerOf = (versionId: Id, id: Id): Id | undefined => {
    if (!owners.has(versionId)) owners.set(versionId, chainOf(family, versionId).find((v) => v.learnerId)?.learnerId);
    const owner = owners.get(versionId);
    return owner === id ? chainOf(family, versionId).find((v) => v.learnerId && v.learnerId !== id)?.learnerId : owner;
  };
  for (const l of audience)
    for (const versionId of new Set(allOf(l.id))) {
      const owner = versionId !== null && versionOf(family, versionId) ? ownerOf(versionId, l.id) : undefined;
      if (!owner) continue;
      const whose = people.learners.find((x) => x.id === owner)?.name ?? 'another learner';
      out.push(
        finding(
          'mend',
          'for-another',
          'row',
          `${versionName(versionId)} was made for ${whose}`,
          asSentence(`${l.name} would get it. Choose another version for ${l.name}`),
          { learners: [l], versionId, about: l.id },
        ),
      );
    }
  const used = new Set(audience.flatMap((l) => allOf(l.id)));
  const unused = family.versions.filter((v) => !v.learnerId && !used.has(v.id));
  if (unused.length && audience.length)
    out.push(
      finding(
        'note',
        'unused',
        'all',
        unused.length === 1 ? `${unused[0]?.name} is given to nobody` : `${unused.length} versions are given to nobody`,
        unused.length === 1
          ? 'Give it to somebody, or leave it as it is.'
          : asSentence(unused.map((v) => v.name).join(', ')),
        { about: unused.map((v) => v.id).join(',') },
      ),
    );
  return out;

  function overlaps(): Finding[] {
    const groups = people.groups
      .filter((g) => handOut.groupIds.includes(g.id))
      .map((g) => ({ ...g, ids: new Set(g.learnerIds) }));
    return groups.flatMap((g, i) =>
      groups.slice(i + 1).flatMap((other) => {
        const both = audience.filter((l) => g.ids.has(l.id) && other.ids.has(l.id));
        if (both.length === 0) return [];
        return [
          finding(
            'confirm',
            'overlap',
            'who',
            `“${g.name}” and “${other.name}” overlap`,
            counted(both.length, '{names} is in both.', '{names} are in both.', { names: named(both) }),
            { learners: both, about: `${g.id} ${other.id}` },
          ),
        ];
      }),
    );
  }

  /** Of those who work in groups: nobody in none, nobody in two. */
  function checkTeams(): Finding[] {
    const found: Finding[] = [];
    const count = new Map<Id, number>();
    for (const t of handOut.teams) for (const id of t.learnerIds) count.set(id, (count.get(id) ?? 0) + 1);
    const loose = audience.filter((l) => !count.has(l.id));
    const twice = audience.filter((l) => (count.get(l.id) ?? 0) > 1);
    if (loose.length)
      found.push(
        finding(
          'mend',
          'no-group',
          'teams',
          loose.length === 1 ? `${loose[0]?.name} is in no group` : `${loose.length} learners are in no group`,
          asSentence(named(loose)),
          { learners: loose },
        ),
      );
    for (const l of twice)
      found.push(
        finding(
          'mend',
          'two-groups',
          'teams',
          `${l.name} is in two groups`,
          `${handOut.teams
            .filter((t) => t.learnerIds.includes(l.id))
            .map((t) => t.name)
            .join(' and ')}. Take them out of one.`,
          { learners: [l], about: l.id },
        ),
      );
    const empty = handOut.teams.filter((t) => t.learnerIds.length === 0);
    if (empty.length)
      found.push(
        finding(
          'mend',
          'empty-group',
          'teams',
          `${empty.map((t) => t.name).join(', ')}: nobody is in it`,
          'Put somebody in, or take the group away.',
        ),
      );
    return found;
  }
}
