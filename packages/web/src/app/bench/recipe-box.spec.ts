import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { SHIPPED_RECIPES, writeRecipe } from '@lorvet/core';
import { DemoPlace } from '../testing/demo-place';
import { AlertHarness, textFile } from '../testing/harnesses';
import { RecipeBox } from './recipe-box';

let place: DemoPlace<RecipeBox>;
const mine = (id = 'pun-core') => place.version('puncture', id).adjustments;
const open = async (version = 'pun-core') => {
  globalThis.fetch = jest.fn(() => Promise.resolve({ ok: false } as Response));
  place = await DemoPlace.open(RecipeBox, { bench: { family: 'puncture', version } });
  await place.press('Recipes …');
};
/** A file chosen in the box's field. */
async function bring(text: string): Promise<void> {
  await place.take(/^From a file/, textFile(text));
}

describe('a recipe', () => {
  beforeEach(() => open());

  it('says rule by rule what it would do here, and does nothing yet', () => {
    expect(place.text).toContain('All choice items: at most 3 choices. 2 changes');
    expect(place.text).toContain('Items marked optional are left out. nothing new');
    expect(mine()).toHaveLength(2);
  });

  it('run twice has nothing to do the second time, and one undo takes it back', async () => {
    await place.press(/^Do \d+ changes/);
    const after = mine().length;
    expect(after).toBeGreaterThan(2);
    expect(place.work.undoLabel()).toBe('recipe “Lighter page”');
    await place.press('Recipes …');
    expect(await (await place.button('Nothing to do')).isDisabled()).toBe(true);
    await place.undo();
    expect(mine()).toHaveLength(2);
  });

  it.each([
    ['no JSON at all', 'hello'],
    ['another kind of file', '{"product":"lorvet","kind":"workspace"}'],
    [
      'a rule that does not exist',
      writeRecipe({ ...(SHIPPED_RECIPES[0] as (typeof SHIPPED_RECIPES)[0]) }).replace('fewer-choices', 'fewer-cakes'),
    ],
  ])('from a file that is %s is refused in words, and nothing is kept', async (_, text) => {
    await bring(text);
    expect(await place.has(AlertHarness, /\.$|\.\s/)).toBe(true);
    expect(Object.keys(place.work.recipes())).toEqual([]);
  });

  it('from a file is kept under an id of its own, and can be removed again', async () => {
    const [shipped] = SHIPPED_RECIPES;
    if (!shipped) throw new Error('none ship');
    await bring(writeRecipe({ ...shipped, name: 'From next door' }));
    const [kept] = Object.values(place.work.recipes());
    expect(kept).toMatchObject({ name: 'From next door', rules: shipped.rules });
    expect(kept?.id).not.toBe(shipped.id);
    await place.press('Remove');
    expect(Object.keys(place.work.recipes())).toEqual([]);
  });
});

describe('a version’s adjustments', () => {
  it('become rules where they can, and say how many cannot', async () => {
    await open('pun-sup');
    await place.press(/^Keep this version’s adjustments/);
    const [kept] = Object.values(place.work.recipes());
    expect(kept?.name).toBe('As “Supported”');
    expect(kept?.rules.map((r) => r.rule)).toEqual(
      expect.arrayContaining(['word-bank', 'fewer-choices', 'larger-print']),
    );
    expect(place.text).toMatch(/\d adjustments are about these words alone/);
  });
});
