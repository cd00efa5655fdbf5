import { expect, it } from '@jest/globals';
import { createHash } from 'node:crypto';
import { type Copy, type HandOut, writeAnswers } from '@lorvet/core';
import { assetOf } from '../platform/files';
import { DemoPlace } from '../testing/demo-place';
import { textFile } from '../testing/harnesses';
import { TakeAnswers } from './take-answers';

// The test browser has none.
const digest = (_: string, data: ArrayBuffer) =>
  Promise.resolve(
    createHash('sha256')
      .update(Buffer.from(new Uint8Array(data)))
      .digest(),
  );
Object.defineProperty(globalThis.crypto, 'subtle', { value: { digest } });

const AT = '2026-11-24T09:00:00.000Z';
/** A file that the desk saved, of those under whose name the work is kept. */
function file(learnerId: string, words: string) {
  const go = { n: 1, startedAt: AT, submittedAt: null, answers: { 'rp-q3': { kind: 'text' as const, text: words } } };
  const copy: Copy = { id: `h-survey.${learnerId}`, handOutId: 'h-survey', learnerId, frozen: '', goes: [go] };
  return textFile(writeAnswers(copy, AT), 'x.answers.json');
}

it('answers that several gave together come in from a file as theirs; those of nobody here are refused', async () => {
  const place = await DemoPlace.open(TakeAnswers, {
    change: (w) => {
      const h = w.handOuts['h-survey'] as HandOut;
      const shared = Object.fromEntries(
        ['l-jory', 'l-kerra'].map((id) => [id, { frozen: h.given[id]?.frozen ?? '', shares: 'terns' }]),
      );
      const teams = [{ id: 'terns', name: 'Terns', learnerIds: ['l-jory', 'l-kerra'], versionId: null }];
      const way = 'per-group' as const;
      return { ...w, handOuts: { ...w.handOuts, 'h-survey': { ...h, way, teams, given: { ...h.given, ...shared } } } };
    },
  });
  await place.take('File of answers', file('terns', 'rain'));
  await place.rest();
  expect(place.work.copies()['h-survey.terns']?.goes[0]?.answers['rp-q3']).toEqual({ kind: 'text', text: 'rain' });
  expect(place.notices.join()).toContain('1 answer of Terns taken in');
  await place.take('File of answers', file('terns', 'rain'));
  await place.rest();
  expect(place.notices.join()).toContain('There is nothing new in this file');
  await place.take('File of answers', file('wrens', 'sun'));
  await place.rest();
  expect(place.text).toContain('The learner that these answers belong to is not here');
});

it('a photograph comes with the answers that hold it; one that is not what it is called is refused', async () => {
  const bytes = new Uint8Array([1, 2, 3]);
  const { id } = await assetOf(bytes, 'image/png', 'crab.png');
  const photo = (asset: string) => {
    const answers = { 'rp-q3': { kind: 'media' as const, takes: [asset], best: asset } };
    // What was put aside is part of the work as well.
    const aside = [{ id: 'one', at: AT, answers }];
    const other = { 'rp-q3': { kind: 'text' as const, text: 'a crab' } };
    const go = { n: 1, startedAt: AT, submittedAt: null, answers: other, aside };
    const copy: Copy = { id: 'h-survey.l-corin', handOutId: 'h-survey', learnerId: 'l-corin', frozen: '', goes: [go] };
    return textFile(
      writeAnswers(copy, AT, [{ id: asset, mime: 'image/png', name: 'crab.png', data: bytes }]),
      'x.json',
    );
  };
  const place = await DemoPlace.open(TakeAnswers);
  await place.take('File of answers', photo(`${id}0`));
  await place.rest();
  expect(place.text).toContain('is damaged. Nothing was taken in.');
  expect(place.work.copies()['h-survey.l-corin']).toBeUndefined();
  await place.take('File of answers', photo(id));
  await place.rest();
  expect(place.notices.join()).toContain('1 answer of Corin B. taken in');
  expect(place.work.assets()[id]?.name).toBe('crab.png');
});

it('sheets of notes come with a file too, also alone, and are counted', async () => {
  const copy: Copy = {
    id: 'h-survey.l-corin',
    handOutId: 'h-survey',
    learnerId: 'l-corin',
    frozen: '',
    goes: [],
    notes: { c1: 'the pump is in the shed' },
  };
  const place = await DemoPlace.open(TakeAnswers);
  await place.take('File of answers', textFile(writeAnswers(copy, AT), 'x.json'));
  await place.rest();
  expect(place.notices.join()).toContain('1 answer of Corin B. taken in');
  expect(place.work.copies()[copy.id]?.notes).toEqual(copy.notes);
});
