import { type Content, type Family, FAMILY_FORMAT, type Id, latest, swatchFrom } from '@lorvet/core';

export interface Begun {
  readonly title: string;
  readonly subject: string;
  readonly ages: string;
  readonly objectives: readonly string[];
}

/** A master with one empty page. */
export function newFamily(begun: Begun, at: string, author: string, newId: () => Id): Family {
  const content: Content = {
    title: begun.title,
    subject: begun.subject,
    ages: begun.ages,
    objectives: begun.objectives.map((text) => ({ id: newId(), text })),
    pages: [{ id: newId(), title: 'Page 1', orientation: 'portrait', blocks: [] }],
  };
  const first = { n: 1, at, author, note: 'Begun', content };
  const id = newId();
  return { format: FAMILY_FORMAT, id, createdAt: at, swatch: swatchFrom(id), revisions: [first], versions: [] };
}

/** A family of its own with the same master and versions, and no history and no learner's work. */
export function duplicateFamily(family: Family, at: string, author: string, newId: () => Id): Family {
  const now = latest(family);
  const content = { ...(family.draft ?? now.content), title: `${now.content.title} (copy)` };
  const ids = new Map(family.versions.map((v) => [v.id, newId()]));
  return {
    format: FAMILY_FORMAT,
    id: newId(),
    createdAt: at,
    swatch: family.swatch,
    revisions: [{ n: 1, at, author, note: `Copied from “${now.content.title}”, revision ${now.n}`, content }],
    versions: family.versions.map((v) => ({
      ...v,
      id: ids.get(v.id) ?? newId(),
      basis: v.basis === null ? null : (ids.get(v.basis) ?? null),
      upTo: 1,
      upkeepLog: [],
    })),
  };
}
