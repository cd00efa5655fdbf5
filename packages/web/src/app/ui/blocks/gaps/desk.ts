import { CdkDrag, CdkDropList, CdkDropListGroup } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { gapParts, type Piece, valuesOf } from '@lorvet/core/desk';
import type { LearnerBlockOf } from '../part';
import { MovingPart } from '../moving';

@Component({
  selector: 'lv-gaps-desk',
  imports: [CdkDrag, CdkDropList, CdkDropListGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div cdkDropListGroup class="all" role="group" [attr.aria-labelledby]="labelledBy()">
      @if (block().mode === 'bank') {
        <div class="tray" cdkDropList [cdkDropListData]="TRAY" (cdkDropListDropped)="dropped($event)">
          @for (p of tray(); track p.id) {
            <button
              class="piece"
              type="button"
              cdkDrag
              [cdkDragData]="p.id"
              [cdkDragDisabled]="locked()"
              [disabled]="locked()"
              [attr.aria-pressed]="picked() === p.id"
              (click)="pick(p.id)"
            >
              {{ p.text }}
            </button>
          } @empty {
            <span class="small">{{ t('All words are used.') }}</span>
          }
          @if (pickedPiece() && placedHas(picked()!)) {
            <button class="here" type="button" (click)="put(TRAY)">{{ t('Put it back') }}</button>
          }
        </div>
      }
      <p class="text">
        @for (s of parts(); track $index) {
          @if (s.gap === null) {
            <span>{{ s.text }}</span>
          } @else if (paper()) {
            <span class="written">{{ values()[s.gap] ?? '' }}</span>
            @if (s.choices.length) {
              <span class="choices"> ({{ s.choices.join(' / ') }})</span>
            }
          } @else if (block().mode === 'typed') {
            <input
              type="text"
              autocomplete="off"
              spellcheck="false"
              #f
              [attr.aria-label]="s.name"
              [maxLength]="mostValue"
              [value]="values()[s.gap] ?? ''"
              [disabled]="locked()"
              (input)="set(s.gap, f.value)"
            />
          } @else if (block().mode === 'chosen') {
            <select #f [attr.aria-label]="s.name" [disabled]="locked()" (change)="set(s.gap, f.value)">
              <option value=""></option>
              @for (c of s.choices; track c) {
                <option [value]="c" [selected]="values()[s.gap] === c">{{ c }}</option>
              }
            </select>
          } @else {
            <span
              class="place slot"
              cdkDropList
              [cdkDropListData]="s.gap"
              (cdkDropListDropped)="dropped($event)"
              [class.ready]="picked() !== null"
            >
              @for (p of at(s.gap); track p.id) {
                <button
                  class="piece"
                  type="button"
                  cdkDrag
                  [cdkDragData]="p.id"
                  [cdkDragDisabled]="locked()"
                  [disabled]="locked()"
                  [attr.aria-pressed]="picked() === p.id"
                  [attr.aria-label]="t('{piece}, in {place}', { piece: p.text, place: s.name })"
                  (click)="picked() && picked() !== p.id ? put(s.gap) : pick(p.id)"
                >
                  {{ p.text }}
                </button>
              } @empty {
                <button
                  class="hole"
                  type="button"
                  [disabled]="locked()"
                  [attr.aria-label]="t('{name}, empty', { name: s.name })"
                  (click)="put(s.gap)"
                >
                  …
                </button>
              }
            </span>
          }
        }
      </p>
    </div>
    <p class="sr" role="status">{{ said() }}</p>
  `,
  styleUrls: ['../moving.css', './desk.css'],
})
export class GapsDesk extends MovingPart<LearnerBlockOf<'gaps'>> {
  protected readonly values = computed(() => {
    const answer = this.answer();
    return answer ? valuesOf(answer) : {};
  });
  protected readonly parts = computed(() => {
    let n = 0;
    return gapParts(this.block().text, this.block().gaps).map((p) => {
      if ('text' in p) return { text: p.text, gap: null, name: '', choices: [] };
      const choices = this.block().gaps.find((g) => g.id === p.gap)?.choices ?? [];
      return { text: '', gap: p.gap, name: this.t('gap {number}', { number: ++n }), choices };
    });
  });

  /** The bank's words are its pieces; a word may stand in the bank once and fill one gap. */
  private readonly bank = computed(() => this.block().bank.map((text, i): Piece => ({ id: `w${i}`, text })));
  protected pieces(): readonly Piece[] {
    return this.bank();
  }
  protected placeName(id: string): string {
    return this.parts().find((p) => p.gap === id)?.name ?? '';
  }
  protected override at(gap: string): readonly Piece[] {
    const word = this.values()[gap];
    return word ? this.bank().filter((p) => p.text === word) : [];
  }
  protected override readonly placed = computed(() => {
    const gapOf = new Map(Object.entries(this.values()).map(([gap, word]) => [word, gap]));
    return Object.fromEntries(
      this.bank().flatMap((p) => {
        const gap = gapOf.get(p.text);
        return gap ? [[p.id, gap]] : [];
      }),
    );
  });
  protected placedHas(id: string): boolean {
    return this.placed()[id] !== undefined;
  }

  protected set(gap: string, value: string): void {
    this.give({ kind: 'values', values: { ...this.values(), [gap]: value } });
  }

  protected override moved(placed: Readonly<Record<string, string>>): void {
    const values = Object.fromEntries(
      Object.entries(placed).map(([id, gap]) => [gap, this.bank().find((p) => p.id === id)?.text ?? '']),
    );
    this.give({ kind: 'values', values });
  }
}
