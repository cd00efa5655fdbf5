import { itemsOf } from '../activity/activity';
import type { Id } from '../activity/block';
import { chainOf, type Family, latest, versionOf } from '../activity/family';
import { type PersonalFields, personalFieldsIn, saidOtherwise } from '../adjust/personal-fields';
import type { Adjustment } from '../adjust/registry';
import { derive } from '../derive/derive';
import { type Learner, personalValues } from '../learners/learner';
import { classOf, type People } from '../learners/people';
import { givesAway } from '../adjust/judging';
import { pendingUpkeep } from '../upkeep/resolve';
import { asSentence } from '../spaces';
import { waits } from '../upkeep/upkeep';
import { recipientsOf } from './recipients';
import type { HandOut } from './hand-out';

/** 'mend' must be put right before giving out; 'confirm' may be as the teacher wants it. */
export interface Check {
  readonly code:
    | 'nobody'
    | 'none'
    | 'twice'
    | 'outside'
    | 'for-another'
    | 'overlap'
    | 'behind'
    | 'due-before-open'
    | 'due-past'
    | 'unused'
    | 'nothing-to-answer'
    | 'answers-shown'
    | 'unfilled'
    | 'to-read-with-items'
    | 'empty';
  readonly level: 'mend' | 'confirm';
  readonly title: string;
  readonly detail: string;
  readonly learnerIds: readonly Id[];
  readonly versionId?: Id | null;
}

const named = (learners: readonly Learner[], most = 4): string =>
  learners.length <= most
    ? learners.map((l) => l.name).join(', ')
    : `${learners
        .slice(0, most)
        .map((l) => l.name)
        .join(', ')} and ${learners.length - most} more`;

const isFill = (a: Adjustment): a is PersonalFields => a.kind === 'personal-fields' && !a.off;

/** Everything that is wrong or unusual about a hand-out. `now` is local, 'yyyy-MM-ddTHH:mm'. */
export function coverage(handOut: HandOut, family: Family, people: People, now: string): Check[] {
  const audience = recipientsOf(handOut, people);
  const inIt = new Set(audience.map((l) => l.id));
  const linesOf = (id: Id) => handOut.lines.filter((l) => l.learnerId === id);
  const checks: Check[] = [];
  const defined = new Set(people.learners.flatMap((l) => Object.keys(l.fields)));
  const say = (
    level: Check['level'],
    code: Check['code'],
    title: string,
    detail: string,
    learners: readonly Learner[] = [],
    versionId?: Id | null,
  ) =>
    checks.push({
      code,
      level,
      title,
      detail,
      learnerIds: learners.map((l) => l.id),
      ...(versionId === undefined ? {} : { versionId }),
    });
  const versionName = (id: Id | null) =>
    id === null ? 'Master' : (versionOf(family, id)?.name ?? 'A removed version');

  if (audience.length === 0)
    say('mend', 'nobody', 'It is for nobody yet', 'Choose a class, a group or single learners.');
  const without = audience.filter((l) => linesOf(l.id).length === 0);
  if (without.length)
    say(
      'mend',
      'none',
      without.length === 1 ? `${without[0]?.name} has no version` : `${without.length} learners have no version`,
      without.length === 1 ? 'Choose one in its row.' : asSentence(named(without)),
      without,
    );
  const doubled = audience.filter((l) => linesOf(l.id).length > 1);
  for (const l of doubled)
    say(
      'mend',
      'twice',
      `${l.name} would get two versions`,
      `${linesOf(l.id)
        .map((x) => versionName(x.versionId))
        .join(' and ')}. Take one of them away.`,
      [l],
    );
  const groups = people.groups.filter((g) => handOut.groupIds.includes(g.id));
  groups.forEach((g, i) =>
    groups.slice(i + 1).forEach((other) => {
      const both = audience.filter((l) => g.learnerIds.includes(l.id) && other.learnerIds.includes(l.id));
      if (both.length)
        say(
          'confirm',
          'overlap',
          `“${g.name}” and “${other.name}” overlap`,
          `${named(both)} ${both.length === 1 ? 'is' : 'are'} in both.`,
          both,
        );
    }),
  );
  const gone = handOut.lines.filter((l) => l.versionId !== null && !versionOf(family, l.versionId));
  if (gone.length)
    say(
      'mend',
      'outside',
      'A version that was removed is still in the plan',
      'Choose another version for these learners.',
      audience.filter((l) => gone.some((g) => g.learnerId === l.id)),
    );
  for (const l of audience)
    for (const { versionId } of linesOf(l.id)) {
      // Also where it is made on a version that was: the words of that one stand in it.
      const own =
        versionId === null ? undefined : chainOf(family, versionId).find((v) => v.learnerId && v.learnerId !== l.id);
      if (!own || !versionOf(family, versionId ?? '')) continue;
      const whose = people.learners.find((x) => x.id === own.learnerId)?.name ?? 'another learner';
      say(
        'mend',
        'for-another',
        `${versionName(versionId)} was made for ${whose}`,
        asSentence(`${l.name} would get it. Choose another version for ${l.name}`),
        [l],
        versionId,
      );
    }
  if (handOut.opensAt && handOut.dueAt && handOut.dueAt <= handOut.opensAt)
    say('mend', 'due-before-open', 'It is due before it opens', 'Move one of the two dates.');
  else if (handOut.dueAt && handOut.dueAt <= now)
    say('mend', 'due-past', 'The due date is in the past', 'Choose a later one, or none.');

  const used = new Set(handOut.lines.filter((l) => inIt.has(l.learnerId)).map((l) => l.versionId));
  const waiting = new Set(
    pendingUpkeep(family)
      .entries.filter(waits)
      .map((e) => e.versionId),
  );
  for (const versionId of used) {
    const version = versionId === null ? undefined : versionOf(family, versionId);
    if (versionId !== null && !version) continue;
    const learners = audience.filter((l) => linesOf(l.id).some((x) => x.versionId === versionId));
    if (version && waiting.has(version.id))
      say(
        'confirm',
        'behind',
        `${version.name} is behind its master`,
        `The master is at revision ${latest(family).n}; a decision waits.`,
        learners,
        versionId,
      );
    const content = derive(family, versionId).content;
    const items = itemsOf(content);
    const shown = content.pages.some((p) => p.blocks.some((b) => b.audience === 'learner'));
    if (!shown)
      say('mend', 'empty', `${versionName(versionId)} is empty`, 'A learner would see nothing.', learners, versionId);
    if (handOut.way === 'one-each' && shown && items.length === 0)
      say(
        'confirm',
        'nothing-to-answer',
        `${versionName(versionId)} asks for nothing`,
        'Should it be given to read instead?',
        learners,
        versionId,
      );
    if (handOut.way === 'to-read' && items.length > 0)
      say(
        'confirm',
        'to-read-with-items',
        `${versionName(versionId)} has ${items.length} questions`,
        'Given to read, nobody can answer them.',
        learners,
        versionId,
      );
    const told = items.filter((i) => givesAway(`${i.prompt} ${i.hint ?? ''}`, i, ''));
    const [first] = told;
    if (first)
      say(
        'confirm',
        'answers-shown',
        told.length === 1 ? 'A question says its own answer' : `${told.length} questions say their own answer`,
        `In ${versionName(versionId)}: “${first.prompt.slice(0, 60)}”.`,
        learners,
        versionId,
      );
    const asked = personalFieldsIn(content, [...defined]);
    if (asked.length > 0) {
      const fills = (versionId === null ? [] : chainOf(family, versionId)).flatMap((v) => v.adjustments).filter(isFill);
      for (const field of asked) {
        const holes = learners.filter(
          (l) => !fills.some((f) => f.otherwise[field]) && !personalValues(l, classOf(l.id, people), now)[field],
        );
        if (holes.length)
          say(
            'confirm',
            'unfilled',
            `[${field}] is not known for ${holes.length === 1 ? holes[0]?.name : `${holes.length} learners`}`,
            `${asSentence(`${versionName(versionId)} says “${saidOtherwise(field)}” to ${named(holes)}`)} Write it on the needs card to say it better.`,
            holes,
            versionId,
          );
      }
    }
  }
  const unused = family.versions.filter((v) => !v.learnerId && !used.has(v.id));
  if (unused.length && audience.length)
    say(
      'confirm',
      'unused',
      unused.length === 1 ? `${unused[0]?.name} is given to nobody` : `${unused.length} versions are given to nobody`,
      unused.length === 1
        ? 'Give it to somebody, or leave it as it is.'
        : asSentence(unused.map((v) => v.name).join(', ')),
    );
  return checks;
}
