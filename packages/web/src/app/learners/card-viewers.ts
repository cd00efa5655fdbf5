import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { CARD_PARTS, type CardPart, type NeedsCard, type Viewer } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';

const VIEWERS: readonly (readonly [Viewer, string])[] = [
  ['teacher', 'me'],
  ['team', 'the team'],
  ['family', 'the family'],
];
const PART_NAMES: Readonly<Record<CardPart, string>> = {
  levels: 'Levels',
  supports: 'Supports agreed',
  goals: 'Goals',
  languages: 'Languages',
  interests: 'Interests',
  birthday: 'Birthday',
  works: 'What works',
  avoid: 'What to avoid',
  note: 'Note',
};

/** Who may see which part of a card, and the card as each of them may. */
@Component({
  selector: 'lv-card-viewers',
  imports: [ButtonDirective, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table aria-label="Who may see which part">
      <thead>
        <tr>
          <th scope="col">Part</th>
          @for (v of viewers; track v[0]) {
            <th scope="col">{{ v[1] }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (p of parts; track p) {
          <tr>
            <th scope="row">{{ names[p] }}</th>
            @for (v of viewers; track v[0]) {
              <td>
                <label
                  ><input
                    type="radio"
                    [name]="'see-' + p"
                    [checked]="(seenBy()[p] ?? 'teacher') === v[0]"
                    [attr.aria-label]="names[p] + ': ' + (v[0] === 'teacher' ? 'only me' : v[1])"
                    (change)="show(p, v[0])"
                /></label>
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
    <p class="small">“The family” is seen by the team too.</p>
    <div class="row">
      <a pButton severity="secondary" [routerLink]="['/learners/cards', learnerId()]" [queryParams]="{ for: 'team' }"
        >As the team sees it</a
      >
      <a pButton severity="secondary" [routerLink]="['/learners/cards', learnerId()]" [queryParams]="{ for: 'family' }"
        >As the family sees it</a
      >
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    th,
    td {
      padding: 1px 6px;
      text-align: center;
      font-size: 14px;
    }
    th[scope='row'],
    th:first-child {
      text-align: start;
      font-weight: 400;
    }
    label {
      display: grid;
      place-items: center;
      min-height: 26px;
      cursor: pointer;
    }
  `,
})
export class CardViewers {
  readonly learnerId = input.required<string>();
  readonly seenBy = input.required<NeedsCard['seenBy']>();
  readonly changed = output<NeedsCard['seenBy']>();
  protected readonly viewers = VIEWERS;
  protected readonly parts = CARD_PARTS;
  protected readonly names = PART_NAMES;

  protected show(part: CardPart, viewer: Viewer): void {
    this.changed.emit({ ...this.seenBy(), [part]: viewer });
  }
}
