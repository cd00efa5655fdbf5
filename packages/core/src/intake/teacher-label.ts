import { trimOf } from '../spaces';
import { entriesInLine } from './keys';

/** Whom a part is for that is not the learners'. */
export type ApartFor = 'key' | 'teacher';

/**
 * How much the words alone say. `sure`: nothing else is called so ("Answer key"). `likely`: a key, unless what follows
 * asks ("Answers"). `hint`: only where what follows is a key ("Short answer", "Solution").
 */
export type Strength = 'sure' | 'likely' | 'hint';

export interface Label {
  readonly for: ApartFor;
  readonly strength: Strength;
  /** The words that are the label, as they stand. */
  readonly words: string;
  /** What follows them on the same line. */
  readonly rest: string;
}

/** Words that a label has at the most. */
const MOST_WORDS = 9;
const MOST_LETTERS = 70;

type Wordings = readonly (readonly [ApartFor, Strength, RegExp])[];
const whole = (pattern: string): RegExp => new RegExp(`^(?:${pattern})$`, 'u');
const OF = String.raw`(?: .*)?`;

const ENGLISH: Wordings = [
  [
    'key',
    'sure',
    whole(
      `(?:the |teacher'?s? )?(?:answers?|solutions?) ?keys?${OF}|key to .*|mark(?:ing)? (?:scheme|key|guide|grid)s?${OF}` +
        `|(?:the )?(?:correct|suggested|sample|model|expected|worked) (?:answers|solutions)${OF}` +
        `|(?:answers|solutions) (?:for|only for) (?:the )?(?:teachers?|adults?)${OF}|(?:teacher'?s?|teachers') (?:answers|solutions|(?:master )?keys?)`,
    ),
  ],
  [
    'key',
    'likely',
    whole(
      `(?:the |all |all the |possible )?(?:answers|solutions)|(?:answers|solutions) (?:to|for|of|page|part|section|exercises?|unit|lesson|day|week|sheet) (?!your ).*` +
        `|(?:answers|solutions) (?:and|with) explanations?|right answers`,
    ),
  ],
  [
    'teacher',
    'sure',
    whole(
      `teacher'?s?'? (?:notes?|pages?|guides?|guidance|cop(?:y|ies)|versions?|lists?|sheets?|sections?|parts?|corners?|only|information|info|instructions?|directions?|edition|background|use(?: only)?)${OF}` +
        `|(?:only |just )?for (?:the |all )?teachers?(?: only| use(?: only)?)?|for teacher use(?: only)?` +
        `|(?:notes?|information|guidance|instructions|directions) (?:for|to) (?:the |all )?(?:teachers?|adults?|staff|(?:teaching )?assistants?|parents and teachers)${OF}` +
        `|teaching notes?${OF}|to the teacher|lesson plans?${OF}|answers? and notes for the teacher`,
    ),
  ],
];

const TEACHER_FR = String.raw`(?:l['’]enseignante?|l['’]enseignant\(e\)|les enseignants|l['’]adulte|(?:le|la|les) (?:professeure?s?|maîtres?(?:se)?s?|prof))`;
const FRENCH: Wordings = [
  [
    'key',
    'sure',
    whole(
      `(?:le |les )?corrigés?${OF}|(?:la )?cl[ée]s? d[eu]s? (?:corrections?|réponses)${OF}|(?:grille|barème) de correction${OF}` +
        `|clé (?:du|de la|de) ${TEACHER_FR}${OF}|réponses? (?:attendues?|correctes?)${OF}|(?:éléments|feuille) de (?:réponse|correction)s? attendus?${OF}|solutionnaire${OF}`,
    ),
  ],
  [
    'key',
    'likely',
    whole(`(?:les )?(?:réponses|solutions)(?: (?:possibles|aux?|des?|du|à) .*)?|corrections?(?: (?:des?|du) .*)?`),
  ],
  [
    'teacher',
    'sure',
    whole(
      `(?:notes?|remarques?|consignes?|guide|fiche|page|version|informations?|conseils?) (?:pour|à|de) ${TEACHER_FR}${OF}` +
        `|(?:uniquement |seulement )?pour ${TEACHER_FR}(?: seulement| uniquement)?|(?:réservée?|à l['’]attention) (?:à|au|de|aux) ?(?:${TEACHER_FR}|professeurs?|enseignants?)${OF}` +
        `|(?:fiche|guide|notes?|version) (?:enseignante?|professeur|du maître|du professeur|pédagogiques?)${OF}`,
    ),
  ],
];

const TEACHER_DE = String.raw`(?:(?:die |den |das |alle )?(?:lehrkraft|lehrkräfte|lehrer(?:in|innen)?(?: und lehrer)?|lehrpersone?n?))`;
const GERMAN: Wordings = [
  [
    'key',
    'sure',
    whole(
      `(?:lösungs|antwort)(?:schlüssel|blatt|bogen zum korrigieren|teil|vorschl[aä]ge?)${OF}|musterlösung(?:en)?${OF}|erwartungshorizont${OF}` +
        `|(?:richtige|korrekte|erwartete) (?:antworten|lösungen)${OF}|lehrerlösung(?:en)?${OF}`,
    ),
  ],
  [
    'key',
    'likely',
    whole(`(?:die |alle )?(?:lösungen|antworten)(?: (?:zu[mr]?|für|auf|der|des|von|seite|blatt|teil) .*)?`),
  ],
  [
    'teacher',
    'sure',
    whole(
      `(?:hinweise?|notizen?|informationen?|infos?|anmerkungen?|anleitung|seite) (?:für|an) ${TEACHER_DE}${OF}|(?:nur )?für ${TEACHER_DE}` +
        `|lehrer(?:hinweise?|notizen|seite|version|fassung|exemplar|informationen?|kommentare?|teil|blatt|heft)${OF}|didaktische (?:hinweise|anmerkungen)${OF}`,
    ),
  ],
];

const TEACHER_ES = String.raw`(?:(?:el |la |los |las )?(?:docentes?|profesor(?:a|es|as)?|maestr[oa]s?|profe))`;
const SPANISH: Wordings = [
  [
    'key',
    'sure',
    whole(
      `claves? (?:de|con) (?:las? )?(?:respuestas?|corrección|soluciones)${OF}|solucionario${OF}|respuestas (?:correctas|esperadas)${OF}` +
        `|clave (?:del?|de la|para el) ${TEACHER_ES}${OF}|pauta de (?:corrección|respuestas)${OF}|hoja de soluciones${OF}`,
    ),
  ],
  ['key', 'likely', whole(`(?:las )?(?:respuestas|soluciones)(?: (?:posibles|a|al|de|del|para) .*)?`)],
  [
    'teacher',
    'sure',
    whole(
      `(?:notas?|guía|página|hoja|versión|instrucciones|información|indicaciones|orientaciones|sugerencias) (?:para|al|del|de la) ?${TEACHER_ES}${OF}` +
        `|(?:s[oó]lo |solamente )?para ${TEACHER_ES}(?: s[oó]lo| solamente)?|(?:notas|orientaciones) (?:didácticas|pedagógicas|docentes)${OF}`,
    ),
  ],
];

const WORDINGS: Wordings = [...ENGLISH, ...FRENCH, ...GERMAN, ...SPANISH];

/** A label's words inside a title: "Who digs? – answers", "Unit 4 (answer key)". */
const AT_END =
  /^\S.{0,60}?(?:\s[–—-]\s?|[:(]\s?|,\s)((?:the )?(?:answer keys?|answers|solutions|corrigé|réponses|lösungen|musterlösung|respuestas|soluciones|solucionario|teacher'?s? (?:copy|notes|page|list|version|sheet|key)))\)?$/u;

/** Words that stand in many titles of the learners' too. */
const HINT =
  /(?<!\p{L})(?:answers?|solutions?|keys?|réponses?|corrig\p{L}*|corrections?|antwort(?:en)?|lösung(?:en)?|respuestas?|solución|soluciones|clave)(?!\p{L})/u;
/** A learner is told to do something with answers. */
const TOLD =
  /(?<!\p{L})(?:your|you|write|choose|find|circle|tick|check|show|explain|give|mark|underline|match|draw|with|in|votre|ta|tes|écris|écrivez|trouve|trouvez|choisis|entoure|deine?|ihre?|schreibe?|finde|wähle|kreuze|tu|tus|su|sus|escribe|encuentra|elige|marca)(?!\p{L})/u;

const bare = (text: string): string =>
  trimOf(text.normalize('NFC').toLowerCase().replace(/\*/g, ''), /[\s\p{Pd}•#=~_.:;!()[\]]/u)
    .replace(/[’`´]/g, "'")
    .replace(/^(?:\d{1,2}|[a-z]|[ivx]{1,4})[.)]\s+/u, '')
    .replace(/\s+/g, ' ');

function named(words: string): Omit<Label, 'words' | 'rest'> | null {
  const t = bare(words);
  if (t === '' || t.length > MOST_LETTERS || t.split(' ').length > MOST_WORDS) return null;
  for (const [of, strength, test] of WORDINGS) if (test.test(t)) return { for: of, strength };
  const end = AT_END.exec(t)?.[1];
  const inEnd = end === undefined ? null : named(end);
  if (inEnd) return inEnd;
  return HINT.test(t) && !TOLD.test(t) ? { for: 'key', strength: 'hint' } : null;
}

/** Where a label may end within a line: a colon, a dash, a full stop. */
const ENDS = /[:：]|\s[–—-]\s|\.\s|\.\.\.|…/gu;

/**
 * What a line says of itself and what follows it: a label alone ("Answer key"), or one with words after it
 * ("Answers: 1) b 2) c", "Teacher notes: read this aloud"). Null where it says nothing of the kind. `follows`: it stands
 * behind another label.
 */
export function labelOf(line: string, follows = false): Label | null {
  const text = line.trim();
  for (const m of text.slice(0, MOST_LETTERS + 2).matchAll(ENDS)) {
    const head = text.slice(0, m.index);
    // "Answer key 1. Mars": the number is the first answer's.
    if (m[0].startsWith('.') && /\s\d{1,3}$/.test(head)) continue;
    const found = named(head);
    if (found && found.strength !== 'hint') {
      const rest = within(head, text.slice(m.index + m[0].length)).replace(/^[\s*:–—-]+/u, '');
      // "For the teacher: answers" says twice what it is.
      const more = found.for === 'teacher' ? named(rest) : null;
      if (more?.for === 'key' && more.strength !== 'hint')
        return { for: 'key', strength: found.strength, words: text, rest: '' };
      // "For teachers only. Answers 1) six cups 2) none": the answers are a key.
      const then = found.for === 'teacher' && !follows ? labelOf(rest, true) : null;
      if (then?.for === 'key' && then.strength !== 'hint' && entriesInLine(then.rest).length > 0)
        return { ...then, words: text.slice(0, text.length - then.rest.length).trim() };
      return { ...found, words: head.trim(), rest };
    }
    if (found && /[:：]/.test(m[0])) return { ...found, words: head.trim(), rest: text.slice(m.index + 1).trim() };
  }
  const running = runningLabel(text);
  if (running) return running;
  const alone = text.length <= MOST_LETTERS + 4 ? named(text) : null;
  return alone && { ...alone, words: text, rest: '' };
}

/** What follows a label that stands in brackets, without the bracket that closes them. */
const within = (head: string, rest: string): string =>
  /^[*\s]*[([]/.test(head) && /[)\]]\s*$/.test(rest) ? rest.trimEnd().slice(0, -1) : rest;

/** "Teacher notes Put the clocks out first": no sign ends the label, but the words after it begin a sentence. */
function runningLabel(text: string): Label | null {
  const words = text.split(/\s+/);
  for (let n = 1; n <= Math.min(4, words.length - 1); n++) {
    if (!/^[*(]*[\p{Lu}\d]/u.test(words[n] ?? '')) continue;
    const head = words.slice(0, n).join(' ');
    const found = named(head);
    const rest = words.slice(n).join(' ');
    if (found?.strength === 'sure' || (found?.strength === 'likely' && entriesInLine(rest).length > 1))
      return { ...found, words: head, rest };
  }
  return null;
}

/** What a heading says of what stands under it, by its words alone; null where they are not enough. */
export function audienceOfHeading(text: string): ApartFor | null {
  const label = labelOf(text);
  return label && label.strength !== 'hint' ? label.for : null;
}

/** Words within a paragraph at which a part for the teacher may begin, each behind the end of a sentence. */
const WITHIN =
  /(?<=^|[.!?)…_]\s{0,3}|\s[–—|/]\s)\**(?:(?:The |Correct )?Answers?(?: key)?|ANSWERS?(?: KEY)?|Solutions?|Key|Teacher(?:['’]?s)?['’]? notes?|Notes? for (?:the )?teachers?|For (?:the )?teachers?(?: only)?|Réponses?|Corrigé|Solution|Pour l['’]enseignante?|Notes? pour l['’]enseignante?|Lösung(?:en)?|Antworten|Für die Lehrkraft|Hinweise? für die Lehrkraft|Lehrerhinweise?|Respuestas?|Soluciones|Para el (?:docente|maestro|profesor)|Notas? para el (?:docente|maestro|profesor))\**\s?(?:[:：]|[–—-]\s)\**/gu;

/** Where in a paragraph a labelled part begins, in letters; the whole text's first is not among them. */
export const labelsWithin = (text: string): number[] =>
  [...text.matchAll(WITHIN)].map((m) => m.index).filter((at) => at > 0);

/** Headings that go on with what a teacher is told, though they are no deeper than its own. */
const GOES_ON =
  /^(?:materials?(?: needed)?|preparation|prepare|timing|time|duration|objectives?|aims?|standards?|differentiation|assessment|learning (?:intentions?|goals?|objectives?)|success criteria|before (?:the lesson|you start)|after the lesson|background|extensions?|support|procedure|lesson (?:steps|outline)|matériel|durée|objectifs?|préparation|déroulement|différenciation|dauer|ziele?|vorbereitung|ablauf|differenzierung|materialien?|duración|objetivos?|preparación|materiales|desarrollo)$/u;
export const goesOnForTeacher = (heading: string): boolean => GOES_ON.test(bare(heading));
