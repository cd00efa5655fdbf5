import { describe, expect, it } from '@jest/globals';
import type { ItemBlock } from '../activity/blocks';
import type { Content } from '../activity/activity';
import { freshItem } from '../activity/block';
import { askedFor } from './asked-for';
import { saidUnderFlap } from './flap';
import { proposeWrong } from './propose-wrong';
import { tellsToDo } from './tells-to-do';

describe('a step tells somebody to do something', () => {
  it.each([
    'Look at the picture.',
    'Now carefully write its name',
    'Do not touch the glue.',
    'When it is dry, paint it.',
    'In the box, draw a crab.',
    'Count.',
  ])('%s', (step) => expect(tellsToDo(step)).toBe(true));
  it.each([
    'You like boats and would love ten minutes to look around first.',
    'You want to be at the harbour by half past nine.',
    'A puncture is a small hole.',
    'Work is hard in the harbour.',
    'Light can fall into the pool.',
    'Crabs eat weed.',
    'In the morning, the tide is low.',
    'What do you see?',
  ])('no step: %s', (sentence) => expect(tellsToDo(sentence)).toBe(false));
});

describe('two questions ask for the same sort of thing', () => {
  it.each([
    ['Which animal hides?', 'Which animal stings?', true],
    ['What is the name of the animal?', 'Which animal stings?', true],
    ['Who sells fish?', 'Whose boat is it?', true],
    ['It has two claws.', 'It clings to rock.', true],
    ['Which animal hides?', 'What falls from the sky?', false],
    ['Who sells fish?', 'Where is the market?', false],
    ['How many crabs are there?', 'How much is it?', false],
    ['It has two claws.', 'Which animal stings?', false],
    ['What is the capital of the land?', 'What is the colour of the flag?', false],
  ])('%s – %s', (a, b, same) => expect(askedFor(a, 'p') === askedFor(b, 'p')).toBe(same));
});

describe('wrong answers', () => {
  const of = (key: number, unit = '') => {
    const item = { ...freshItem('n'), kind: 'number', prompt: 'How many?', key, tolerance: 0, unit } as ItemBlock;
    const page = { id: 'p', title: '', orientation: 'portrait', blocks: [item] };
    const content = { title: 'T', subject: '', ages: '', objectives: [], pages: [page] } as Content;
    return proposeWrong(content, item);
  };
  it('are numbers near the key, with its decimals and its unit, and none that cannot be counted', () => {
    expect(of(3)).toEqual(['4', '2', '13']);
    expect(of(0)).toEqual(['1', '10', '2']);
    expect(of(-2)).toEqual(['-1', '-3', '8']);
    expect(of(2.3)).toEqual(['2.4', '2.2', '3.3']);
    expect(of(2.5, '£')).toEqual(['£2.60', '£2.40', '£3.50']);
    expect(of(40, '%')).toEqual(['41%', '39%', '50%']);
  });
});

it('a flap says each answer once', () => {
  expect(saidUnderFlap(['8:40', '08:40', '8.40'])).toBe('8:40');
  expect(saidUnderFlap(['crab', 'a crab', 'The crab', 'shore crab'])).toBe('crab / shore crab');
  expect(saidUnderFlap(['a', 'the'])).toBe('a / the');
});
