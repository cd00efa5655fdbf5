import { Injector, type Type } from '@angular/core';
import { type HarnessLoader, manualChangeDetection } from '@angular/cdk/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { derive, type Family, INDEX_NAMES, type Version, type Workspace } from '@lorvet/core';
import type { Period } from '@lorvet/core/evidence';
import { provideStore } from '@ngrx/store';
import { MessageService } from 'primeng/api';
import { providePrimeNG } from 'primeng/config';
import { HelpsWork } from '../evidence/helps-work';
import { type HelpsAsked, HelpsDesk } from '../platform/helps-desk';
import { EvidenceWork } from '../evidence/evidence-work';
import { WayWork } from '../evidence/way-work';
import type { Boxes } from '../platform/storage/boxes';
import { BenchView } from '../bench/bench-view';
import { Bulk } from '../platform/storage/bulk';
import { Clock } from '../platform/clock';
import { EvidenceDesk } from '../platform/evidence-desk';
import { WayDesk } from '../platform/way-desk';
import { BOXES } from '../platform/storage/boxes-token';
import { BulkWork } from '../store/bulk-work';
import { KeepingSync } from '../store/keeping-sync';
import { Parts } from '../store/parts';
import { DESK_EDITS } from '../store/desk-edits';
import { FEATURE, reducerOf } from '../store/reducer';
import { teach } from '../store/teachers-part';
import { WorkspaceStore } from '../store/workspace';
import { Ask, type Question } from '../ui/ask';
import {
  ButtonHarness,
  called,
  ChoiceHarness,
  FieldHarness,
  FoldHarness,
  type Name,
  type NamedHarness,
  SelectHarness,
  type Sort,
  type TextFile,
} from './harnesses';
import { allKeys, boxesWith, boxesWithDemo, demo } from './kept-demo';

/** What jsdom lacks: nothing is ever near what is seen, so that a list stays at its first rows. */
class NothingSeen {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
// Nothing is served in a unit test: a test that needs the shipped words gives its own.
globalThis.fetch ??= () => Promise.reject(new TypeError('nothing is served here'));
globalThis.CSS ??= { escape: (text: string) => text } as typeof CSS;
globalThis.IntersectionObserver ??= NothingSeen as unknown as typeof IntersectionObserver;

const flat = (text: string | null | undefined): string => (text ?? '').replace(/\s+/g, ' ').trim();
/** Parts of a place that come a moment later are there by then. */
const LATER_MS = 130;
const NO_CHANGE = (w: Workspace): Workspace => w;

/** Long work on the same thread, over the test's own storage. */
const bulkOn = (bulk: Bulk) =>
  class extends BulkWork {
    protected override here(): Bulk {
      return bulk;
    }
  };

/** Evidence read on the same thread, from the test's own storage. */
const evidenceOn = (boxes: Boxes) =>
  class extends EvidenceWork {
    protected override here() {
      return (generation: string, learnerId: string, period: Period, at: string) =>
        EvidenceDesk.one(boxes, generation, learnerId, period, at);
    }
  };

const helpsOn = (boxes: Boxes) =>
  class extends HelpsWork {
    protected override here() {
      return async (generation: string) => {
        const desk = new HelpsDesk(boxes, generation);
        const familyIds = await desk.open(() => undefined);
        return {
          familyIds,
          figures: (asked: HelpsAsked) => desk.figures(asked),
          suggestions: (today: string) => desk.suggestions(today),
        };
      };
    }
  };

const waysOn = (boxes: Boxes) =>
  class extends WayWork {
    protected override here() {
      return (generation: string) => WayDesk.open(boxes, generation);
    }
  };

/** All of it is in memory, whatever the part itself holds: tests look where they like. */
async function inMemory(workspace: Workspace): Promise<void> {
  const index = TestBed.inject(WorkspaceStore).index;
  await new Promise<void>((done) => {
    void TestBed.inject(Parts).during(async (want) => {
      for (const { kind, ids } of allKeys(workspace)) await want(kind, ids);
      for (const kind of INDEX_NAMES) await want(kind, Object.keys(index()[kind]));
      await want('slips', Object.keys(workspace.learners));
      await want('sheets', Object.keys(workspace.frozen));
      await want('albums', Object.keys(workspace.handOuts));
      done();
      await new Promise(() => undefined);
    });
  });
}

/** A part of the interface over the demo's workspace, driven by what a person reads: names, not classes. */
export class DemoPlace<T> {
  private constructor(
    readonly fixture: ComponentFixture<T>,
    readonly work: WorkspaceStore,
    /** What was asked before something was done; every question was answered with yes. */
    readonly asked: readonly Question[],
    /** What was said at the foot of the page. */
    readonly notices: readonly string[],
  ) {}

  static async open<T>(
    part: Type<T>,
    {
      inputs = {},
      bench,
      change = NO_CHANGE,
      at,
    }: {
      inputs?: Readonly<Record<string, unknown>>;
      /** Opens the Bench there, for a part that stands in it. */
      bench?: { family: string; version?: string; chosen?: string };
      change?: (w: Workspace) => Workspace;
      /** The time it is, as 'yyyy-MM-ddTHH:mm'; left out, that of the machine. */
      at?: string;
    } = {},
  ): Promise<DemoPlace<T>> {
    const workspace = change(demo);
    const boxes = await (change === NO_CHANGE ? boxesWithDemo() : boxesWith(workspace));
    const asked: Question[] = [];
    const sure = (q: Question) => Promise.resolve(asked.push(q) > 0);
    // A second place in one test stands for a reload.
    TestBed.resetTestingModule().configureTestingModule({
      providers: [
        provideRouter([{ path: '**', children: [] }]),
        provideStore(
          { [FEATURE]: reducerOf(DESK_EDITS) },
          { runtimeChecks: { strictStateImmutability: false, strictActionImmutability: false } },
        ),
        // Nothing is laid out here: parts without their styles are made much faster.
        providePrimeNG({ unstyled: true }),
        MessageService,
        BenchView,
        { provide: BOXES, useValue: boxes },
        { provide: BulkWork, useFactory: () => new (bulkOn(new Bulk(boxes)))() },
        { provide: EvidenceWork, useFactory: () => new (evidenceOn(boxes))() },
        { provide: HelpsWork, useFactory: () => new (helpsOn(boxes))() },
        { provide: WayWork, useFactory: () => new (waysOn(boxes))() },
        // Whatever is asked is meant; what was asked is there to be looked at.
        { provide: Ask, useValue: { sure } },
      ],
    });
    if (at) {
      const clock = TestBed.inject(Clock);
      clock.local = () => at;
      clock.iso = () => `${at}:00.000Z`;
      clock.look();
    }
    const work = TestBed.inject(WorkspaceStore);
    teach(TestBed.inject(Injector));
    await TestBed.inject(KeepingSync).start();
    await inMemory(workspace);
    if (bench) {
      const view = TestBed.inject(BenchView);
      view.familyId.set(bench.family);
      view.versionId.set(bench.version ?? null);
      view.choose(bench.chosen ?? null);
    }
    const fixture = TestBed.createComponent(part);
    for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
    const notices: string[] = [];
    TestBed.inject(MessageService).messageObserver.subscribe((m) => {
      for (const x of [m].flat()) notices.push([x.summary, x.detail].filter(Boolean).join(' '));
    });
    const place = new DemoPlace(fixture, work, asked, notices);
    await place.rest();
    return place;
  }

  private get page(): HarnessLoader {
    return TestbedHarnessEnvironment.documentRootLoader(this.fixture);
  }

  /** Until everything that was begun is done. */
  async rest(): Promise<void> {
    for (let i = 0; i < 3; i++) {
      this.fixture.detectChanges();
      await new Promise((done) => setTimeout(done));
      await this.fixture.whenStable();
    }
  }

  /** Until what is drawn a moment later is there too. */
  async whole(): Promise<void> {
    await new Promise((done) => setTimeout(done, LATER_MS));
    await this.rest();
  }

  async undo(): Promise<void> {
    this.work.undo();
    await this.rest();
  }

  async redo(): Promise<void> {
    this.work.redo();
    await this.rest();
  }

  get text(): string {
    return flat(document.body.textContent);
  }

  /**
   * What is on the page under a name. The place rests before and afterwards, not at each of the elements that are looked
   * at on the way.
   * @throws Error that names all that there is of the sort.
   */
  private async named<H extends NamedHarness>(sort: Sort<H>, name: Name): Promise<H> {
    const found = await manualChangeDetection(() => this.page.getHarnessOrNull(called(sort, name)));
    if (found) return found;
    const all = await manualChangeDetection(async () =>
      Promise.all((await this.page.getAllHarnesses(sort)).map((h) => h.name())),
    );
    throw new Error(`No ${sort.hostSelector} called ${String(name)}; there are: ${all.join(' | ')}`);
  }

  private async acted<H extends NamedHarness>(sort: Sort<H>, name: Name, act: (h: H) => Promise<void>): Promise<void> {
    const found = await this.named(sort, name);
    await manualChangeDetection(() => act(found));
    await this.rest();
  }

  async has<H extends NamedHarness>(sort: Sort<H>, name: Name): Promise<boolean> {
    return await manualChangeDetection(() => this.page.hasHarness(called(sort, name)));
  }

  async button(name: Name): Promise<ButtonHarness> {
    return await this.named(ButtonHarness, name);
  }

  async field(name: Name): Promise<FieldHarness> {
    return await this.named(FieldHarness, name);
  }

  async press(name: Name): Promise<void> {
    await this.acted(ButtonHarness, name, (b) => b.press());
  }

  async check(name: Name): Promise<void> {
    await this.acted(FieldHarness, name, (f) => f.press());
  }

  /** Opens what is folded away under a name. */
  async unfold(name: Name): Promise<void> {
    await this.acted(FoldHarness, name, (f) => f.press());
  }

  /** Chooses in the menu that is open. */
  async pick(name: Name): Promise<void> {
    await this.acted(ChoiceHarness, name, (c) => c.press());
  }

  /** Writes into a field, as typing and leaving it do. */
  async write(name: Name, text: string): Promise<void> {
    await this.acted(FieldHarness, name, (f) => f.write(text));
  }

  /** Types, and stays there. */
  async type(name: Name, text: string): Promise<void> {
    await this.acted(FieldHarness, name, (f) => f.type(text));
  }

  /** Sends the form that a field stands in; with words, these are typed first. */
  async send(name: Name, text?: string): Promise<void> {
    await this.acted(FieldHarness, name, async (f) => {
      if (text !== undefined) await f.type(text);
      await f.send();
    });
  }

  /** Types, and presses Enter there. */
  async enter(name: Name, text: string): Promise<void> {
    await this.acted(FieldHarness, name, (f) => f.enter(text));
  }

  /** Chooses a file for a field. */
  async take(name: Name, file: TextFile): Promise<void> {
    await this.acted(FieldHarness, name, (f) => f.take(file));
  }

  async choose(name: Name, option: Name): Promise<void> {
    await (await this.named(SelectHarness, name)).choose(option);
    await this.rest();
  }

  async options(name: Name): Promise<string[]> {
    return await (await this.named(SelectHarness, name)).options();
  }

  /** What a select shows as chosen. */
  async chosen(name: Name): Promise<string> {
    return await (await this.named(SelectHarness, name)).value();
  }

  /** Where the place has led to. */
  get address(): string {
    return TestBed.inject(Router).url;
  }

  family(id: string): Family {
    const family = this.work.families()[id];
    if (!family) throw new Error(`no family ${id}`);
    return family;
  }

  version(family: string, id: string): Version {
    const version = this.family(family).versions.find((v) => v.id === id);
    if (!version) throw new Error(`no version ${id}`);
    return version;
  }

  /** Ids of the blocks a version shows, by page. */
  blocks(family: string, id: string): string[][] {
    return derive(this.family(family), id).content.pages.map((p) => p.blocks.map((b) => b.id));
  }
}
