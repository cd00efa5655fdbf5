import { inject, Injectable } from '@angular/core';
import { type Doing, type DoneOnce, latest, MOST_NAMED, type RecordChange } from '@lorvet/core';
import { Store } from '@ngrx/store';
import { Clock } from '../platform/clock';
import { Leaving } from '../platform/leaving';
import { counted } from '../platform/many';
import { ChronicleStore } from '../platform/storage/chronicle-store';
import { KeepingSync } from './keeping-sync';
import type { ChangedBy } from './reducer';
import { selectChanged } from './selectors';
import { WorkspaceStore } from './workspace';

/** What follows from something else, or is only named by it. */
const SILENT: ReadonlySet<string> = new Set(['assets', 'frozen', 'chronicle']);
const PAUSE_MS = 150;
/** A text that is gone on with after that is changed anew. */
const STROKES_MS = 5 * 60_000;

/** Writes down what the teacher does: once for each thing done, not for each stroke of it. */
@Injectable({ providedIn: 'root' })
export class Recording {
  private readonly store = inject(Store);
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly sync = inject(KeepingSync);
  private readonly chronicle = inject(ChronicleStore);
  private readonly leaving = inject(Leaving);
  private queue: DoneOnce[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private writing: Promise<void> = Promise.resolve();
  private seen = 0;
  private lastKey: string | undefined;
  private lastStroke = 0;
  private isOn = false;

  start(): void {
    if (this.isOn) return;
    this.isOn = true;
    this.store.select(selectChanged).subscribe(({ n, changes, by }) => {
      if (n === this.seen) return;
      this.seen = n;
      if (by) this.heard(changes, by);
    });
    this.leaving.onLeave(() => void this.flush());
  }

  /** Something that is no change of a record: a backup that was restored. */
  note(did: Doing, says: string): void {
    this.add({ at: this.clock.iso(), by: 'Teacher', did, says, of: [] });
  }

  /** All that was done so far is written down. What could not be is tried again with what comes next. */
  async flush(): Promise<void> {
    clearTimeout(this.timer);
    this.timer = undefined;
    const done = this.queue;
    const generation = this.sync.generation();
    if (done.length && generation) {
      this.queue = [];
      this.writing = this.writing.then(async () => {
        try {
          await this.chronicle.append(generation, done);
        } catch {
          this.queue = [...done, ...this.queue];
        }
      });
    }
    await this.writing;
  }

  private heard(changes: readonly RecordChange[], by: ChangedBy): void {
    const told = changes.filter((c) => !SILENT.has(c.collection));
    const of = told.slice(0, MOST_NAMED).map((c) => ({ in: c.collection, id: c.id.slice(0, 200) }));
    const at = this.clock.iso();
    if ('step' in by) {
      this.lastKey = undefined;
      const [did, says] = by.from === 'past' ? (['undone', 'undo'] as const) : (['restored', 'redo'] as const);
      return this.add({ at, by: 'Teacher', did, says: `${says}: ${by.step.label}`, of });
    }
    const { edit, action } = by;
    const says = (edit.label ?? edit.says)?.(action);
    if (says === undefined) return;
    const key = edit.mergeKey?.(action);
    // Further strokes of the same text are one thing done; a while later they are another.
    const now = this.clock.ms();
    const goesOn = key !== undefined && key === this.lastKey && now - this.lastStroke < STROKES_MS;
    this.lastStroke = now;
    if (goesOn) return;
    this.lastKey = key;
    const about = this.aboutOf(told, says);
    this.add({ at, by: 'Teacher', did: edit.did?.(action) ?? 'changed', says: about ? `${says}: ${about}` : says, of });
  }

  private add(done: DoneOnce): void {
    this.queue.push(done);
    this.timer ??= setTimeout(() => void this.flush(), PAUSE_MS);
  }

  /** What it was done to, in words, where these are not said already. */
  private aboutOf(changes: readonly RecordChange[], says: string): string {
    const works = changes.filter((c) => c.collection === 'markings' || c.collection === 'copies');
    const first = works[0] ?? changes.find((c) => this.titleOf(c));
    if (!first) return '';
    const title = this.titleOf(first);
    const ids = new Set(works.map((c) => c.id));
    const many = ids.size > 1 ? `, ${counted(ids.size, '{n} piece of work', '{n} pieces of work')}` : '';
    return title && !says.includes(title) ? title + many : '';
  }

  private titleOf({ collection, id, after, before }: RecordChange): string {
    const record = (after ?? before) as { readonly [field: string]: unknown };
    if (collection === 'families') return latest(record as unknown as Parameters<typeof latest>[0]).content.title;
    if (collection === 'markings' || collection === 'copies') {
      const [handOutId = '', key = ''] = id.split('.');
      const heads = this.work.handOutHeadsById();
      const head = Object.hasOwn(heads, handOutId) ? heads[handOutId] : undefined;
      const who = this.work.people().learners.find((l) => l.id === key)?.name ?? head?.teams[key] ?? '';
      return [head?.title ?? '', who].filter(Boolean).join(', ');
    }
    if (collection === 'folders') return this.work.people().learners.find((l) => l.id === id)?.name ?? '';
    const name = record['title'] ?? record['name'];
    return typeof name === 'string' ? name : '';
  }
}
