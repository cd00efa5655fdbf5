import type { ReportLanguage } from '../report/report-words';

/** Words of the trade that a family meets in its child's evidence, plainly, with the word in the language at home. */
interface Plain {
  readonly term: string;
  readonly plain: string;
  readonly home: Readonly<Partial<Record<ReportLanguage, readonly [term: string, plain: string]>>>;
}

/** Not looked over by native speakers. */
export const FAMILY_WORDS: readonly Plain[] = [
  {
    term: 'support',
    plain: 'Something that helps with the work, such as a list of words or a hint.',
    home: {
      es: ['apoyo', 'Algo que ayuda con el trabajo, como una lista de palabras o una pista.'],
      fr: ['aide', 'Quelque chose qui aide pour le travail, comme une liste de mots ou un indice.'],
      uk: ['підтримка', 'Те, що допомагає в роботі, наприклад список слів або підказка.'],
    },
  },
  {
    term: 'the same goal, another way',
    plain: 'Your child learns the same as the others, and gets there another way. At school: an accommodation.',
    home: {
      es: ['la misma meta, otro camino', 'Su hijo o hija aprende lo mismo que los demás, de otra manera.'],
      fr: ['le même but, un autre chemin', 'Votre enfant apprend la même chose que les autres, autrement.'],
      uk: ['та сама мета, інший шлях', 'Ваша дитина вчить те саме, що й інші, але іншим способом.'],
    },
  },
  {
    term: 'another goal',
    plain: 'In this part something else was asked than of the others. At school: a modification.',
    home: {
      es: ['otra meta', 'En esta parte se pidió algo distinto que a los demás.'],
      fr: ['un autre but', 'Dans cette partie, on a demandé autre chose qu’aux autres.'],
      uk: ['інша мета', 'У цій частині просили щось інше, ніж в інших дітей.'],
    },
  },
  {
    term: 'something more',
    plain: 'A part that was added to the work of the others.',
    home: {
      es: ['algo más', 'Una parte añadida al trabajo de los demás.'],
      fr: ['quelque chose en plus', 'Une partie ajoutée au travail des autres.'],
      uk: ['щось більше', 'Частина, додана до роботи інших.'],
    },
  },
  {
    term: 'goal',
    plain: 'What your child is working towards, as it was agreed.',
    home: {
      es: ['meta', 'Lo que su hijo o hija quiere alcanzar, según lo acordado.'],
      fr: ['but', 'Ce que votre enfant cherche à atteindre, comme convenu.'],
      uk: ['мета', 'Те, до чого йде ваша дитина, як було домовлено.'],
    },
  },
  {
    term: 'go',
    plain: 'One try at the work. Some work can be tried more than once.',
    home: {
      es: ['intento', 'Una vez que se hace el trabajo. A veces se puede hacer más de una vez.'],
      fr: ['essai', 'Une fois que le travail est fait. Parfois on peut le refaire.'],
      uk: ['спроба', 'Один раз виконати роботу. Деякі роботи можна робити ще раз.'],
    },
  },
  {
    term: 'review',
    plain: 'The day on which school and family look at the supports and goals together.',
    home: {
      es: ['revisión', 'El día en que la escuela y la familia miran juntas los apoyos y las metas.'],
      fr: ['bilan', 'Le jour où l’école et la famille regardent ensemble les aides et les buts.'],
      uk: ['перегляд', 'День, коли школа й родина разом дивляться на підтримку та цілі.'],
    },
  },
];
