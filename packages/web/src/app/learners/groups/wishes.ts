import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import type { Learner, Wish } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { SELECT } from '../../ui/controls/select';
import { IconButton } from '../../ui/icon-button';

type Want = Wish['want'];

/** Who is to be together or apart, whether it must be so or would be good. */
@Component({
  selector: 'lv-wishes',
  imports: [IconButton, ButtonDirective, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (w of shown(); track $index) {
        <li class="row">
          <span class="grow">{{ w.says }}</span>
          <button
            type="button"
            lvIcon="x"
            [says]="'No wish any more: ' + w.says"
            (click)="changed.emit(without($index))"
          ></button>
        </li>
      }
    </ul>
    <div class="two">
      <lv-select label="Who" [value]="a()" placeholder="choose" (chosen)="a.set($event)">
        @for (l of learners(); track l.id) {
          <lv-option [value]="l.id" [label]="l.name" />
        }
      </lv-select>
      <lv-select label="with whom" [value]="b()" placeholder="choose" (chosen)="b.set($event)">
        @for (l of learners(); track l.id) {
          <lv-option [value]="l.id" [label]="l.name" />
        }
      </lv-select>
    </div>
    @if (a() && a() === b()) {
      <p class="small wrong" role="alert">Choose two different learners.</p>
    }
    <div class="row">
      @for (x of ways; track x.name) {
        <button pButton severity="secondary" type="button" [disabled]="!isPair()" (click)="add(x.want, x.hard)">
          {{ x.name }}
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .two {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 8px;
    }
    li {
      flex-wrap: nowrap;
    }
    .wrong {
      color: var(--madder);
    }
  `,
})
export class Wishes {
  readonly learners = input.required<readonly Learner[]>();
  readonly wishes = input.required<readonly Wish[]>();
  readonly changed = output<readonly Wish[]>();
  protected readonly ways: readonly { want: Want; hard: boolean; name: string }[] = [
    { want: 'apart', hard: true, name: 'Never together' },
    { want: 'apart', hard: false, name: 'Rather apart' },
    { want: 'together', hard: false, name: 'Rather together' },
    { want: 'together', hard: true, name: 'Always together' },
  ];
  protected readonly a = signal('');
  protected readonly b = signal('');
  protected readonly isPair = computed(() => this.a() !== '' && this.b() !== '' && this.a() !== this.b());
  protected readonly shown = computed(() => {
    const names = new Map(this.learners().map((l) => [l.id, l.name]));
    return this.wishes().map((w) => {
      const way = this.ways.find((x) => x.want === w.want && x.hard === w.hard)?.name.toLowerCase() ?? '';
      return { says: `${names.get(w.a) ?? 'Somebody else'} and ${names.get(w.b) ?? 'somebody else'}: ${way}` };
    });
  });

  protected without(at: number): readonly Wish[] {
    return this.wishes().filter((_, i) => i !== at);
  }

  protected add(want: Want, hard: boolean): void {
    const [a, b] = [this.a(), this.b()];
    const others = this.wishes().filter((w) => !((w.a === a && w.b === b) || (w.a === b && w.b === a)));
    this.changed.emit([...others, { want, hard, a, b }]);
    this.a.set('');
    this.b.set('');
  }
}
