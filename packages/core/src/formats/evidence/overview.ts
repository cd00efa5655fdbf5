import type { Adjusted, Evidence } from '../../evidence/evidence';
import { counted } from '../../counted';
import type { PrintedDocument } from './document';
import { type DossierOptions, heading, periodSaid, small, words } from './dossier';

/** A class at a glance: for each learner what was given, adjusted, used, and what lacked. */
export function overview(
  all: readonly Evidence[],
  of: { readonly name: string; readonly options: DossierOptions },
): PrintedDocument {
  const { options: o } = of;
  const [first] = all;
  const title = `What was adjusted in ${of.name}`;
  const lacking = all.flatMap((e) =>
    e.supports
      .filter((s) => s.lacking.length)
      .map((s) => [e.learner.name, s.what, s.lacking.map((l) => l.title).join(', ')]),
  );
  const supports = [...new Set(all.flatMap((e) => e.supports.map((s) => s.what)))].sort();
  return {
    ...{ language: 'en', title, foot: title },
    parts: [
      { is: 'title', text: title },
      small(first ? periodSaid(first, o) : ''),
      words(counted(all.length, '1 learner.', '{n} learners.')),
      { is: 'contents', text: 'Contents' },
      heading(1, 'Learners'),
      {
        is: 'table',
        says: 'Adjustments by learner',
        head: ['Learner', 'Works', 'Adjustments', 'Accom.', 'Modif.', 'Add.', 'To judge', 'Right', 'Supports lacking'],
        rows: all.map((e) => overviewRow(e)),
      },
      heading(1, 'Agreed supports that lacked'),
      lacking.length
        ? { is: 'table', says: 'Supports that lacked', head: ['Learner', 'Support', 'Not in'], rows: lacking }
        : words('Every agreed support that can be told was given each time.'),
      heading(1, 'By agreed support'),
      {
        is: 'facts',
        facts: supports.map((what) => [
          what,
          all
            .flatMap((e) => e.supports.filter((s) => s.what === what).map((s) => ({ e, s })))
            .map(
              ({ e, s }) =>
                `${e.learner.name} (${s.canTell ? `${s.given.length} of ${s.given.length + s.lacking.length}` : 'cannot be told'})`,
            )
            .join(', '),
        ]),
      },
    ],
  };
}

function overviewRow(e: Evidence): string[] {
  const all = e.works.flatMap((w) => w.adjustments);
  const are = (what: Adjusted['countsAs']) => `${all.filter((a) => a.countsAs === what).length}`;
  const goes = e.works.flatMap((w) => w.goes.at(-1) ?? []);
  const [right, of] = [goes.reduce((n, g) => n + g.right, 0), goes.reduce((n, g) => n + g.of, 0)];
  return [
    ...[e.learner.name, `${e.works.length}`, `${all.length}`],
    ...[are('accommodation'), are('modification'), are('addition'), are('to judge')],
    ...[of ? `${right} of ${of}` : '', `${e.supports.filter((s) => s.lacking.length).length}`],
  ];
}
