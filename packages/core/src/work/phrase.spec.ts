import { describe, expect, it } from '@jest/globals';
import { asPhrase, joinedWords, withName } from './phrase';

describe('a phrase', () => {
  it('has the name in its places, whatever the name is', () => {
    expect(withName('Well seen, [name]. [Name], go on!', 'Jory')).toBe('Well seen, Jory. Jory, go on!');
    expect(withName('[name]!', '$& $1')).toBe('$& $1!');
  });

  it('is made of words to one learner, with the name open again and no part of a word taken for it', () => {
    expect(asPhrase('Well seen, Jan. January, Jan’s turn.', 'Jan')).toBe('Well seen, [name]. January, [name]’s turn.');
    expect(asPhrase('Go on (A.)!', 'A.')).toBe('Go on ([name])!');
    expect(withName(asPhrase('Well seen, Ana.', 'Ana'), 'Éloi')).toBe('Well seen, Éloi.');
  });

  it('is put behind what is written, and not twice', () => {
    expect(joinedWords('', 'Well seen.')).toBe('Well seen.');
    expect(joinedWords('Good. ', 'Well seen.')).toBe('Good. Well seen.');
    expect(joinedWords('Good. Well seen.', 'Well seen.')).toBe('Good. Well seen.');
  });
});
