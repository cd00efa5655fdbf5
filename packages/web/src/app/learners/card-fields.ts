import { type Learner, learnerSchema, mostAt, needsCardSchema, type NeedsCard } from '@lorvet/core';

/** What a field of the card changes. */
export interface CardChange {
  readonly person?: Partial<Pick<Learner, 'name' | 'chosenName' | 'birthday' | 'fields'>>;
  readonly needs?: Partial<NeedsCard>;
}
type Read = CardChange | { readonly problem: string };

interface CardField {
  /** As it stands in the field. */
  show(learner: Learner): string;
  /** What a text in the field would change of a learner, or why it cannot. */
  read(text: string, learner: Learner): Read;
}

const ROOM = {
  interest: mostAt(needsCardSchema, 'interests', '*'),
  interests: mostAt(needsCardSchema, 'interests'),
  language: mostAt(needsCardSchema, 'languages', '*'),
  languages: mostAt(needsCardSchema, 'languages'),
  ownName: 40,
  ownValue: mostAt(learnerSchema, 'fields', '*'),
};
export const MOST_IN = {
  name: mostAt(learnerSchema, 'name'),
  chosenName: mostAt(learnerSchema, 'chosenName'),
  note: mostAt(needsCardSchema, 'note'),
  works: mostAt(needsCardSchema, 'works'),
  avoid: mostAt(needsCardSchema, 'avoid'),
};

const parted = (text: string, by: string): string[] =>
  text
    .split(by)
    .map((s) => s.trim())
    .filter(Boolean);

function tooMuch(list: readonly string[], what: string, letters: number, many: number): string {
  const long = list.find((x) => x.length > letters);
  if (long)
    return `“${long.slice(0, 24)}…” has ${long.length} letters; there is room for ${letters} in one of the ${what}.`;
  return list.length > many ? `There is room for ${many} ${what}; these are ${list.length}.` : '';
}

/** The fields that are written in, each with its words and back. */
export const CARD_FIELDS = {
  name: {
    show: (l) => l.name,
    read: (text, l) =>
      text.trim()
        ? { person: { name: text.trim() } }
        : {
            problem: l.name
              ? `A learner needs a name. “${l.name}” stands until there is another.`
              : 'A learner needs a name.',
          },
  },
  interests: {
    show: (l) => l.needs.interests.join(', '),
    read: (text) => {
      const interests = parted(text, ',');
      const problem = tooMuch(interests, 'interests', ROOM.interest, ROOM.interests);
      return problem ? { problem } : { needs: { interests } };
    },
  },
  languages: {
    show: (l) => l.needs.languages.join(', '),
    read: (text) => {
      const languages = parted(text, ',');
      const problem = tooMuch(languages, 'languages', ROOM.language, ROOM.languages);
      return problem ? { problem } : { needs: { languages } };
    },
  },
  chosenName: {
    show: (l) => l.chosenName,
    read: (text) => ({ person: { chosenName: text.trim() } }),
  },
  birthday: {
    show: (l) => l.birthday,
    read: (text) => ({ person: { birthday: text } }),
  },
  own: {
    show: (l) =>
      Object.entries(l.fields)
        .map(([name, value]) => `${name}: ${value}`)
        .join('\n'),
    read: (text) => {
      const fields: [string, string][] = [];
      for (const line of parted(text, '\n')) {
        const [name = '', ...rest] = line.split(':').map((s) => s.trim());
        const value = rest.join(': ');
        if (!name || !value)
          return { problem: `“${line.slice(0, 40)}” needs a name, a colon and a value, such as “pet: a cat”.` };
        if (name.length > ROOM.ownName)
          return { problem: `“${name.slice(0, 24)}…” is a long name: there is room for ${ROOM.ownName} letters.` };
        if (value.length > ROOM.ownValue)
          return {
            problem: `What stands under “${name}” has ${value.length} letters; there is room for ${ROOM.ownValue}.`,
          };
        if (Object.hasOwn(Object.prototype, name)) return { problem: `“${name}” cannot be a field’s name.` };
        fields.push([name, value]);
      }
      return { person: { fields: Object.fromEntries(fields) } };
    },
  },
  works: {
    show: (l) => l.needs.works,
    read: (text) => ({ needs: { works: text.trim() } }),
  },
  avoid: {
    show: (l) => l.needs.avoid,
    read: (text) => ({ needs: { avoid: text.trim() } }),
  },
  note: {
    show: (l) => l.needs.note,
    read: (text) => ({ needs: { note: text.trim() } }),
  },
} satisfies Record<string, CardField>;

export type CardFieldName = keyof typeof CARD_FIELDS;
export const CARD_FIELD_NAMES = Object.keys(CARD_FIELDS) as CardFieldName[];

/** The learner with a change of the card. */
export function withChange(learner: Learner, { person, needs }: CardChange): Learner {
  return { ...learner, ...person, needs: { ...learner.needs, ...needs } };
}
