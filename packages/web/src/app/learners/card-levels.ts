import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  type OnInit,
  output,
  signal,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Level, levelIn, levelsNow, READING, type Scale, SCALES, SKILLS, withLevel } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { DateField } from '../ui/controls/date';
import { Propose } from '../ui/controls/propose';
import { SELECT } from '../ui/controls/select';
import { IconButton } from '../ui/icon-button';
import { Press } from '../ui/press';
import { nearDay } from '../ui/when';
import { CardDrafts } from './card-drafts';

const DRAFT = 'level ';

const SCALE_NAMES: Readonly<Record<Scale, string>> = {
  grade: 'school grade',
  year: 'school year',
  age: 'skill age',
  percent: 'percent right',
  step: 'step of our own',
};

/** Levels by skill or objective, each with its scale and day. A new value is a new level: the one before stays, with its day. */
@Component({
  selector: 'lv-card-levels',
  imports: [IconButton, ButtonDirective, DateField, InputText, LucideDynamicIcon, Propose, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (r of rows(); track r.skill) {
        <li [class.open]="open() === r.skill">
          <div class="one">
            <button
              type="button"
              class="line"
              [attr.aria-expanded]="open() === r.skill"
              (click)="open.set(open() === r.skill ? null : r.skill)"
            >
              <svg [lucideIcon]="open() === r.skill ? 'chevron-down' : 'chevron-right'"></svg>
              <span
                ><strong>{{ r.skill }}</strong> <small>{{ r.says }}</small></span
              >
            </button>
            <input
              pInputText
              #v
              inputmode="decimal"
              maxlength="12"
              [value]="wrong()[r.skill]?.text ?? (r.level ? r.level.value : '')"
              [attr.aria-label]="r.skill + ': level'"
              [attr.aria-invalid]="!!wrong()[r.skill]"
              (change)="write(r.skill, r.level, v.value)"
            />
          </div>
          @if (wrong()[r.skill]; as w) {
            <p class="small wrong" role="alert">{{ w.why }}</p>
          }
          @if (open() === r.skill) {
            <div class="two">
              <lv-select
                label="Counted in"
                [value]="r.level?.scale ?? scales()[r.skill] ?? 'grade'"
                (chosen)="count(r.skill, r.level, $event)"
              >
                @for (s of scaleNames; track s[0]) {
                  <lv-option [value]="s[0]" [label]="s[1]" />
                }
              </lv-select>
              @if (r.level; as l) {
                <lv-date label="On" [value]="l.on" (told)="redate(l, $event)" />
              }
            </div>
            @for (b of r.before; track $index) {
              <div class="row before">
                <span class="grow">{{ b.says }}</span>
                <button
                  type="button"
                  lvIcon="x"
                  [says]="'Remove: ' + r.skill + ' ' + b.says"
                  (click)="remove(b.level)"
                ></button>
              </div>
            }
            @if (r.level; as l) {
              <button pButton severity="secondary" text type="button" (click)="remove(l)">
                <svg lucideIcon="trash-2"></svg>Remove the level of now
              </button>
            }
          }
        </li>
      }
    </ul>
    <lv-propose
      label="Another skill or objective"
      placeholder="type or choose"
      [options]="others()"
      (told)="added.set([...added(), $event])"
    />
  `,
  styleUrl: './card-part.css',
  styles: `
    .one {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 66px;
      gap: 6px;
      align-items: center;
    }
    .before {
      font-size: 14px;
      color: var(--ink-2);
    }
  `,
})
export class CardLevels implements OnInit {
  readonly learnerId = input.required<string>();
  readonly levels = input.required<readonly Level[]>();
  /** ISO date. */
  readonly today = input.required<string>();
  /** Objectives that a level can be held by, with their ids. */
  readonly objectives = input<readonly { readonly id: string; readonly text: string }[]>([]);
  readonly changed = output<Level[]>();
  protected readonly open = signal<string | null>(null);
  protected readonly scaleNames = Object.entries(SCALE_NAMES) as [Scale, string][];
  /** Skills that were asked for and have no value yet; the scale that was chosen before the value. */
  protected readonly added = signal<readonly string[]>([]);
  protected readonly scales = signal<Readonly<Record<string, Scale>>>({});
  /** What was written and is no level; it stays in the field. */
  protected readonly wrong = signal<Readonly<Record<string, { text: string; why: string } | undefined>>>({});

  private readonly drafts = inject(CardDrafts);
  private readonly press = inject(Press);

  ngOnInit(): void {
    for (const [field, text] of this.drafts.of(this.learnerId()))
      if (field.startsWith(DRAFT)) {
        const skill = field.slice(DRAFT.length);
        this.write(skill, levelIn(this.levels(), skill), text);
      }
  }

  protected readonly rows = computed(() => {
    const now = levelsNow(this.levels()).map((l) => l.skill);
    const empty = [READING, ...this.added()].filter((s) => !now.some((n) => n.toLowerCase() === s.toLowerCase()));
    return [...new Set([...now, ...empty])].map((skill) => {
      const level = levelIn(this.levels(), skill);
      const before = this.levels()
        .filter((l) => l !== level && l.skill.toLowerCase() === skill.toLowerCase())
        .sort((a, b) => b.on.localeCompare(a.on))
        .map((l) => ({ level: l, says: this.say(l) }));
      const last = before[0]?.level;
      const says = level
        ? [this.say(level, true), last ? `before ${last.value}` : ''].filter(Boolean).join(' · ')
        : 'not known';
      return { skill, level, before, says };
    });
  });
  protected readonly others = computed(() => {
    const here = new Set(this.rows().map((r) => r.skill.toLowerCase()));
    return [...SKILLS, ...this.objectives().map((o) => o.text)].filter((s) => !here.has(s.toLowerCase()));
  });

  /** A level without its skill; its value stands in the field. */
  private say(l: Level, bare = false): string {
    const counted = bare ? SCALE_NAMES[l.scale] : SCALES[l.scale].says(l.value);
    return l.on ? `${counted}, ${nearDay(l.on, this.today())}` : counted;
  }

  protected write(skill: string, level: Level | undefined, text: string): void {
    const scale = level?.scale ?? this.scales()[skill] ?? 'grade';
    const { least, most, name } = SCALES[scale];
    const value = text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'));
    if (value === undefined) {
      this.tell(skill);
      if (level) this.remove(level);
      return;
    }
    if (!(value >= least && value <= most)) {
      const why = `“${text.slice(0, 24)}” is no level. Write a ${name} from ${least} to ${most}, such as ${scale === 'grade' ? 3.5 : Math.round((least + most) / 2)}.`;
      this.tell(skill, { text, why });
      return;
    }
    this.tell(skill);
    const objective = this.objectives().find((o) => o.text === skill);
    const id = level?.objectiveId ?? objective?.id;
    const next: Level = { skill, scale, value, on: this.today(), ...(id ? { objectiveId: id } : {}) };
    // What was true before stays, unless its day is not known or is this one.
    const kept = level?.on === '' ? this.levels().filter((l) => l !== level) : this.levels();
    this.changed.emit(withLevel(kept, next));
  }

  protected count(skill: string, level: Level | undefined, scale: Scale): void {
    if (!level) return this.scales.update((all) => ({ ...all, [skill]: scale }));
    const value = Math.min(Math.max(level.value, SCALES[scale].least), SCALES[scale].most);
    this.change(level, { scale, value });
  }

  protected redate(level: Level, on: string): void {
    this.change(level, { on });
  }

  protected remove(level: Level): void {
    this.changed.emit(this.levels().filter((l) => l !== level));
  }

  private change(level: Level, patch: Partial<Level>): void {
    this.changed.emit(this.levels().map((l) => (l === level ? { ...l, ...patch } : l)));
  }

  /** What of it cannot be kept, in words. */
  whyWrong(): string[] {
    return Object.values(this.wrong()).flatMap((w) => w?.why ?? []);
  }

  private tell(skill: string, wrong?: { text: string; why: string }): void {
    this.drafts.put(this.learnerId(), `${DRAFT}${skill}`, wrong?.text);
    // A line that comes or goes would take a press from what lies below.
    this.press.after(() => this.wrong.update((all) => ({ ...all, [skill]: wrong })));
  }
}
