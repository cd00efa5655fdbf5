import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  derive,
  listOf,
  Problem,
  readRecipe,
  type Recipe,
  type RecipeRun,
  rulesFrom,
  runRecipe,
  SHIPPED_RECIPES,
  writeRecipe,
} from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { textOf } from '../platform/files';
import { FOLD } from '../ui/controls/fold';
import { DIALOG } from '../ui/dialog';
import { Clock } from '../platform/clock';
import { download } from '../platform/download';
import { Words } from '../platform/words';
import { BenchActions } from '../store/actions';
import { FileButton } from '../ui/file-button';
import { Notice } from '../ui/notice';
import { Removal } from '../ui/removal';
import { BenchView } from './bench-view';
import { Latest } from '../ui/latest';
import { ProblemCard } from '../ui/problem';
import { counted } from '../platform/many';

/** Recipes: run one on this version after seeing what it would do; keep this version's adjustments as one. */
@Component({
  selector: 'lv-recipe-box',
  imports: [ProblemCard, ButtonDirective, DIALOG, FileButton, ...FOLD],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button pButton severity="secondary" type="button" (click)="begin()">Recipes …</button>
    <p-dialog header="Recipes" [visible]="open()" (visibleChange)="open.set($event)" [style]="{ width: '620px' }">
      <div class="two">
        <ul class="stack" aria-label="Recipes">
          @for (r of recipes(); track r.id) {
            <li>
              <button
                pButton
                severity="secondary"
                class="pick"
                type="button"
                [attr.aria-pressed]="r.id === chosen()?.id"
                (click)="choose(r)"
              >
                {{ r.name }}
              </button>
            </li>
          }
          <li>
            <button pButton severity="secondary" text type="button" (click)="keep()">
              Keep this version’s adjustments as a recipe
            </button>
          </li>
          <li>
            <lv-file-button [quiet]="true" accept=".json,application/json" (chosen)="take($event)"
              >From a file</lv-file-button
            >
          </li>
          @if (wrong(); as w) {
            <li><lv-problem [wrong]="w" /></li>
          }
        </ul>
        @if (chosen(); as r) {
          <div class="stack">
            @if (r.purpose) {
              <p class="small">{{ r.purpose }}</p>
            }
            <h3>What it would do here</h3>
            <ol class="stack says">
              @for (o of run()?.outcomes ?? []; track $index) {
                <li>
                  {{ o.says }}
                  <strong>{{
                    o.drafts.length ? counted(o.drafts.length, '{n} change', '{n} changes') : 'nothing new'
                  }}</strong>
                  @if (o.skipped.length) {
                    <lv-fold name="{{ o.skipped.length }} passed over">
                      @for (s of o.skipped; track $index) {
                        <p class="small">“{{ s.about }}”: {{ s.why }}</p>
                      }
                    </lv-fold>
                  }
                </li>
              }
            </ol>
            <div class="row">
              <button pButton type="button" [disabled]="!changes()" (click)="accept()">
                {{ changes() ? counted(changes(), 'Do {n} change', 'Do {n} changes') : 'Nothing to do' }}
              </button>
              <button pButton severity="secondary" type="button" (click)="toFile(r)">Save to a file</button>
              @if (isOwn(r)) {
                <button pButton severity="secondary" text type="button" (click)="remove(r)">Remove</button>
              }
            </div>
          </div>
        }
      </div>
    </p-dialog>
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: 220px 1fr;
      gap: 16px;
    }
    li .p-button {
      height: auto;
      white-space: normal;
      text-align: left;
    }
    .pick {
      width: 100%;
      justify-content: flex-start;
      text-align: left;
    }
    .pick[aria-pressed='true'] {
      border-color: var(--accent);
      background: var(--accent-soft);
    }
    .says {
      list-style: decimal;
      padding-left: 20px;
    }
    @media (max-width: 600px) {
      .two {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class RecipeBox {
  protected readonly counted = counted;
  protected readonly view = inject(BenchView);
  private readonly clock = inject(Clock);
  private readonly words = inject(Words);
  private readonly notice = inject(Notice);
  private readonly removal = inject(Removal);
  protected readonly open = signal(false);
  protected readonly chosen = signal<Recipe | null>(null);
  protected readonly run = signal<RecipeRun | null>(null);
  protected readonly wrong = signal<{ message: string; details: readonly string[] } | null>(null);
  protected readonly recipes = computed(() => [...SHIPPED_RECIPES, ...listOf(this.view.work.recipes())]);
  protected readonly changes = computed(() => (this.run()?.outcomes ?? []).reduce((n, o) => n + o.drafts.length, 0));

  begin(): void {
    this.wrong.set(null);
    this.open.set(true);
    const [first] = this.recipes();
    if (first) void this.choose(first);
  }

  protected isOwn(r: Recipe): boolean {
    return !SHIPPED_RECIPES.includes(r);
  }

  private readonly choosing = new Latest();

  protected async choose(r: Recipe): Promise<void> {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return;
    const isLast = this.choosing.begin();
    const lexicon = await this.words.lexicon(derive(family, version.id).content.pages);
    // The version may have changed meanwhile, or another recipe may have been pressed.
    if (!isLast() || this.view.family() !== family) return;
    const stamp = { at: this.clock.iso(), author: 'Teacher', newId: () => this.clock.newId() };
    this.chosen.set(r);
    this.run.set(runRecipe(family, version.id, r, stamp, lexicon));
  }

  protected accept(): void {
    const run = this.run();
    const r = this.chosen();
    if (!run || !r) return;
    const version = run.version;
    this.view.work.dispatch(
      BenchActions.recipeRun({ familyId: this.view.familyId(), version, label: `recipe “${r.name}”` }),
    );
    this.open.set(false);
    this.notice.done(`${this.changes()} changes by “${r.name}”`, 'One undo takes them back.');
  }

  protected keep(): void {
    const family = this.view.family();
    const version = this.view.version();
    if (!family || !version) return;
    const { rules, left } = rulesFrom(family, version);
    if (rules.length === 0) {
      const message = 'None of this version’s adjustments can be a rule.';
      this.wrong.set({ message, details: left.map((l) => `${l.name}: ${l.why}`).slice(0, 4) });
      return;
    }
    const recipe: Recipe = {
      id: this.clock.newId(),
      name: `As “${version.name}”`.slice(0, 120),
      purpose: version.purpose,
      rules,
    };
    this.view.work.dispatch(BenchActions.recipeKept({ recipe }));
    this.wrong.set(
      left.length
        ? { message: `${left.length} adjustments are about these words alone, and are not in it.`, details: [] }
        : null,
    );
    void this.choose(recipe);
  }

  protected async take(file: File): Promise<void> {
    try {
      const recipe = readRecipe(await textOf(file, 5), () => this.clock.newId());
      this.wrong.set(null);
      this.view.work.dispatch(BenchActions.recipeKept({ recipe }));
      await this.choose(recipe);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.wrong.set({ message: error.message, details: error.details });
    }
  }

  protected toFile(r: Recipe): void {
    download(new Blob([writeRecipe(r)], { type: 'application/json' }), `${r.name.replace(/\W+/g, '-')}.recipe.json`);
  }

  protected async remove(r: Recipe): Promise<void> {
    if (!(await this.removal.remove('recipe', r.id))) return;
    this.chosen.set(null);
    this.run.set(null);
  }
}
