import type { Objective } from '../activity/activity';
import type { Skill } from '../activity/skill';

/** What an objective protects, and whether that is certain: the teacher said it, or its words do. */
export interface Protected {
  readonly skill: Skill;
  readonly isCertain: boolean;
}

/** Words of objectives by what they protect: those that name it, and those that may mean it. */
const SAYS: Readonly<Record<Skill, { readonly names: RegExp; readonly may?: RegExp }>> = {
  reading: {
    names: /\b(?:decod\w*|phonics?|sound(?:ing)? out|reads?|reading|fluen(?:t|tly|cy))\b/i,
    may: /\b(?:in|from|of) an? (?:\w+ )?(?:text|passage|story|poem)\b|\bcomprehen\w*/i,
  },
  spelling: { names: /\bspell\w*|\borthograph\w*/i },
  writing: { names: /\b(?:writes?|writing|punctuat\w*|handwriting|paragraphs?|compos(?:e|es|ing|ition))\b/i },
  calculation: {
    names:
      /\b(?:calculat\w*|add(?:s|ing|ition)?|subtract\w*|multipl(?:y|ies|ying|ication)|divid\w*|division|arithmetic|sums?|work(?:s|ing)? out|column method|mental maths?)\b/i,
    may: /\b(?:count\w*|compar\w*|percentages?|fractions?|measur\w*)\b/i,
  },
  facts: {
    names:
      /\b(?:recall\w*|from memory|by heart|times tables?|number (?:facts|bonds)|multiplication facts|memori[sz]\w*)\b/i,
    may: /\b(?:knows?|knowledge|names?|naming|remember\w*|list(?:s|ing)?|identif\w*)\b/i,
  },
  vocabulary: {
    names:
      /\b(?:vocabulary|word meanings?|meanings? of (?:\w+ )?words?|synonyms?|antonyms?|technical (?:terms|words)|subject words)\b/i,
    may: /\b(?:words? for|terms?|defin\w*|name(?:s|ing)?)\b/i,
  },
  speed: {
    names:
      /\b(?:fluen(?:t|tly|cy)|speed|quick(?:ly)?|fast|per minute|timed|automatic\w*|rapid\w*|in \d+ (?:minutes?|seconds?))\b/i,
  },
};

/** What the words of an objective say or may say of what it protects. */
export const protectedByWords = (text: string): Protected[] =>
  (Object.keys(SAYS) as Skill[]).flatMap((skill): Protected[] => {
    const { names, may } = SAYS[skill];
    return names.test(text) ? [{ skill, isCertain: true }] : may?.test(text) ? [{ skill, isCertain: false }] : [];
  });

/** What an objective protects: what the teacher said, else what its words say. */
export const protectedBy = (o: Objective): Protected[] =>
  o.protects ? o.protects.map((skill) => ({ skill, isCertain: true })) : protectedByWords(o.text);

/** What is proposed to the teacher for an objective. */
export const proposeProtects = (text: string): Skill[] =>
  protectedByWords(text).flatMap((p) => (p.isCertain ? [p.skill] : []));

export const SKILL_LABELS: Readonly<Record<Skill, string>> = {
  reading: 'reading',
  spelling: 'spelling',
  writing: 'writing',
  calculation: 'calculating',
  facts: 'knowing facts by heart',
  vocabulary: 'knowing words',
  speed: 'speed',
};
