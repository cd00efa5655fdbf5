import { ChangeDetectionStrategy, Component, effect, inject, input, output, signal } from '@angular/core';
import { type Learner, type NeedsCard, type People, SUPPORTS } from '@lorvet/core';
import { Clock } from '../platform/clock';

export interface SavedCard {
  readonly learner: Learner;
  readonly classId: string | null;
  readonly groupIds: readonly string[];
}

const list = (text: string) =>
  text
    .split(',')
    .map((s) => s.trim())
    .filter(Boolean);

/** What a teacher knows of a learner. */
@Component({
  selector: 'lv-needs-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form
      class="stack"
      (submit)="
        $event.preventDefault();
        save(
          name.value,
          home.value,
          grade.value,
          languages.value,
          interests.value,
          goals.value,
          more.checked,
          note.value,
          { chosenName: chosen.value.trim(), birthday: birthday.value, fields: fieldsOf(own.value) }
        )
      "
    >
      <h2>{{ isNew() ? 'New learner' : learner().name }}</h2>
      <label class="field"
        >Name <input #name required maxlength="120" [value]="learner().name" autocomplete="off"
      /></label>
      <div class="two">
        <label class="field"
          >Class
          <select #home>
            <option value="">none</option>
            @for (c of people().classes; track c.id) {
              <option [value]="c.id" [selected]="c.id === classId()">{{ c.name }}</option>
            }
          </select>
        </label>
        <label class="field"
          >Reads at grade
          <input
            #grade
            inputmode="decimal"
            [value]="learner().needs.readingGrade ?? ''"
            placeholder="0 to 13"
            [attr.aria-invalid]="wrong() !== ''"
            aria-describedby="grade-wrong"
        /></label>
      </div>
      <p class="small wrong" id="grade-wrong" role="alert">{{ wrong() }}</p>
      <fieldset>
        <legend>Supports agreed</legend>
        @for (s of supports; track s) {
          <label class="check"><input type="checkbox" [checked]="agreed().has(s)" (change)="toggle(s)" />{{ s }}</label>
        }
        <label class="check"
          ><input type="checkbox" #more [checked]="learner().needs.wantsMore" />standard tasks are too easy: wants
          more</label
        >
      </fieldset>
      <label class="field">Goals, one a line <textarea #goals rows="2" [value]="goalLines()"></textarea></label>
      <label class="field"
        >Interests, parted by commas <input #interests [value]="learner().needs.interests.join(', ')"
      /></label>
      <div class="two wide">
        <label class="field"
          >Called <input #chosen maxlength="80" [value]="learner().chosenName" autocomplete="off"
        /></label>
        <label class="field">Birthday <input #birthday type="date" [value]="learner().birthday" /></label>
      </div>
      <label class="field"
        >Fields of your own, one a line, such as “pet: a cat”
        <textarea #own rows="2" [value]="fieldLines()"></textarea>
      </label>
      <label class="field">Languages at home <input #languages [value]="learner().needs.languages.join(', ')" /></label>
      <fieldset>
        <legend>Groups</legend>
        @for (g of people().groups; track g.id) {
          <label class="check"
            ><input type="checkbox" [checked]="inGroups().has(g.id)" (change)="toggleGroup(g.id)" />{{ g.name }}</label
          >
        } @empty {
          <p class="small">No groups yet.</p>
        }
      </fieldset>
      <label class="field"
        >Note <textarea #note rows="2" maxlength="1000" [value]="learner().needs.note"></textarea>
      </label>
      <div class="row">
        <button class="btn main" type="submit">Keep the card</button><span class="grow"></span>
        @if (!isNew()) {
          <button class="btn quiet" type="button" (click)="removed.emit()">Remove</button>
        }
      </div>
    </form>
  `,
  styles: `
    .two {
      display: grid;
      grid-template-columns: 1fr 110px;
      gap: 8px;
    }
    .two.wide {
      grid-template-columns: 1fr 1fr;
    }
    .wrong {
      color: var(--madder);
    }
    .wrong:empty {
      display: none;
    }
  `,
})
export class NeedsCardForm {
  readonly learner = input.required<Learner>();
  readonly isNew = input(false);
  readonly people = input.required<People>();
  readonly classId = input('');
  readonly groupIds = input<readonly string[]>([]);
  readonly saved = output<SavedCard>();
  readonly removed = output();

  private readonly clock = inject(Clock);
  protected readonly supports = SUPPORTS;
  protected readonly agreed = signal<ReadonlySet<NeedsCard['supports'][number]>>(new Set());
  protected readonly inGroups = signal<ReadonlySet<string>>(new Set());
  protected readonly wrong = signal('');

  constructor() {
    effect(() => {
      this.agreed.set(new Set(this.learner().needs.supports));
      this.inGroups.set(new Set(this.groupIds()));
      this.wrong.set('');
    });
  }

  protected goalLines(): string {
    return this.learner()
      .needs.goals.map((g) => g.text)
      .join('\n');
  }

  protected fieldLines(): string {
    return Object.entries(this.learner().fields)
      .map(([name, value]) => `${name}: ${value}`)
      .join('\n');
  }

  protected fieldsOf(lines: string): Learner['fields'] {
    const parted = lines.split('\n').map((l) => /^\s*([^:]{1,40}?)\s*:\s*(.{1,80}?)\s*$/.exec(l));
    return Object.fromEntries(parted.flatMap((m) => (m?.[1] && m[2] ? [[m[1], m[2]] as const] : [])));
  }

  protected toggle(support: NeedsCard['supports'][number]): void {
    const next = new Set(this.agreed());
    if (!next.delete(support)) next.add(support);
    this.agreed.set(next);
  }

  protected toggleGroup(id: string): void {
    const next = new Set(this.inGroups());
    if (!next.delete(id)) next.add(id);
    this.inGroups.set(next);
  }

  protected save(
    name: string,
    classId: string,
    grade: string,
    languages: string,
    interests: string,
    goals: string,
    wantsMore: boolean,
    note: string,
    person: Pick<Learner, 'chosenName' | 'birthday' | 'fields'>,
  ): void {
    const readingGrade = grade.trim() === '' ? null : Number(grade.replace(',', '.'));
    if (readingGrade !== null && !(readingGrade >= 0 && readingGrade <= 13)) {
      this.wrong.set(`“${grade}” is no reading level. Write a school grade from 0 to 13, such as 3.5.`);
      return;
    }
    if (!name.trim()) return;
    const before = this.learner();
    const needs: NeedsCard = {
      ...before.needs,
      readingGrade,
      supports: SUPPORTS.filter((s) => this.agreed().has(s)),
      languages: list(languages),
      interests: list(interests),
      goals: goals
        .split('\n')
        .map((g) => g.trim())
        .filter(Boolean)
        .map((text) => ({ id: before.needs.goals.find((g) => g.text === text)?.id ?? this.clock.newId(), text })),
      wantsMore,
      note: note.trim(),
    };
    this.saved.emit({
      learner: { ...before, ...person, name: name.trim(), needs },
      classId: classId || null,
      groupIds: [...this.inGroups()],
    });
  }
}
