import type { Classified } from '@lorvet/core';

/** The colour in which a judgement is shown; the word stands with it always. */
export function toneOf(judgement: Classified['judgement']): 'madder' | 'ochre' | 'moss' | '' {
  switch (judgement) {
    case 'modification':
      return 'madder';
    case 'to judge':
      return 'ochre';
    case 'same':
      return '';
    default:
      return 'moss';
  }
}
