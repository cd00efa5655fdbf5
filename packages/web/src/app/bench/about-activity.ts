import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  LANGUAGES,
  LANGUAGE_LABELS,
  listOf,
  mostAt,
  objectiveCoverage,
  objectiveSchema,
  proposeProtects,
  SKILL_LABELS,
  SKILLS,
} from '@lorvet/core';
import { languageOf } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { SELECT } from '../ui/controls/select';
import { Several } from '../ui/controls/several';
import { IconButton } from '../ui/icon-button';
import { measured } from '../ui/measured';
import { Parts } from '../store/parts';
import { BenchView } from './bench-view';
import { withoutObjective } from './master-edits';
import { MeasuresTable } from './measures-table';
import { QtiOut } from './qti-out';
import { ReportOut } from './report-out';

/** What the activity is for: its name, its language, its objectives and what they protect; and its measures. */
@Component({
  selector: 'lv-about-activity',
  imports: [ButtonDirective, IconButton, InputText, MeasuresTable, QtiOut, ReportOut, Several, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view.master(); as master) {
      <div class="stack">
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
        <lv-report-out />
      </div>
    }
  `,
  styles: `
    :host {
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
export class AboutActivity {
  protected readonly view = inject(BenchView);
  protected readonly LANGUAGES = LANGUAGES;
  protected readonly LABELS = LANGUAGE_LABELS;
  protected readonly mostInObjective = mostAt(objectiveSchema, 'text');
  protected readonly measures = measured(() => this.view.master());
  constructor() {
    void inject(Parts).list('objectives');
  }

  protected readonly skills = SKILLS.map((id) => ({ id, label: SKILL_LABELS[id] }));

  protected about(patch: { title?: string; subject?: string; ages?: string }): void {
    this.view.changeMaster((c) => ({ ...c, ...patch }), 'about this activity');
  }

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
