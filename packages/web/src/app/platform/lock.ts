import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { z } from '@lorvet/core/desk';
import { BOXES } from './storage/boxes-token';

/** Which pictures a code is made of, in the order in which they are shown. */
export const CODE_PICTURES = [
  'fish',
  'bird',
  'star',
  'tree-pine',
  'sailboat',
  'umbrella',
  'bell',
  'apple',
  'cat',
] as const;
export type CodePicture = (typeof CODE_PICTURES)[number];
/** Pictures in one code. */
export const CODE_LENGTH = 3;
/** Shortest passphrase, in characters. */
export const LEAST_LETTERS = 8;
/** Longest passphrase, in characters. */
export const MOST_LETTERS = 200;

/** What OWASP's Password Storage Cheat Sheet names for PBKDF2 with SHA-256. */
const ROUNDS = 600_000;
/** So many wrong tries cost nothing; each one after doubles the pause. */
const FREE_TRIES = 3;
const FIRST_PAUSE_MS = 5_000;
const LONGEST_PAUSE_MS = 5 * 60_000;
const KEY = 'lock';
const TEACHER = 'teacher';

const secretSchema = z.object({
  salt: z.string().max(100),
  hash: z.string().max(100),
  rounds: z.int().min(1).max(10_000_000),
});
type Secret = z.infer<typeof secretSchema>;
const triesSchema = z.object({ wrong: z.int().nonnegative(), until: z.number() });
const lockSchema = z.object({
  passphrase: secretSchema.nullable(),
  closed: z.boolean(),
  /** Wrong tries in a row: of the teacher, and of each learner by id. */
  tries: z.record(z.string(), triesSchema),
  codes: z.record(z.string(), z.array(z.enum(CODE_PICTURES)).length(CODE_LENGTH)),
});
type Kept = z.infer<typeof lockSchema>;
const NONE: Kept = { passphrase: null, closed: false, tries: {}, codes: {} };

export type Tried = 'open' | 'wrong' | 'wait';

/** Wrong tries as they are kept, and those that could not be written and count in this tab only. */
function laterOf(kept: Kept['tries'], here: Kept['tries']): Kept['tries'] {
  const wrong = (whose: string) => (Object.hasOwn(kept, whose) ? (kept[whose]?.wrong ?? 0) : 0);
  const more = Object.entries(here).filter(([whose, t]) => t.wrong > wrong(whose));
  return { ...kept, ...Object.fromEntries(more) };
}

const hex = (bytes: ArrayBuffer | Uint8Array): string =>
  [...new Uint8Array(bytes)].map((b) => b.toString(16).padStart(2, '0')).join('');

async function hashed(words: string, salt: string, rounds: number): Promise<string> {
  const text = new TextEncoder();
  const key = await crypto.subtle.importKey('raw', text.encode(words.normalize('NFKC')), 'PBKDF2', false, [
    'deriveBits',
  ]);
  const bits = { name: 'PBKDF2', hash: 'SHA-256', salt: text.encode(salt), iterations: rounds };
  return hex(await crypto.subtle.deriveBits(bits, key, 256));
}

async function secretOf(words: string, rounds: number): Promise<Secret> {
  const salt = hex(crypto.getRandomValues(new Uint8Array(16)));
  return { salt, hash: await hashed(words, salt, rounds), rounds };
}

/**
 * What keeps the learner at the desk at the desk: once the machine is handed over, every other place stays closed, in
 * every tab and after a reload, until the passphrase is typed. It is kept beside the workspace, in no backup, and in the
 * clear but for the passphrase: it is a door, not a safe.
 */
@Injectable({ providedIn: 'root' })
export class Lock {
  private readonly boxes = inject(BOXES);
  private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('lorvet-lock');
  /** How dear a try is. */
  protected readonly rounds: number = ROUNDS;
  private readonly kept = signal<Kept>(NONE);
  readonly isSet = computed(() => this.kept().passphrase !== null);
  readonly closed = computed(() => this.isSet() && this.kept().closed);
  readonly codes = computed<Readonly<Record<string, readonly CodePicture[]>>>(() => this.kept().codes);
  /** Where the teacher was when the machine was handed over, in this tab. */
  readonly cameFrom = signal('/shelf');

  constructor() {
    if (!this.channel) return;
    this.channel.onmessage = () => void this.read();
    inject(DestroyRef).onDestroy(() => this.channel?.close());
  }

  /** What is kept of it; one that cannot be read is none. */
  async read(): Promise<void> {
    this.kept.set(await this.now());
  }

  /** Hands the machine over. It is closed here even where that cannot be written. */
  async close(): Promise<void> {
    if (!this.isSet() || this.closed()) return;
    this.kept.set({ ...this.kept(), closed: true });
    await this.change((k) => ({ ...k, closed: true })).catch(() => undefined);
  }

  /** Where that cannot be written, it opens in this tab until it is closed or read anew. */
  async open(words: string): Promise<Tried> {
    return await this.tried(
      TEACHER,
      async (k) => k.passphrase !== null && (await this.fits(words, k.passphrase)),
      (k) => ({ ...k, closed: false }),
      'here at least',
    );
  }

  /** Sets the passphrase, or another in place of it where `present` is right. Throws where it cannot be written. */
  async choose(words: string, present: string): Promise<Tried> {
    if (words.length < LEAST_LETTERS || words.length > MOST_LETTERS)
      throw new RangeError('A passphrase has 8 to 200 characters.');
    const passphrase = await secretOf(words, this.rounds);
    if (!this.isSet()) {
      await this.change((k) => ({ ...k, passphrase, closed: false }));
      return 'open';
    }
    return await this.tried(
      TEACHER,
      async (k) => k.passphrase !== null && (await this.fits(present, k.passphrase)),
      (k) => ({ ...k, passphrase }),
    );
  }

  async takeAway(present: string): Promise<Tried> {
    return await this.tried(
      TEACHER,
      async (k) => k.passphrase !== null && (await this.fits(present, k.passphrase)),
      (k) => ({ ...k, passphrase: null, closed: false }),
    );
  }

  async setCodes(codes: Readonly<Record<string, readonly CodePicture[] | null>>): Promise<void> {
    await this.change((k) => {
      const all = { ...k.codes };
      for (const [id, code] of Object.entries(codes)) {
        if (code) all[id] = [...code];
        else delete all[id];
      }
      return { ...k, codes: all };
    });
  }

  /** Three pictures at random. */
  freshCode(): CodePicture[] {
    return [...crypto.getRandomValues(new Uint32Array(CODE_LENGTH))].map(
      (n) => CODE_PICTURES[n % CODE_PICTURES.length] as CodePicture,
    );
  }

  hasCode(learnerId: string): boolean {
    return Object.hasOwn(this.codes(), learnerId);
  }

  async sits(learnerId: string, code: readonly CodePicture[]): Promise<Tried> {
    return await this.tried(
      learnerId,
      (k) => Promise.resolve(Object.hasOwn(k.codes, learnerId) && String(k.codes[learnerId]) === String(code)),
      (k) => k,
      'here at least',
    );
  }

  /** Milliseconds until another try is looked at: of a learner, or of the teacher. */
  pause(whose: string = TEACHER): number {
    const tries = this.kept().tries;
    return Object.hasOwn(tries, whose) ? Math.max(0, (tries[whose]?.until ?? 0) - Date.now()) : 0;
  }

  private async fits(words: string, secret: Secret): Promise<boolean> {
    return (await hashed(words.slice(0, MOST_LETTERS), secret.salt, secret.rounds)) === secret.hash;
  }

  private async tried(
    whose: string,
    isRight: (k: Kept) => Promise<boolean>,
    then: (k: Kept) => Kept,
    counts: 'written' | 'here at least' = 'written',
  ): Promise<Tried> {
    let said: Tried = 'wrong';
    const change = async (k: Kept): Promise<Kept> => {
      const before = Object.hasOwn(k.tries, whose) ? k.tries[whose] : undefined;
      if (before && before.until > Date.now()) {
        said = 'wait';
        return k;
      }
      const { [whose]: _, ...others } = k.tries;
      if (await isRight(k)) {
        said = 'open';
        return { ...then(k), tries: others };
      }
      const wrong = (before?.wrong ?? 0) + 1;
      const pause = wrong < FREE_TRIES ? 0 : Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** (wrong - FREE_TRIES));
      return { ...k, tries: { ...others, [whose]: { wrong, until: Date.now() + pause } } };
    };
    await this.change(change, counts);
    return said;
  }

  private async now(): Promise<Kept> {
    const read = lockSchema.safeParse(
      await this.boxes
        .root()
        .get(KEY)
        .catch(() => undefined),
    );
    return read.success ? read.data : NONE;
  }

  private async change(
    change: (k: Kept) => Kept | Promise<Kept>,
    counts: 'written' | 'here at least' = 'written',
  ): Promise<void> {
    await this.boxes.alone('lorvet-lock', async () => {
      const kept = await this.now();
      const before = { ...kept, tries: laterOf(kept.tries, this.kept().tries) };
      const after = await change(before);
      if (after === before) return;
      const write = this.boxes.root().set(KEY, after);
      await (counts === 'written' ? write : write.catch(() => undefined));
      this.kept.set(after);
    });
    this.channel?.postMessage(null);
  }
}
