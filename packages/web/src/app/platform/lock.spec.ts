import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { webcrypto } from 'node:crypto';
import { TextEncoder as NodeEncoder } from 'node:util';
import { FatedBoxes, Tab } from '../testing/tab';
import { type CodePicture, Lock } from './lock';
import { MemoryBoxes } from './storage/boxes';

// What jsdom lacks and every browser has.
Object.defineProperty(globalThis.crypto, 'subtle', { value: webcrypto.subtle });
globalThis.TextEncoder = NodeEncoder as typeof TextEncoder;

const WORDS = 'eleven wet limpets';
let boxes: MemoryBoxes;
let now: number;
async function tab(): Promise<Lock> {
  const lock = (await Tab.open(boxes)).get(Lock);
  // As dear as it is in use, it would take seconds here.
  Object.assign(lock, { rounds: 1000 });
  await lock.read();
  return lock;
}
beforeEach(() => {
  boxes = new MemoryBoxes();
  now = Date.UTC(2026, 10, 26);
  jest.spyOn(Date, 'now').mockImplementation(() => now);
});
afterEach(() => {
  jest.restoreAllMocks();
  Tab.closeAll();
});

describe('the lock', () => {
  it('stays closed for whoever comes after, until the passphrase is typed, and holds no passphrase', async () => {
    const lock = await tab();
    await lock.close();
    expect(lock.closed()).toBe(false);
    expect(await lock.choose(WORDS, '')).toBe('open');
    await lock.close();
    const again = await tab();
    expect(again.closed()).toBe(true);
    expect(await again.open('eleven wet limpet')).toBe('wrong');
    expect((await tab()).closed()).toBe(true);
    expect(await again.open(WORDS)).toBe('open');
    expect((await tab()).closed()).toBe(false);
    expect(JSON.stringify(await boxes.root().get('lock'))).not.toContain('limpet');
  });

  it('opens for the right words, and slows down for wrong ones, where there is no room to write that either', async () => {
    await (await tab()).choose(WORDS, '');
    await (await tab()).close();
    const full = boxes;
    boxes = new FatedBoxes(full, ({ op }) => (op === 'set' ? 'fails' : 'does')) as unknown as MemoryBoxes;
    const lock = await tab();
    for (const said of ['wrong', 'wrong', 'wrong', 'wait']) expect(await lock.open('guess guess')).toBe(said);
    now += 5001;
    expect(await lock.open(WORDS)).toBe('open');
    expect(lock.closed()).toBe(false);
    await expect(lock.choose('another one', WORDS)).rejects.toThrow('full');
    expect((await tab()).closed()).toBe(true);
  });

  it('wrong tries slow down, also after a reload, and the right one waits as long', async () => {
    await (await tab()).choose(WORDS, '');
    for (const said of ['wrong', 'wrong', 'wrong', 'wait']) expect(await (await tab()).open('guess guess')).toBe(said);
    const lock = await tab();
    expect(lock.pause()).toBe(5000);
    expect(await lock.open(WORDS)).toBe('wait');
    now += 5001;
    expect(await lock.open('guess again')).toBe('wrong');
    expect(lock.pause()).toBe(10_000);
    now += 10_001;
    expect(await lock.open(WORDS)).toBe('open');
    expect(lock.pause()).toBe(0);
  });

  it('is changed and taken away only by whoever knows it', async () => {
    const lock = await tab();
    await lock.choose(WORDS, '');
    expect(await lock.choose('another one here', 'not it at all')).toBe('wrong');
    expect(await lock.takeAway('another one here')).toBe('wrong');
    expect(await lock.choose('another one here', WORDS)).toBe('open');
    expect(await lock.takeAway('another one here')).toBe('open');
    expect((await tab()).isSet()).toBe(false);
    await expect(lock.choose('short', '')).rejects.toThrow(/8 to 200/);
  });

  it('a learner sits down by three pictures in their order; tries of one cost no other', async () => {
    const lock = await tab();
    const code: CodePicture[] = ['fish', 'star', 'cat'];
    await lock.setCodes({ jory: code, mylor: ['bell', 'bell', 'fish'] });
    for (const said of ['wrong', 'wrong', 'wrong', 'wait'])
      expect(await lock.sits('jory', ['cat', 'star', 'fish'])).toBe(said);
    expect(await lock.sits('mylor', ['bell', 'bell', 'fish'])).toBe('open');
    expect(await lock.sits('constructor', code)).toBe('wrong');
    now += 5001;
    expect(await (await tab()).sits('jory', code)).toBe('open');
    await lock.setCodes({ jory: null });
    expect(lock.hasCode('jory')).toBe(false);
  });

  it('a record of it that cannot be read is none, and closes nobody out', async () => {
    await boxes.root().set('lock', { passphrase: 7, closed: true });
    expect((await tab()).closed()).toBe(false);
  });
});
