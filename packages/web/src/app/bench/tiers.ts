import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import {
  type Block,
  classify,
  compareVersions,
  derive,
  type Family,
  type Id,
  latest,
  listOf,
  type Recipe,
  runRecipe,
  SHIPPED_RECIPES,
  type Version,
  questionNumbers,
} from '@lorvet/core';
import { measure } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../platform/clock';
import { Words } from '../platform/words';
import { BenchActions } from '../store/actions';
import { holdFamily } from '../store/hold-family';
import { WorkspaceStore } from '../store/workspace';
import { CheckBox } from '../ui/controls/check';
import { drawSwatch } from '../ui/draw-swatch';
import { Near } from '../ui/near';
import { Notice } from '../ui/notice';
import { SwatchMark } from '../ui/swatch';
import { BenchBlock } from './bench-block';
import { Latest } from '../ui/latest';
import { counted } from '../platform/many';
import { toneOf } from '../ui/tone';

const MOST = 3;
const FIRST_ROWS = 10;

interface Cell {
  readonly block: Block | null;
  readonly how: string;
}
interface Row {
  readonly id: string;
  readonly cells: readonly Cell[];
}

/** Draft versions by recipes, side by side and aligned by the master's blocks, before any of them is made. */
@Component({
  selector: 'lv-tiers',
  imports: [BenchBlock, ButtonDirective, CheckBox, InputText, Near, RouterLink, SwatchMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tiers.html',
  styleUrl: './tiers.css',
})
export class Tiers {
  protected readonly counted = counted;
  readonly familyId = input.required<string>();
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly words = inject(Words);
  private readonly notice = inject(Notice);
  private readonly router = inject(Router);
  protected readonly MOST = MOST;
  protected readonly toneOf = toneOf;
  protected readonly ready = holdFamily(() => this.familyId());
  protected readonly family = computed<Family | undefined>(() => this.work.families()[this.familyId()]);
  protected readonly title = computed(() => {
    const family = this.family();
    return family ? latest(family).content.title : '';
  });
  protected readonly recipes = computed(() => [...SHIPPED_RECIPES, ...listOf(this.work.recipes())]);
  protected readonly chosen = signal<readonly Id[]>(SHIPPED_RECIPES.slice(0, 2).map((r) => r.id));
  protected readonly names = signal<Readonly<Record<Id, string>>>({});
  /** One draft for each chosen recipe, in a family that is nowhere kept. */
  private readonly trial = signal<{ family: Family; drafts: readonly Version[] } | null>(null);

  protected readonly columns = computed(() => {
    const trial = this.trial();
    if (!trial) return [];
    return trial.drafts.map((v, i) => {
      const m = measure(derive(trial.family, v.id).content);
      return {
        id: v.id,
        swatch: v.swatch,
        recipe: this.chosen()[i] ?? '',
        name: this.names()[this.chosen()[i] ?? ''] ?? v.name,
        changes: v.adjustments.length,
        verdict: classify(trial.family, v.id),
        facts: `${m.pages} pages · ${m.items} items · ${m.words} words · about ${m.minutes.toFixed(0)} min`,
      };
    });
  });
  private readonly rows = computed(() => {
    const trial = this.trial();
    return trial ? aligned(trial.family, trial.drafts) : [];
  });
  private readonly budget = signal(FIRST_ROWS);
  protected readonly shown = computed(() => this.rows().slice(0, this.budget()));
  protected readonly isCut = computed(() => this.budget() < this.rows().length);
  /** The questions' numbers on the master's sheet, then on each draft's. */
  protected readonly numbers = computed(() => {
    const trial = this.trial();
    if (!trial) return [];
    const sheets = [null, ...trial.drafts.map((d) => d.id)].map((id) => derive(trial.family, id).whole.pages);
    return sheets.map(questionNumbers);
  });

  constructor() {
    effect(() => {
      const family = this.family();
      const recipes = this.chosen().flatMap((id) => this.recipes().find((r) => r.id === id) ?? []);
      untracked(() => void this.draft(family, recipes));
    });
  }

  protected grow(): void {
    this.budget.update((n) => n + FIRST_ROWS);
  }

  protected toggle(id: Id): void {
    const now = this.chosen();
    if (now.includes(id)) this.chosen.set(now.filter((x) => x !== id));
    else if (now.length < MOST) this.chosen.set([...now, id]);
  }

  protected rename(recipe: Id, name: string): void {
    this.names.set({ ...this.names(), [recipe]: name });
  }

  protected make(): void {
    const versions = (this.trial()?.drafts ?? []).map((v, i) => ({
      ...v,
      name: (this.columns()[i]?.name ?? v.name).trim() || v.name,
    }));
    if (versions.length === 0) return;
    const label =
      versions.length === 1 ? `new version “${versions[0]?.name ?? ''}”` : `${versions.length} new versions`;
    this.work.dispatch(BenchActions.versionsMade({ familyId: this.familyId(), versions, label }));
    this.notice.done(label.charAt(0).toUpperCase() + label.slice(1), 'One undo takes them back.');
    void this.router.navigate(['/bench', this.familyId(), versions[0]?.id]);
  }

  private readonly drafting = new Latest();

  private async draft(family: Family | undefined, recipes: readonly Recipe[]): Promise<void> {
    if (!family) return;
    const isLast = this.drafting.begin();
    const lexicon = await this.words.lexicon(latest(family).content.pages);
    if (!isLast()) return;
    const stamp = { at: this.clock.iso(), author: 'Teacher', newId: () => this.clock.newId() };
    const drafts: Version[] = [];
    let trial = family;
    for (const r of recipes) {
      const id = this.clock.newId();
      const fresh: Version = {
        id,
        name: r.name,
        swatch: drawSwatch(
          this.clock,
          [family, ...family.versions, ...drafts].map((v) => v.swatch),
        ),
        purpose: r.purpose,
        basis: null,
        upTo: latest(family).n,
        adjustments: [],
        upkeepLog: [],
      };
      trial = { ...trial, versions: [...trial.versions, fresh] };
      const { version } = runRecipe(trial, id, r, stamp, lexicon);
      trial = { ...trial, versions: trial.versions.map((v) => (v.id === id ? version : v)) };
      drafts.push(version);
    }
    this.budget.set(FIRST_ROWS);
    this.trial.set({ family: trial, drafts });
  }
}

/** The rows of all drafts beside the master: a master's block in each, and what a draft adds after it. */
function aligned(family: Family, drafts: readonly Version[]): Row[] {
  const each = drafts.map((v) => compareVersions(family, null, v.id).flatMap((p) => p.rows));
  const rows: Row[] = [];
  const added = each.map((list) => {
    const after = new Map<string, Block[]>();
    let anchor = '';
    for (const r of list)
      if (r.left) anchor = r.id;
      else if (r.right) after.set(anchor, [...(after.get(anchor) ?? []), r.right]);
    return after;
  });
  const byId = each.map((list) => new Map(list.map((r) => [r.id, r])));
  const extras = (anchor: string) => {
    const most = Math.max(0, ...added.map((a) => a.get(anchor)?.length ?? 0));
    for (let i = 0; i < most; i++)
      rows.push({
        id: `${anchor}+${i}`,
        cells: [
          { block: null, how: '' },
          ...added.map((a) => ({ block: a.get(anchor)?.[i] ?? null, how: a.get(anchor)?.[i] ? 'added' : '' })),
        ],
      });
  };
  extras('');
  for (const page of latest(family).content.pages)
    for (const block of page.blocks) {
      rows.push({
        id: block.id,
        cells: [
          { block, how: '' },
          ...byId.map((rowsOf) => {
            const r = rowsOf.get(block.id);
            return { block: r?.right ?? null, how: r?.how === 'same' ? '' : (r?.how ?? 'left out') };
          }),
        ],
      });
      extras(block.id);
    }
  return rows;
}
