import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  type Block,
  DEMANDS,
  findBlock,
  isItem,
  type ItemBlock,
  listOf,
  mostAt,
  mostIn,
  objectiveSchema,
  objectiveCoverage,
  whereUsedInSteps,
  questionNumbers,
} from '@lorvet/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { BenchView, nameOf } from './bench-view';
import { inTurns } from '../ui/in-turns';
import { measured } from '../ui/measured';
import { withoutObjective } from './master-edits';
import { MeasuresTable } from './measures-table';
import { NumberRules } from './number-rules';
import { QtiOut } from './qti-out';
import { Parts } from '../store/parts';

/** Beside the master: what the chosen item is for, where it is used; else what the activity is for. */
@Component({
  selector: 'lv-master-panel',
  imports: [NumberRules, MeasuresTable, QtiOut, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.master(); as master) {
      <div class="stack">
        @if (chosen(); as b) {
          <h3>Chosen: {{ b.name }}</h3>
          @if (b.item; as item) {
            <label class="field"
              >Objective
              <select #o (change)="set(item, { objectiveId: o.value || undefined })">
                <option value="">none</option>
                @for (x of master.objectives; track x.id) {
                  <option [value]="x.id" [selected]="x.id === item.objectiveId">{{ x.text }}</option>
                }
              </select>
            </label>
            <div class="two">
              <label class="field"
                >Demand
                <select #d (change)="setDemand(item, d.value)">
                  @for (x of demands; track x) {
                    <option [value]="x" [selected]="x === item.demand">{{ x }}</option>
                  }
                </select>
              </label>
              <label class="field"
                >Points
                <input
                  #p
                  type="number"
                  min="0"
                  max="100"
                  [value]="item.points"
                  (change)="set(item, { points: clamp(p.valueAsNumber) })"
                />
              </label>
            </div>
            <label class="field"
              >Hint for everybody
              <textarea
                #h
                rows="2"
                [maxLength]="mostInHint"
                [value]="item.hint ?? ''"
                (change)="set(item, { hint: h.value.trim() || undefined })"
              ></textarea>
            </label>
            <label class="check"
              ><input
                type="checkbox"
                #opt
                [checked]="item.optional"
                (change)="set(item, { optional: opt.checked || undefined })"
              />Optional: a recipe may leave it out</label
            >
            @if (item.kind === 'number') {
              <lv-number-rules
                [block]="item"
                (changed)="view.changeBlock(item.id, $event, 'numbers that may be others')"
              />
            }
            @if (item.kind === 'short-text') {
              <label class="check"
                ><input
                  type="checkbox"
                  #s
                  [checked]="item.spellingTolerant"
                  (change)="set(item, { spellingTolerant: s.checked })"
                />A slip of spelling still counts</label
              >
            }
          } @else if (b.canBeTeachers) {
            <label class="check"
              ><input
                type="checkbox"
                #t
                [checked]="b.block.audience === 'teacher'"
                (change)="setAudience(b.block, t.checked)"
              />Only for you, never shown to learners</label
            >
          }
          @if (uses(); as all) {
            <h3>In the versions</h3>
            <ul class="uses">
              @for (u of all; track u.versionId) {
                <li>
                  <strong>{{ u.versionName }}</strong>
                  {{ u.how === 'not in it' ? 'gets it with the next revision' : u.how }}
                  <small>{{ u.learnerIds.length }} learner{{ u.learnerIds.length === 1 ? '' : 's' }}</small>
                </li>
              }
            </ul>
          }
          <button class="btn quiet" type="button" (click)="view.chosen.set(null)">About the whole activity</button>
        } @else {
          <h3>About this activity</h3>
          <label class="field"
            >Title
            <input
              #title
              maxlength="200"
              [value]="master.title"
              (change)="about({ title: title.value.trim() || master.title })"
          /></label>
          <label class="field"
            >Subject
            <input
              #subject
              maxlength="100"
              [value]="master.subject"
              (change)="about({ subject: subject.value.trim() })"
          /></label>
          <label class="field"
            >Ages <input #ages maxlength="40" [value]="master.ages" (change)="about({ ages: ages.value.trim() })"
          /></label>
          <h3>Objectives</h3>
          <ul class="stack objectives">
            @for (o of master.objectives; track o.id) {
              <li class="row">
                <input
                  class="input grow"
                  #text
                  [maxLength]="mostInObjective"
                  [value]="o.text"
                  [attr.aria-label]="'Objective ' + ($index + 1)"
                  (change)="objective(o.id, text.value)"
                />
                <span class="tag" [class.madder]="!asked().get(o.id)" [title]="'Items that ask for this objective'">{{
                  asked().get(o.id) ?? 0
                }}</span>
                <button
                  class="btn quiet icon"
                  type="button"
                  [attr.aria-label]="'Remove objective ' + o.text"
                  (click)="objective(o.id, '')"
                >
                  <svg lucideIcon="x"></svg>
                </button>
              </li>
            }
            <li>
              <form class="row" (submit)="$event.preventDefault(); addObjective(fresh.value); fresh.value = ''">
                <input
                  class="input grow"
                  #fresh
                  maxlength="300"
                  aria-label="New objective"
                  placeholder="New objective"
                /><button class="btn" type="submit">Add</button>
              </form>
            </li>
            @if (listed().length) {
              <li>
                <select
                  class="input"
                  #l
                  aria-label="Take an objective from your list"
                  (change)="takeListed(l.value); l.value = ''"
                >
                  <option value="">From your list …</option>
                  @for (o of listed(); track o.id) {
                    <option [value]="o.id">{{ o.code }} {{ o.text }}</option>
                  }
                </select>
              </li>
            }
          </ul>
          @if (measures(); as m) {
            <lv-measures-table [master]="m" />
          }
          <lv-qti-out />
        }
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .two {
      display: grid;
      grid-template-columns: 1fr 80px;
      gap: 8px;
    }
    .uses li {
      padding: 5px 0;
      border-bottom: 1px solid var(--line);
    }
    .uses small {
      display: block;
    }
    .objectives {
      gap: 5px;
    }
    .objectives .row {
      gap: 2px;
      flex-wrap: nowrap;
    }
  `,
})
export class MasterPanel {
  protected readonly view = inject(BenchView);
  protected readonly demands = DEMANDS;
  protected readonly mostInHint = mostIn('single-choice', 'hint');
  protected readonly mostInObjective = mostAt(objectiveSchema, 'text');
  protected readonly measures = measured(() => this.view.master());
  protected readonly chosen = computed(() => {
    const master = this.view.master();
    const block = master && findBlock(master, this.view.chosenInPanel() ?? '')?.block;
    if (!master || !block) return null;
    const canBeTeachers = ['text', 'instruction', 'picture', 'heading'].includes(block.kind);
    return {
      block,
      item: isItem(block) ? block : null,
      name: nameOf(block, questionNumbers(master.pages).get(block.id) ?? 0),
      canBeTeachers,
    };
  });
  protected readonly uses = inTurns(() => {
    const family = this.view.family();
    const id = this.view.chosenInPanel();
    return family && id ? whereUsedInSteps(family, id, this.view.work.handOutHeads()) : null;
  });

  constructor() {
    void inject(Parts).list('objectives');
  }

  protected clamp(n: number): number {
    return Number.isFinite(n) ? Math.min(100, Math.max(0, n)) : 1;
  }

  protected set(
    item: ItemBlock,
    patch: { [K in 'objectiveId' | 'hint' | 'optional' | 'points' | 'spellingTolerant']?: unknown },
  ): void {
    this.view.changeBlock(
      item.id,
      (b) => {
        const next: Record<string, unknown> = { ...b, ...patch };
        for (const [k, v] of Object.entries(patch)) if (v === undefined) delete next[k];
        return next as Block;
      },
      'what an item is for',
    );
  }

  protected setDemand(item: ItemBlock, value: string): void {
    const demand = DEMANDS.find((d) => d === value);
    if (demand) this.view.changeBlock(item.id, (b) => (isItem(b) ? { ...b, demand } : b), 'demand of an item');
  }

  protected setAudience(block: Block, teacher: boolean): void {
    this.view.changeBlock(
      block.id,
      (b) => (b.kind === 'teacher-note' ? b : { ...b, audience: teacher ? 'teacher' : 'learner' }),
      'whom a block is for',
    );
  }

  protected about(patch: { title?: string; subject?: string; ages?: string }): void {
    this.view.changeMaster((c) => ({ ...c, ...patch }), 'about this activity');
  }

  protected objective(id: string, text: string): void {
    const words = text.trim();
    this.view.changeMaster(
      (c) =>
        words
          ? { ...c, objectives: c.objectives.map((o) => (o.id === id ? { ...o, text: words } : o)) }
          : withoutObjective(c, id),
      'objectives',
    );
  }

  /** How many items ask for each objective. */
  protected readonly asked = computed(() => {
    const master = this.view.master();
    return new Map(master ? objectiveCoverage(master).map((o) => [o.id, o.items]) : []);
  });
  /** Those of the teacher's list that this activity does not name yet. */
  protected readonly listed = computed(() => {
    const here = new Set(this.view.master()?.objectives.map((o) => o.id));
    return listOf(this.view.work.objectives()).filter((o) => !here.has(o.id));
  });

  /** An objective keeps its id, so that it is one and the same in every activity. */
  protected takeListed(id: string): void {
    const objective = this.view.work.objectives()[id];
    if (objective)
      this.view.changeMaster(
        (c) => ({ ...c, objectives: [...c.objectives, { id: objective.id, text: objective.text }] }),
        'objectives',
      );
  }

  protected addObjective(text: string): void {
    const [id] = this.view.work.stamp(1).ids;
    if (text.trim() && id)
      this.view.changeMaster((c) => ({ ...c, objectives: [...c.objectives, { id, text: text.trim() }] }), 'objectives');
  }
}
