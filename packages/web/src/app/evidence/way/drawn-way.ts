import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  ElementRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import type { WayGraph, WayNode } from './graph';

interface Line {
  readonly d: string;
  readonly isOn: boolean;
}

/**
 * The way as it is drawn: columns from the master to learners, with lines between. Arrow keys follow the lines; Enter
 * chooses, Escape lets go.
 */
@Component({
  selector: 'lv-drawn-way',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(keydown)': 'pressed($event)' },
  template: `
    <svg aria-hidden="true" class="lines">
      @for (l of lines(); track $index) {
        <path [attr.d]="l.d" [class.on]="l.isOn" />
      }
    </svg>
    <div class="columns" role="group" aria-label="The way, from the master to learners">
      @for (c of graph().columns; track c.name) {
        <section [attr.aria-label]="c.name">
          <h3>{{ c.name }}</h3>
          @for (n of c.nodes; track n.id) {
            <button
              type="button"
              class="node"
              [class.off]="on() !== null && !on()!.has(n.id)"
              [class.end]="n.isEnd"
              [class.line]="c.name === 'Learners'"
              [style.margin-inline-start.px]="n.depth * 14"
              [attr.data-node]="n.id"
              [attr.aria-pressed]="n.id === chosen()"
              [attr.aria-description]="readOut().get(n.id)"
              [tabindex]="n.id === stop() ? 0 : -1"
              (focus)="focused.set(n.id)"
              (click)="choose.emit(n.id === chosen() ? '' : n.id)"
            >
              <strong>{{ n.title }}</strong>
              <span>{{ n.detail }}</span>
            </button>
          }
          @if (c.name === 'Learners' && graph().notDrawn) {
            <p class="small">{{ graph().notDrawn }} more in the table below</p>
          }
        </section>
      }
    </div>
  `,
  styleUrl: './drawn-way.css',
})
export class DrawnWay {
  readonly graph = input.required<WayGraph>();
  /** What lies on the way of the chosen one; null where none is. */
  readonly on = input.required<ReadonlySet<string> | null>();
  readonly chosen = input.required<string>();
  readonly choose = output<string>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly focused = signal('');
  protected readonly lines = signal<readonly Line[]>([]);
  private readonly resized = signal(0);
  private readonly nodes = computed(() => this.graph().columns.flatMap((c) => c.nodes));
  private readonly titles = computed(() => new Map(this.nodes().map((n) => [n.id, n.title])));
  /** What each comes from and leads to, for reading out. */
  protected readonly readOut = computed(() => {
    const [from, to] = [new Map<string, string[]>(), new Map<string, string[]>()];
    const add = (at: Map<string, string[]>, id: string, other: string) => {
      const names = at.get(id) ?? [];
      at.set(id, names);
      names.push(this.titles().get(other) ?? '');
    };
    for (const e of this.graph().edges) {
      add(from, e.to, e.from);
      add(to, e.from, e.to);
    }
    const said = (all: readonly string[] = []) =>
      all.length > 4 ? `${all.slice(0, 3).join(', ')} and ${all.length - 3} more` : all.join(', ');
    return new Map(
      this.nodes().map(({ id }) => {
        const [back, onTo] = [said(from.get(id)), said(to.get(id))];
        return [id, [back && `Comes from: ${back}.`, onTo && `Leads to: ${onTo}.`].filter(Boolean).join(' ')];
      }),
    );
  });
  /** The one that Tab comes to. */
  protected readonly stop = computed(() => {
    const ids = this.nodes().map((n) => n.id);
    return [this.focused(), this.chosen()].find((id) => ids.includes(id)) ?? ids[0] ?? '';
  });

  constructor() {
    const watcher = new ResizeObserver(() => this.resized.update((n) => n + 1));
    watcher.observe(this.host);
    inject(DestroyRef).onDestroy(() => watcher.disconnect());
    afterRenderEffect({
      earlyRead: () => {
        this.resized();
        const [graph, on] = [this.graph(), this.on()];
        const origin = this.host.getBoundingClientRect();
        const boxes = new Map(
          [...this.host.querySelectorAll<HTMLElement>('[data-node]')].map((el) => [
            el.dataset['node'] ?? '',
            el.getBoundingClientRect(),
          ]),
        );
        return graph.edges.flatMap(({ from, to }): Line[] => {
          const [a, b] = [boxes.get(from), boxes.get(to)];
          const d = a && b ? pathOf(a, b, origin) : '';
          return d ? [{ d, isOn: on !== null && on.has(from) && on.has(to) }] : [];
        });
      },
      write: (lines) => this.lines.set(lines()),
    });
  }

  protected pressed(event: KeyboardEvent): void {
    const at = this.nodes().find((n) => n.id === this.focused());
    if (!at || event.ctrlKey || event.metaKey || event.altKey) return;
    const next = this.nextOf(at, event.key);
    if (event.key === 'Escape' && this.chosen()) this.choose.emit('');
    else if (!next) return;
    event.preventDefault();
    if (next) this.host.querySelector<HTMLElement>(`[data-node="${CSS.escape(next)}"]`)?.focus();
  }

  private nextOf(at: WayNode, key: string): string | undefined {
    const { edges, columns } = this.graph();
    const isRight = getComputedStyle(this.host).direction !== 'rtl';
    const column = columns.find((c) => c.nodes.includes(at))?.nodes ?? [];
    const beside = (step: number) => column[column.indexOf(at) + step]?.id;
    const columnOf = (id: string) => this.nodes().find((n) => n.id === id)?.column ?? -1;
    const on = this.on();
    // Along the way of what is chosen where there is one; and on to the next column before down in the same.
    const fit = (ids: string[]) => {
      const known = ids.filter((id) => columnOf(id) >= 0);
      const followed = on ? known.filter((id) => on.has(id)) : known;
      return followed.length ? followed : known;
    };
    const near = (ids: string[]) => fit(ids)[0];
    const far = (ids: string[]) => fit(ids).find((id) => columnOf(id) !== at.column) ?? near(ids);
    switch (key) {
      case 'ArrowUp':
        return beside(-1);
      case 'ArrowDown':
        return beside(1);
      case 'ArrowLeft':
      case 'ArrowRight':
        return (key === 'ArrowRight') === isRight
          ? far(edges.filter((e) => e.from === at.id).map((e) => e.to))
          : near(edges.filter((e) => e.to === at.id).map((e) => e.from));
      case 'Home':
        return columns[0]?.nodes[0]?.id;
      case 'End':
        return columns.at(-1)?.nodes[0]?.id;
      default:
        return undefined;
    }
  }
}

/** From the end of one box to the start of another; within a column down along its edge. Empty where they stand below each other. */
function pathOf(a: DOMRect, b: DOMRect, origin: DOMRect): string {
  const n = (x: number) => Math.round(x * 10) / 10;
  if (b.left - a.left < a.width / 2) {
    if (b.top <= a.bottom || Math.abs(b.left - a.left) > 80 || a.width > origin.width * 0.6) return '';
    const x = n(a.left - origin.left + 6);
    const y = n(b.top + b.height / 2 - origin.top);
    return `M${x} ${n(a.bottom - origin.top)} V${y} H${n(b.left - origin.left)}`;
  }
  const [x1, y1] = [n(a.right - origin.left), n(a.top + a.height / 2 - origin.top)];
  const [x2, y2] = [n(b.left - origin.left), n(b.top + b.height / 2 - origin.top)];
  const mid = n((x1 + x2) / 2);
  return `M${x1} ${y1} C${mid} ${y1} ${mid} ${y2} ${x2} ${y2}`;
}
