import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { many } from '../platform/many';
import { type Way, Ways } from '../ui/ways';
import { MarkingHere } from './here';

/** The head of each way to look at the work of a hand-out: how far it is, and the other ways. What is projected stands at the end. */
@Component({
  selector: 'lv-marking-head',
  imports: [Ways],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row head">
      <h1>{{ table.handOut()?.title }}</h1>
      @if (table.toLook(); as n) {
        <span class="tag ochre">{{ n }} of {{ many(table.rows().length, noun()) }} to look at</span>
      } @else {
        <span class="tag">{{ many(table.rows().length, noun()) }}</span>
      }
      <span class="tag moss">{{ table.complete() }} complete</span>
      <lv-ways says="Ways to look at it" [ways]="ways()" />
    </div>
  `,
  styles: `
    .head {
      margin-bottom: 8px;
    }
  `,
})
export class MarkingHead {
  private readonly here = inject(MarkingHere);
  protected readonly table = this.here.table;
  protected readonly many = many;
  /** What is chosen now: the other ways begin with it. */
  readonly learnerId = input('');
  readonly itemId = input('');
  protected readonly noun = computed(() => (this.table.rows()[0]?.members ? 'group' : 'learner'));
  protected readonly ways = computed((): Way[] => {
    const at = ['/marking', this.here.id()];
    const learner = this.learnerId() || this.table.rows()[0]?.learnerId || '';
    const item = this.itemId() || this.table.columns()[0]?.id || '';
    return [
      { name: 'Everybody', link: at, query: learner ? { learner } : {} },
      { name: 'One question', link: [...at, 'question'], query: item ? { item } : {} },
      { name: 'One work', link: [...at, 'work'], query: learner ? { learner, item } : {} },
      { name: 'On paper', link: [...at, 'paper'], query: {} },
      { name: 'Let out', link: [...at, 'out'], query: {} },
    ];
  });
}
