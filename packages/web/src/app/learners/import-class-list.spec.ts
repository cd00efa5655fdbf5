import { beforeEach, describe, expect, it } from '@jest/globals';
import { DemoPlace } from '../testing/demo-place';
import { AlertHarness, PartHarness, textFile } from '../testing/harnesses';
import { ImportClassList } from './import-class-list';

let place: DemoPlace<ImportClassList>;
beforeEach(async () => {
  place = await DemoPlace.open(ImportClassList, { inputs: { open: true } });
});
async function bring(text: string, size = text.length): Promise<void> {
  await place.take(/^(Choose the list|Another file)$/, textFile(text, 'class.csv', size));
}
const names = () => place.work.people().learners.map((l) => l.name);

describe('a class list', () => {
  it('is shown before anything comes in, every bad line named by its number', async () => {
    const before = names();
    await bring('Name;Class;Reads at\nMorwen P.;Puffin;4.5\n;Puffin;3\nJago T.;Puffin;many\nOriel P.;Heron class;2\n');
    expect(place.text).toContain('Line 3: There is no name.');
    expect(place.text).toContain('Line 4: The reading level is none');
    expect(place.text).toContain('Line 5: They are in the class already. (Oriel P. in Heron class)');
    expect(place.text).toContain('Morwen P.');
    expect(names()).toEqual(before);
  });

  it('comes in with its class made, and one undo takes all of it back', async () => {
    const before = names();
    await bring('Name,Class,Supports\nMorwen P.,Puffin,word bank\nJago T.,Puffin,\n');
    await place.press(/^(Take|Bring|Import).*2/);
    expect(names()).toEqual([...before, 'Morwen P.', 'Jago T.']);
    const puffin = place.work.people().classes.find((c) => c.name === 'Puffin');
    expect(puffin?.learnerIds).toHaveLength(2);
    const morwen = place.work.people().learners.find((l) => l.name === 'Morwen P.');
    expect(morwen?.needs.supports.map((s) => s.what)).toEqual(['word bank']);
    await place.undo();
    expect(names()).toEqual(before);
    expect(place.work.people().classes.some((c) => c.name === 'Puffin')).toBe(false);
  });

  it('whose columns are called otherwise is mapped by hand', async () => {
    await bring('Pupil,Form\nMorwen P.,Puffin\n');
    await place.choose(/^Name/, 'Pupil');
    await place.choose(/^Class(?! for)/, 'Form');
    expect(await place.has(PartHarness, 'Morwen P.')).toBe(true);
  });

  it('may be pasted; dates that can be read two ways are asked about', async () => {
    await place.type(/^Or paste/, 'Name\tClass\tBorn\nMorwen P.\tPuffin\t03/04/2016\n');
    expect(place.text).toMatch(/3 Apr 2016|Apr 3, 2016/);
    await place.choose('03/04 is', '4 March');
    await place.press(/^Bring in 1/);
    expect(place.work.people().learners.find((l) => l.name === 'Morwen P.')?.birthday).toBe('2016-03-04');
  });

  it.each([
    ['is empty', '', undefined],
    ['is far too large', 'Name\nX\n', 6 * 1024 * 1024],
  ])('that %s is refused in words', async (_, text, size) => {
    await bring(text, size);
    expect(await place.has(AlertHarness, /class\.csv.*\.$/)).toBe(true);
  });
});
