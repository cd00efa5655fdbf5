import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { boxesWithDemo, kerra, textAnswer } from '../testing/kept-demo';
import { Tab } from '../testing/tab';
import { DeskActions } from './actions';
import { Parts } from './parts';

const OTHER = 'h-survey.l-oriel';

/** Whoever asks for `copies/h-survey.l-oriel` waits until it is let come, or fails. */
describe('records that are read while others are', () => {
  let tab: Tab;
  let parts: Parts;
  let come: () => void;
  let fail: () => void;
  const kept = () => tab.work.copies()[kerra.id];

  beforeEach(async () => {
    localStorage.clear();
    tab = await Tab.open(await boxesWithDemo());
    parts = tab.get(Parts);
    const read = tab.keeper.read.bind(tab.keeper);
    const gate = new Promise<void>((done, never) => {
      come = done;
      fail = () => never(new Error('not read'));
    });
    tab.keeper.read = async (kind, id) => {
      if (id === OTHER) await gate;
      return read(kind, id);
    };
  });
  afterEach(() => Tab.closeAll());

  it('are there for whoever asks for them besides, without a wait for the others', async () => {
    const both = parts.during((want) => want('copies', [kerra.id, OTHER]));
    await parts.during(async (want) => {
      await want('copies', [kerra.id]);
      expect(kept()).toEqual(kerra);
    });
    come();
    await both;
  });

  it('stand as they were changed meanwhile', async () => {
    const both = parts.during((want) => want('copies', [kerra.id, OTHER]));
    await parts.during(async (want) => {
      await want('copies', [kerra.id]);
      const goes = kerra.goes.map((go) => ({ ...go, answers: { q: textAnswer('Later') } }));
      tab.work.dispatch(DeskActions.copySaved({ copy: { ...kerra, goes } }));
      come();
      await both;
      expect(kept()?.goes[0]?.answers).toEqual({ q: textAnswer('Later') });
    });
  });

  it('that could not be read may be asked for again', async () => {
    const first = parts.during((want) => want('copies', [OTHER]));
    fail();
    await expect(first).rejects.toThrow('not read');
    tab.keeper.read = () => Promise.resolve(kerra);
    await parts.during((want) => want('copies', [OTHER]));
    expect(tab.work.copies()[OTHER]).toBe(kerra);
  });
});
