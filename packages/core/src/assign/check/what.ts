import { itemsOf } from '../../activity/activity';
import type { Id } from '../../activity/block';
import { isChoice } from '../../activity/blocks';
import { safeAddress } from '../../activity/blocks/link';
import { chainOf, latest, versionOf } from '../../activity/family';
import { givesAway } from '../../adjust/judging';
import { type PersonalFields, personalFieldsIn, saidOtherwise } from '../../adjust/personal-fields';
import type { Adjustment } from '../../adjust/registry';
import { derive } from '../../derive/derive';
import { type Learner, personalValues } from '../../learners/learner';
import { classOf } from '../../learners/people';
import { asSentence } from '../../spaces';
import { numbersSaid } from '../../verdict/reveal';
import { pendingUpkeep } from '../../upkeep/resolve';
import { waits } from '../../upkeep/upkeep';
import { waysToGive } from '../ways';
import { checkContent } from './content';
import { type CheckContext, type Finding, finding, named } from './finding';
import { counted } from '../../counted';

/** Of two numbers and more in a question one may be the answer, and does not say so. */
const isCalculation = (prompt: string): boolean => numbersSaid(prompt).length > 1;

const isFill = (a: Adjustment): a is PersonalFields => a.kind === 'personal-fields' && !a.off;

/** What is given, version by version: that there is something, that it says nothing it should not, that it is up to date. */
export function checkWhat({ handOut, family, people, audience, now }: CheckContext): Finding[] {
  if (handOut.kind !== 'work') return [];
  if (!family)
    return [
      finding(
        'mend',
        'no-activity',
        'keeping',
        'Its activity was removed',
        'It waits under Keeping, and can be put back. Until then there is nothing to give.',
      ),
    ];
  const out: Finding[] = [];
  const holders = new Map<Id | null, Learner[]>();
  const give = (versionId: Id | null, l: Learner) => holders.set(versionId, [...(holders.get(versionId) ?? []), l]);
  if (handOut.way === 'per-group')
    for (const t of handOut.teams) for (const l of audience) if (t.learnerIds.includes(l.id)) give(t.versionId, l);
  if (handOut.way !== 'per-group') {
    const byId = new Map(audience.map((l) => [l.id, l]));
    for (const { learnerId, versionId, parts = [] } of handOut.lines) {
      const l = byId.get(learnerId);
      for (const id of [versionId, ...parts.map((p) => p.versionId)])
        if (l && !holders.get(id)?.includes(l)) give(id, l);
    }
  }
  const defined = new Set(people.learners.flatMap((l) => Object.keys(l.fields)));
  const waiting = new Set(
    pendingUpkeep(family)
      .entries.filter(waits)
      .map((e) => e.versionId),
  );
  for (const [versionId, learners] of holders) {
    const version = versionId === null ? undefined : versionOf(family, versionId);
    if (versionId !== null && !version) continue;
    const name = version?.name ?? 'Master';
    const of = { learners, versionId };
    if (version && waiting.has(version.id))
      out.push(
        finding(
          'confirm',
          'behind',
          'upkeep',
          `${name} is behind its master`,
          `The master is at revision ${latest(family).n}; a decision waits.`,
          { ...of, about: `${latest(family).n}` },
        ),
      );
    const { content } = derive(family, versionId);
    const items = itemsOf(content);
    const shown = content.pages.some((p) => p.blocks.some((b) => b.audience === 'learner'));
    if (!shown) out.push(finding('mend', 'empty', 'bench', `${name} is empty`, 'A learner would see nothing.', of));
    if (handOut.way !== 'to-read' && shown && items.length === 0)
      out.push(
        finding(
          'confirm',
          'nothing-to-answer',
          'how',
          `${name} asks for nothing`,
          'Should it be given to read instead?',
          of,
        ),
      );
    if (handOut.way === 'to-read' && items.length > 0)
      out.push(
        finding(
          'confirm',
          'to-read-with-items',
          'how',
          `${name} has ${items.length} questions`,
          'Given to read, nobody can answer them.',
          of,
        ),
      );
    const told = items.filter((i) =>
      givesAway(isCalculation(i.prompt) ? (i.hint ?? '') : `${i.prompt} ${i.hint ?? ''}`, i, ''),
    );
    if (told[0])
      out.push(
        finding(
          'confirm',
          'answers-shown',
          'bench',
          counted(told.length, 'A question says its own answer', '{n} questions say their own answer'),
          `In ${name}: “${told[0].prompt.slice(0, 60)}”.`,
          { ...of, about: told.map((i) => i.id).join(',') },
        ),
      );
    const blank = items.filter(
      (i) => isChoice(i) && i.options.some((o) => o.text.trim() === '' && !('assetId' in o && o.assetId)),
    );
    if (blank[0])
      out.push(
        finding(
          'mend',
          'empty-choice',
          'bench',
          counted(blank.length, 'A choice is empty', '{n} questions have an empty choice'),
          `In ${name}: “${blank[0].prompt.slice(0, 60)}”. Write it, or leave it out.`,
          of,
        ),
      );
    out.push(...checkContent({ family, versionId, name, learners, handOut, now }));
    const asked = personalFieldsIn(content, [...defined]);
    if (asked.length === 0) continue;
    const fills = (versionId === null ? [] : chainOf(family, versionId)).flatMap((v) => v.adjustments).filter(isFill);
    for (const field of asked) {
      const holes = learners.filter(
        (l) => !fills.some((f) => f.otherwise[field]) && !personalValues(l, classOf(l.id, people), now)[field],
      );
      if (holes.length)
        out.push(
          finding(
            'confirm',
            'unfilled',
            'card',
            `[${field}] is not known for ${holes.length === 1 ? holes[0]?.name : `${holes.length} learners`}`,
            `${asSentence(`${name} says “${saidOtherwise(field)}” to ${named(holes)}`)} Write it on the needs card to say it better.`,
            { learners: holes, versionId, about: field },
          ),
        );
    }
  }
  return out;
}

/** How it is given, whether that suits what is given, and what goes with it. */
export function checkHow({ handOut, family, people, audience, others }: CheckContext): Finding[] {
  const out: Finding[] = [];
  if (handOut.kind === 'work' && family && handOut.way === 'place-each') {
    const pages = latest(family).content.pages.map((p) => p.id);
    const chosen = handOut.place?.pageIds.filter((id) => pages.includes(id)) ?? [];
    if (chosen.length === 0)
      out.push(
        finding(
          'mend',
          'no-place',
          'places',
          'No page is each learner’s own yet',
          'Choose which pages are made anew for everyone.',
        ),
      );
  }
  if (handOut.kind !== 'work' && !handOut.note.trim() && handOut.companions.length === 0)
    out.push(
      finding(
        'mend',
        'nothing-in-it',
        'what',
        'There is nothing in it yet',
        handOut.kind === 'notice' ? 'Write what it says.' : 'Add a document.',
      ),
    );
  const seen = new Map<string, string>();
  if (family && handOut.kind === 'work' && audience.length && !['one-each', 'to-read'].includes(handOut.way)) {
    const why = waysToGive(handOut, family, people).find((x) => x.way === handOut.way)?.why;
    if (why)
      out.push(
        finding('mend', 'way-unfit', 'how', 'This way to give does not suit it', why, {
          about: `${handOut.way} ${why}`,
        }),
      );
  }
  for (const c of handOut.companions) {
    if (c.is !== 'link') continue;
    const address = safeAddress(c.address);
    if (!address)
      out.push(
        finding(
          'mend',
          'wrong-link',
          'what',
          `“${c.title}” leads nowhere`,
          `${c.address.slice(0, 60)} is no address of the web. Paste it anew.`,
          { about: c.id },
        ),
      );
    else if (seen.has(address.href))
      out.push(
        finding(
          'confirm',
          'same-link',
          'what',
          `“${c.title}” and “${seen.get(address.href)}” lead to the same page`,
          `${address.host}. Is one of them meant for another?`,
          { about: c.id },
        ),
      );
    else seen.set(address.href, c.title);
  }
  const inIt = new Set(audience.map((l) => l.id));
  const twins = others.filter(
    (o) => o.id !== handOut.id && sameTitle(o.title, handOut.title) && o.learnerIds.some((id) => inIt.has(id)),
  );
  if (twins.length)
    out.push(
      finding(
        'mend',
        'same-title',
        'title',
        `They have “${handOut.title}” already`,
        'Two pieces of work of one name cannot be told apart at the desk. Call this one something else.',
        { about: handOut.title },
      ),
    );
  return out;
}

const sameTitle = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();
