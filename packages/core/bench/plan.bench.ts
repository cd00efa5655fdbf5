import { writeFileSync } from 'node:fs';
import { type Family, type Learner, newHandOut, swatchFrom, type Version, writeBackup } from '../src/index';
import { demoWorkspace } from '../src/demo/index';

/** Writes a backup with a plan for 400 learners in 20 classes of an activity with 12 versions: the file's name is the first argument. */
const w = demoWorkspace(Date.UTC(2026, 0, 1));
const some = Object.values(w.learners);
const learners: Record<string, Learner> = {};
for (let i = 0; i < 400; i++) {
  const id = `many-${i}`;
  learners[id] = { ...(some[i % some.length] as Learner), id, name: `Learner ${i}` };
}
const ids = Object.keys(learners);
const classes = Object.fromEntries(
  Array.from({ length: 20 }, (_, c) => {
    const id = `class-${c}`;
    return [id, { id, name: `Class ${c}`, rosterId: '', learnerIds: ids.slice(c * 20, c * 20 + 20) }];
  }),
);
const family = w.families['puncture'] as Family;
const versions: Version[] = [...family.versions];
while (versions.length < 12) {
  const n = versions.length;
  const from = family.versions[n % family.versions.length] as Version;
  const adjustments = from.adjustments.map((a) => ({ ...a, id: `${a.id}-${n}` }));
  const swatch = swatchFrom(
    `more-${n}`,
    versions.map((v) => v.swatch),
  );
  versions.push({ ...from, id: `more-${n}`, name: `Version ${n}`, swatch, adjustments });
}
const handOut = {
  ...newHandOut({ id: 'many', familyId: 'puncture', title: 'For many', createdAt: '2026-01-01T00:00:00.000Z' }),
  classIds: Object.keys(classes),
};
const workspace = {
  ...w,
  learners: { ...w.learners, ...learners },
  classes: { ...w.classes, ...classes },
  families: { ...w.families, puncture: { ...family, versions } },
  handOuts: { ...w.handOuts, many: handOut },
};
const [, , name = 'plan.zip'] = process.argv;
writeFileSync(name, writeBackup(workspace, '2026-01-01T00:00:00.000Z'));
