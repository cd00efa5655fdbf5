import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  type Block,
  DEMANDS,
  findBlock,
  isItem,
  type ItemBlock,
  LANGUAGES,
  LANGUAGE_LABELS,
  listOf,
  proposeProtects,
  SKILL_LABELS,
  SKILLS,
  mostAt,
  mostIn,
  objectiveSchema,
  objectiveCoverage,
  whereUsedInSteps,
  questionNumbers,
} from '@lorvet/core';
import { languageOf } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { CheckBox } from '../ui/controls/check';
import { NumberField } from '../ui/controls/number';
import { Several } from '../ui/controls/several';
import { SELECT } from '../ui/controls/select';
import { IconButton } from '../ui/icon-button';
import { BenchView, nameOf } from './bench-view';
import { inTurns } from '../ui/in-turns';
import { measured } from '../ui/measured';
import { withoutObjective } from './master-edits';
import { MeasuresTable } from './measures-table';
import { NumberRules } from './number-rules';
import { QtiOut } from './qti-out';
import { Parts } from '../store/parts';
import { many } from '../platform/many';

/** Beside the master: what the chosen item is for, where it is used; else what the activity is for. */
@Component({
  selector: 'lv-master-panel',
  imports: [
    IconButton,
    ButtonDirective,
    CheckBox,
    InputText,
    MeasuresTable,
    NumberField,
    NumberRules,
    Several,
    QtiOut,
    Textarea,
    ...SELECT,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.master(); as master) {
      <div class="stack">
        @if (chosen(); as b) {
          <h3>Chosen: {{ b.name }}</h3>
          @if (b.item; as item) {
            <lv-select
              label="Objective"
              [value]="item.objectiveId"
              (chosen)="set(item, { objectiveId: $event || undefined })"
            >
              <lv-option value="" label="none" />
              @for (x of master.objectives; track x.id) {
                <lv-option [value]="x.id" [label]="x.text" />
              }
            </lv-select>
            <div class="two">
              <lv-select label="Demand" [value]="item.demand" (chosen)="setDemand(item, $event)">
                @for (x of demands; track x) {
                  <lv-option [value]="x" [label]="x" />
                }
              </lv-select>
              <lv-number
                label="Points"
                [min]="0"
                [max]="100"
                [value]="item.points"
                (told)="set(item, { points: clamp($event) })"
              />
            </div>
            <label class="field"
              >Hint for everybody
              <textarea
                pTextarea
                #h
                rows="2"
                [maxLength]="mostInHint"
                [value]="item.hint ?? ''"
                (change)="set(item, { hint: h.value.trim() || undefined })"
              ></textarea>
            </label>
            <lv-check [on]="item.optional ?? false" (turned)="set(item, { optional: $event || undefined })"
              >Optional: a recipe may leave it out</lv-check
            >
            @if (item.kind === 'number') {
              @if (item.unit) {
                <lv-check [on]="item.otherUnits ?? false" (turned)="set(item, { otherUnits: $event || undefined })"
                  >The same amount in another unit counts</lv-check
                >
              }
              <lv-number-rules
                [block]="item"
                (changed)="view.changeBlock(item.id, $event, 'numbers that may be others')"
              />
            }
            @if (item.kind === 'short-text' || item.kind === 'long-text' || item.kind === 'number') {
              <lv-check [on]="item.signs ?? false" (turned)="set(item, { signs: $event || undefined })"
                >Signs and formulas for maths beside the field</lv-check
              >
            }
            @if (item.kind === 'short-text') {
              <lv-check [on]="item.spellingTolerant" (turned)="set(item, { spellingTolerant: $event })"
                >A slip of spelling still counts</lv-check
              >
            }
          } @else if (b.canBeTeachers) {
            @if (b.block.kind === 'text' || b.block.kind === 'passage') {
              <lv-select
                label="Language of this text"
                [value]="b.block.language ?? ''"
                (chosen)="setLanguageOf(b.block, $event)"
              >
                <lv-option value="" label="as found" />
                @for (l of LANGUAGES; track l) {
                  <lv-option [value]="l" [label]="LABELS[l]" />
                }
              </lv-select>
            }
            <lv-check [on]="b.block.audience === 'teacher'" (turned)="setAudience(b.block, $event)"
              >Only for you, never shown to learners</lv-check
            >
          }
          @if (uses(); as all) {
            <h3>In the versions</h3>
            <ul class="uses">
              @for (u of all; track u.versionId) {
                <li>
                  <strong>{{ u.versionName }}</strong>
                  {{ u.how === 'not in it' ? 'gets it with the next revision' : u.how }}
                  <small>{{ many(u.learnerIds.length, 'learner') }}</small>
                </li>
              }
            </ul>
          }
          <button pButton severity="secondary" text type="button" (click)="view.chosen.set(null)">
            About the whole activity
          </button>
        } @else {
          <h3>About this activity</h3>
          <label class="field"
            >Title
            <input
              pInputText
              #title
              maxlength="200"
              [value]="master.title"
              (change)="about({ title: title.value.trim() || master.title })"
          /></label>
          <label class="field"
            >Subject
            <input
              pInputText
              #subject
              maxlength="100"
              [value]="master.subject"
              (change)="about({ subject: subject.value.trim() })"
          /></label>
          <label class="field"
            >Ages
            <input pInputText #ages maxlength="40" [value]="master.ages" (change)="about({ ages: ages.value.trim() })"
          /></label>
          <lv-select label="Language of its texts" [value]="master.language ?? ''" (chosen)="setLanguage($event)">
            <lv-option value="" label="as found: {{ LABELS[found()] }}" />
            @for (l of LANGUAGES; track l) {
              <lv-option [value]="l" [label]="LABELS[l]" />
            }
          </lv-select>
          <h3>Objectives</h3>
          <ul class="stack objectives">
            @for (o of master.objectives; track o.id) {
              <li class="objective">
                <div class="row">
                  <input
                    pInputText
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
                    type="button"
                    lvIcon="x"
                    [says]="'Remove objective ' + o.text"
                    (click)="objective(o.id, '')"
                  ></button>
                </div>
                <lv-several
                  class="protects"
                  [label]="'Objective ' + ($index + 1) + ' protects'"
                  [options]="skills"
                  [value]="protects().get(o.id) ?? []"
                  [placeholder]="o.protects ? 'nothing that a support takes over' : 'not said: you are asked'"
                  (told)="protect(o.id, $event)"
                />
              </li>
            }
            <li>
              <form class="row" (submit)="$event.preventDefault(); addObjective(fresh.value); fresh.value = ''">
                <input
                  pInputText
                  class="input grow"
                  #fresh
                  maxlength="300"
                  aria-label="New objective"
                  placeholder="New objective"
                /><button pButton severity="secondary" type="submit">Add</button>
              </form>
            </li>
            @if (listed().length) {
              <li>
                <lv-select
                  label="Take an objective from your list"
                  hideLabel
                  placeholder="From your list …"
                  value=""
                  (chosen)="takeListed($event)"
                >
                  @for (o of listed(); track o.id) {
                    <lv-option [value]="o.id" label="{{ o.code }} {{ o.text }}" />
                  }
                </lv-select>
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
    .objective {
      padding-bottom: 8px;
      border-bottom: 1px solid var(--line);
    }
    .objectives .row {
      gap: 2px;
      flex-wrap: nowrap;
    }
  `,
})
export class MasterPanel {
  protected readonly many = many;
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

  protected readonly skills = SKILLS.map((id) => ({ id, label: SKILL_LABELS[id] }));

  protected clamp(n: number | null): number {
    return n === null ? 1 : Math.min(100, Math.max(0, n));
  }

  protected set(
    item: ItemBlock,
    patch: {
      [K in 'objectiveId' | 'hint' | 'optional' | 'points' | 'signs' | 'spellingTolerant' | 'otherUnits']?: unknown;
    },
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

  protected readonly LANGUAGES = LANGUAGES;
  protected readonly LABELS = LANGUAGE_LABELS;
  /** The language that the texts are found to be in. */
  protected readonly found = computed(() => {
    const master = this.view.master();
    if (!master) return 'en';
    const { language: _, ...rest } = master;
    return languageOf(rest);
  });

  protected setLanguage(value: string): void {
    const language = LANGUAGES.find((l) => l === value);
    this.view.changeMaster(({ language: _, ...c }) => (language ? { ...c, language } : c), 'language of the texts');
  }

  /** The language of one text, where it is another than the activity's. */
  protected setLanguageOf(block: Block, value: string): void {
    const language = LANGUAGES.find((l) => l === value);
    this.view.changeBlock(
      block.id,
      (b) => {
        if (b.kind !== 'text' && b.kind !== 'passage') return b;
        const { language: _, ...rest } = b;
        return language ? { ...rest, language } : rest;
      },
      'language of a text',
    );
  }

  /** What the teacher said that an objective protects, or what its words name. */
  protected readonly protects = computed(
    () => new Map((this.view.master()?.objectives ?? []).map((o) => [o.id, o.protects ?? proposeProtects(o.text)])),
  );

  protected protect(id: string, skills: readonly string[]): void {
    const protects = SKILLS.filter((s) => skills.includes(s));
    this.view.changeMaster(
      (c) => ({ ...c, objectives: c.objectives.map((o) => (o.id === id ? { ...o, protects } : o)) }),
      'what an objective protects',
    );
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
