import { type ApplicationRef, provideZonelessChangeDetection, type ProviderToken } from '@angular/core';
import { createApplication } from '@angular/platform-browser';
import { provideRouter } from '@angular/router';
import { provideStore } from '@ngrx/store';
import type { Box, Boxes, BoxName } from '../platform/storage/boxes';
import { BOXES } from '../platform/storage/boxes-token';
import { Keeper } from '../platform/storage/keeper';
import { KeepingSync } from '../store/keeping-sync';
import { DESK_EDITS } from '../store/desk-edits';
import { FEATURE, reducerOf } from '../store/reducer';
import { teach } from '../store/teachers-part';
import { WorkspaceStore } from '../store/workspace';

const open: ApplicationRef[] = [];

/** Lorvet without its pages, as one tab would have it, over a storage that others may share. */
export class Tab {
  readonly work: WorkspaceStore;
  readonly keeper: Keeper;
  readonly sync: KeepingSync;

  private constructor(private readonly app: ApplicationRef) {
    this.work = this.get(WorkspaceStore);
    this.keeper = this.get(Keeper);
    this.sync = this.get(KeepingSync);
  }

  /** `at` the desk, only the desk's part is opened, as in a tab in which nothing else was asked for. */
  static async open(boxes: Boxes, at: 'any place' | 'the desk' = 'any place'): Promise<Tab> {
    const app = await createApplication({
      providers: [
        provideZonelessChangeDetection(),
        provideRouter([]),
        provideStore(
          { [FEATURE]: reducerOf(DESK_EDITS) },
          { runtimeChecks: { strictStateImmutability: false, strictActionImmutability: false } },
        ),
        { provide: BOXES, useValue: boxes },
      ],
    });
    open.push(app);
    if (at === 'any place') teach(app.injector);
    const tab = new Tab(app);
    await tab.sync.start();
    return tab;
  }

  get<T>(token: ProviderToken<T>): T {
    return this.app.injector.get(token);
  }

  /** Closes all that are open. */
  static closeAll(): void {
    for (const app of open.splice(0)) app.destroy();
  }
}

/** What becomes of an operation on storage: it may fail, or never come to its end. */
export type Fate = (what: {
  op: 'get' | 'set' | 'remove' | 'all' | 'keys';
  box: string;
  key: string;
}) => 'does' | 'fails' | 'never';

/** A storage over another one, whose operations have fates. */
export class FatedBoxes implements Boxes {
  constructor(
    readonly under: Boxes,
    public fate: Fate = () => 'does',
    public error = new DOMException('full', 'QuotaExceededError'),
  ) {}

  private fated(box: Box, name: string): Box {
    const go = async <T>(
      op: 'get' | 'set' | 'remove' | 'all' | 'keys',
      key: string,
      work: () => Promise<T>,
    ): Promise<T> => {
      const fate = this.fate({ op, box: name, key });
      if (fate === 'fails') throw this.error;
      if (fate === 'never') return await new Promise<T>(() => undefined);
      return await work();
    };
    return {
      keys: () => go('keys', '', () => box.keys()),
      all: () => go('all', '', () => box.all()),
      get: (key) => go('get', key, () => box.get(key)),
      set: (key, value) => go('set', key, () => box.set(key, value)),
      remove: (key) => go('remove', key, () => box.remove(key)),
    };
  }

  root = (): Box => this.fated(this.under.root(), 'root');
  of = (generation: string, name: BoxName): Box => this.fated(this.under.of(generation, name), `${generation}/${name}`);
  first = (): Box => this.fated(this.under.first(), 'first');
  hasFirst = (): Promise<boolean> => this.under.hasFirst();
  dropFirst = (): Promise<void> => this.under.dropFirst();
  drop = (generation: string): Promise<void> => this.under.drop(generation);
  generations = (): Promise<string[]> => this.under.generations();
  alone = <T>(name: string, work: () => Promise<T>): Promise<T> => this.under.alone(name, work);
}
