import type { Results } from './results';

/* Experience API 1.0.3 (ADL): statements as a file, to be taken in by whatever keeps them. */
const VERB = 'http://adlnet.gov/expapi/verbs/';
const OWN = 'urn:lorvet:';

/** Where statements come from, and when they were written (ISO instant). `uuid` gives their ids. */
export interface StatementsFrom {
  readonly school: string;
  readonly now: string;
  readonly uuid: () => string;
}

/** One statement for each answer that was given and one for each piece of work that is complete. Actors go by id, not by name. */
export function statementsOf({ handOut, works }: Results, { now, uuid, school }: StatementsFrom): object[] {
  const work = {
    id: `${OWN}hand-out:${handOut.id}`,
    objectType: 'Activity',
    definition: { name: { en: handOut.title } },
  };
  return works.flatMap((w) => {
    const base = {
      actor: {
        objectType: 'Agent',
        account: { homePage: `${OWN}school:${encodeURIComponent(school)}`, name: w.learner.rosterId || w.learner.id },
      },
      stored: now,
    };
    const context = {
      contextActivities: { parent: [{ id: work.id, objectType: 'Activity' }] },
      extensions: {
        [`${OWN}version`]: w.version,
        [`${OWN}revision`]: w.revision,
        [`${OWN}sheet`]: w.sheet,
        [`${OWN}go`]: w.go,
      },
    };
    const scored = (points: number, outOf: number) =>
      outOf > 0 ? { score: { raw: points, min: 0, max: outOf, scaled: Math.round((1e4 * points) / outOf) / 1e4 } } : {};
    const answered = w.items
      .filter((i) => i.verdict !== 'empty')
      .map((i) => ({
        ...base,
        id: uuid(),
        verb: { id: `${VERB}answered`, display: { en: 'answered' } },
        timestamp: w.submittedAt || now,
        object: {
          id: `${OWN}item:${i.itemId}`,
          objectType: 'Activity',
          definition: { name: { en: i.shared }, type: 'http://adlnet.gov/expapi/activities/question' },
        },
        result: {
          response: i.answer,
          ...(i.verdict === 'yours' ? {} : { success: i.verdict === 'right', ...scored(i.points, i.outOf) }),
        },
        context: {
          ...context,
          extensions: {
            ...context.extensions,
            [`${OWN}key`]: i.key,
            [`${OWN}accepted`]: i.accepted,
            [`${OWN}marked-by`]: i.by,
            [`${OWN}why`]: i.why,
          },
        },
      }));
    const done =
      w.state === 'complete'
        ? [
            {
              ...base,
              id: uuid(),
              verb: { id: `${VERB}completed`, display: { en: 'completed' } },
              timestamp: w.decidedAt || now,
              object: work,
              result: { completion: true, ...(w.total.open ? {} : scored(w.total.points, w.total.outOf)) },
              context: { extensions: context.extensions },
            },
          ]
        : [];
    return [...answered, ...done];
  });
}
