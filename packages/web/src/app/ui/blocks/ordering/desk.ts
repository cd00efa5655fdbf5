import { CdkDrag, type CdkDragDrop, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { chosenOf } from '@lorvet/core/desk';
import { DeskPart, type LearnerBlockOf } from '../part';
import { PieceFace } from '../piece-face';

@Component({
  selector: 'lv-ordering-desk',
  imports: [CdkDrag, CdkDropList, PieceFace, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol cdkDropList (cdkDropListDropped)="dropped($event)" [attr.aria-labelledby]="labelledBy()">
      @for (e of entries(); track e.id; let i = $index; let first = $first; let last = $last) {
        <li cdkDrag [cdkDragDisabled]="locked()" [cdkDragData]="e.id">
          @if (paper() && !given()) {
            <b class="box" [attr.aria-label]="t('its number')"></b>
          } @else {
            <b>{{ i + 1 }}</b>
          }
          <lv-piece-face class="grow" [piece]="e" />
          @if (!paper()) {
            @for (m of moves; track m.by) {
              <button
                type="button"
                [disabled]="locked() || (m.by < 0 ? first : last)"
                [attr.data-move]="e.id + ' ' + m.by"
                [attr.aria-label]="t(m.says, { name: e.text })"
                (click)="move(i, m.by)"
              >
                <svg [lucideIcon]="m.icon"></svg>
              </button>
            }
          }
        </li>
      }
    </ol>
    @if (!given() && !locked()) {
      <button class="as" type="button" (click)="say(entries())">{{ t('The order is right as it is') }}</button>
    }
    <p class="sr" role="status">{{ said() }}</p>
  `,
  styles: `
    ol {
      display: grid;
      gap: 8px;
      max-width: 44em;
    }
    li {
      display: flex;
      align-items: center;
      gap: 10px;
      min-height: 50px;
      padding: 4px 6px 4px 14px;
      border: 2px solid var(--line-strong);
      border-radius: 8px;
      background: var(--surface);
      cursor: grab;
    }
    b {
      min-width: 1.2em;
      color: var(--accent);
    }
    lv-piece-face {
      flex: 1;
      align-items: flex-start;
    }
    button {
      min-width: 44px;
      min-height: 44px;
      border: 1.5px solid var(--line-strong);
      border-radius: 8px;
      background: var(--surface);
    }
    .as {
      margin-top: 8px;
      padding: 4px 16px;
    }
    .cdk-drag-placeholder {
      opacity: 0.35;
    }
    .box {
      width: 10mm;
      height: 9mm;
      border: 1.5px solid #000;
      background: #fff;
    }
  `,
})
export class OrderingDesk extends DeskPart<LearnerBlockOf<'ordering'>> {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly moves = [
    { by: -1, says: 'Move up: {name}', icon: 'arrow-up' },
    { by: 1, says: 'Move down: {name}', icon: 'arrow-down' },
  ] as const;
  protected readonly said = signal('');
  protected readonly given = computed(() => {
    const answer = this.answer();
    return answer !== undefined && chosenOf(answer).length > 0;
  });
  protected readonly entries = computed(() => {
    const answer = this.answer();
    const chosen = answer ? chosenOf(answer) : [];
    const known = new Map(this.block().entries.map((e) => [e.id, e]));
    const mine = chosen.flatMap((id) => known.get(id) ?? []);
    return [...mine, ...this.block().entries.filter((e) => !chosen.includes(e.id))];
  });

  protected move(at: number, by: -1 | 1): void {
    const list = [...this.entries()];
    const [entry] = list.splice(at, 1);
    if (!entry) return;
    list.splice(at + by, 0, entry);
    this.said.set(this.t('{name} is now number {number}.', { name: entry.text, number: at + by + 1 }));
    this.say(list);
    // The row moved under the finger: the focus goes with it.
    setTimeout(() => {
      const one = (dir: number) =>
        this.host.nativeElement.querySelector<HTMLButtonElement>(`[data-move="${CSS.escape(entry.id)} ${dir}"]`);
      const button = one(by);
      (button?.disabled ? one(-by) : button)?.focus();
    });
  }

  protected dropped(event: CdkDragDrop<unknown>): void {
    const list = [...this.entries()];
    moveItemInArray(list, event.previousIndex, event.currentIndex);
    this.say(list);
  }

  protected say(entries: readonly { id: string }[]): void {
    this.give({ kind: 'choice', chosen: entries.map((e) => e.id) });
  }
}
