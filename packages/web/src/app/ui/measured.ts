import type { Signal } from '@angular/core';
import type { Content } from '@lorvet/core';
import { measureInSteps, type Measures } from '@lorvet/core/measures';
import { inTurns } from './in-turns';

/** The measures of a content that may be large: counted page by page between other work. */
export const measured = (of: () => Content | null | undefined): Signal<Measures | null> =>
  inTurns(() => {
    const content = of();
    return content ? measureInSteps(content) : null;
  });
