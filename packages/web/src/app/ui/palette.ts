import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  Injector,
  linkedSignal,
  model,
  viewChild,
} from '@angular/core';
import { ListKeyManager } from '@angular/cdk/a11y';
import { Router } from '@angular/router';
import { InputText } from 'primeng/inputtext';
import { WorkspaceStore } from '../store/workspace';
import { DIALOG } from './dialog';
import { type Command, Commands } from './commands';
import { KNOWN_TASKS, type KnownTask } from './known-tasks';
import { Notice } from './notice';
import { pressables, pressOnceThere } from './pressable';

const MOST = 12;

const NOT_FOUND = 4;

/** How well words fit: 0 where the name begins with them, then within the name, with the group, by other words. */
function rankOf(c: Command, words: readonly string[]): number {
  const name = c.name.toLowerCase();
  if (name.startsWith(words.join(' '))) return 0;
  const holds = (text: string) => words.every((w) => text.includes(w));
  if (holds(name)) return 1;
  if (holds(`${c.group} ${name}`.toLowerCase())) return 2;
  return holds(`${c.group} ${name} ${c.also ?? ''}`.toLowerCase()) ? 3 : NOT_FOUND;
}

/** The place that is open; a part by itself is all there is. */
const placeOf = (): HTMLElement => document.getElementById('place') ?? document.body;

/** Where to go for a task; null for who is there. On the Bench it is done to the family that is open. */
function wayTo({ path, master }: KnownTask, url: string): string | null {
  const [, place, family, part] = url.split('/');
  if (path !== '/bench' || place !== 'bench' || !family) return path === url ? null : path;
  const isBeside = ['tiers', 'history', 'compare', 'upkeep'].includes(part ?? '');
  return part && (master || isBeside) ? `/bench/${family}` : null;
}

const urlPath = (url: string): string => url.split(/[?#]/, 1)[0] ?? '';

/**
 * Finds every action by its name or another for it, and what is kept by its name; says where what cannot be done here is.
 * By hand: PrimeNG's autocomplete looks for what was typed a turn later, and Enter right after typing would do another
 * thing.
 */
@Component({
  selector: 'lv-palette',
  imports: [DIALOG, InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p-dialog
      header="What would you like to do?"
      [visible]="open()"
      (visibleChange)="open.set($event)"
      position="top"
      [style]="{ width: '560px' }"
    >
      <input
        pInputText
        maxlength="100"
        #field
        class="input"
        type="text"
        role="combobox"
        aria-expanded="true"
        aria-controls="palette-list"
        aria-label="Name of an action"
        autocomplete="off"
        [attr.aria-activedescendant]="found().length ? 'palette-' + at() : null"
        [value]="sought()"
        (input)="seek(field.value)"
        (keydown)="keyed($event)"
      />
      <p class="small nothing" role="status">
        {{
          found().length ? '' : 'Nothing is called “' + sought() + '” here. Try another word for it, or fewer letters.'
        }}
      </p>
      <ul id="palette-list" role="listbox" aria-label="Actions">
        @for (c of found(); track $index) {
          <li
            role="option"
            [id]="'palette-' + $index"
            [attr.aria-selected]="$index === at()"
            (mouseenter)="keys.updateActiveItem($index)"
            (click)="run(c)"
          >
            <span class="small group">{{ c.group }}</span><span class="grow">{{ c.name }}</span>
            @if (c.where; as where) {
              <span class="small">{{ where }}</span>
            }
            @if (c.keys) {
              <kbd>{{ c.keys }}</kbd>
            }
          </li>
        }
      </ul>
    </p-dialog>
  `,
  styles: `
    .input {
      width: calc(100% - 8px);
      margin: 4px;
    }
    ul {
      min-height: 200px;
      margin-top: 8px;
    }
    li {
      display: flex;
      align-items: center;
      gap: 10px;
      padding: 7px 10px;
      border-radius: var(--r);
      cursor: pointer;
    }
    li[aria-selected='true'] {
      background: var(--accent-soft);
      outline: 2px solid transparent;
    }
    .nothing:not(:empty) {
      margin: 8px 4px 0;
    }
    .group {
      width: 90px;
    }
  `,
})
export class Palette {
  readonly open = model(false);
  private readonly field = viewChild<ElementRef<HTMLInputElement>>('field');
  private readonly commands = inject(Commands);
  private readonly work = inject(WorkspaceStore);
  private readonly router = inject(Router);
  private readonly notice = inject(Notice);
  /** What is looked for: nothing, each time it is opened. */
  protected readonly sought = linkedSignal(() => (this.open(), ''));
  /** What is kept, by its name: an activity, a hand-out, a learner. */
  private readonly things = computed<Command[]>(() => {
    const go = (group: string, name: string, path: string[], queryParams = {}) => ({
      group,
      name,
      run: () => void this.router.navigate(path, { queryParams }),
    });
    return [
      ...this.work.familyHeads().map((f) => go('Activity', f.title, ['/bench', f.id])),
      ...this.work.handOutHeads().map((h) => go(h.isTemplate ? 'Template' : 'Hand-out', h.title, ['/hand-outs', h.id])),
      ...this.work.people().learners.map((l) => go('Learner', l.name, ['/learners'], { learner: l.id })),
    ];
  });
  /** What is asked for often, and what can be pressed in the place that is open, as it was when the palette opened. */
  private readonly offered = computed<Command[]>(() => {
    if (!this.open()) return [];
    const known = new Set(KNOWN_TASKS.map((t) => t.press));
    const all = pressables(placeOf());
    const onPage = new Map(all.map((p) => [p.name, p]));
    return [
      ...KNOWN_TASKS.map((t) => this.command(t, onPage.get(t.press ?? '')?.isSeen() === true)),
      ...all
        .filter((p) => !p.isField && !known.has(p.name))
        .map(({ name, isSeen }) => ({
          group: 'Here',
          name,
          isThere: isSeen,
          run: () => pressOnceThere(placeOf(), name),
        })),
    ];
  });
  protected readonly found = computed(() => {
    const words = this.sought().toLowerCase().split(/\s+/).filter(Boolean);
    const here = this.commands.all();
    // What can be done here is not offered elsewhere as well.
    const named = new Set(here.map((c) => c.name));
    const all = words.length ? [...here, ...this.things(), ...this.offered().filter((t) => !named.has(t.name))] : here;
    const fitting = all
      .map((command) => ({ command, rank: rankOf(command, words) }))
      .filter(({ rank }) => rank < NOT_FOUND)
      .sort((x, y) => x.rank - y.rank);
    const found: Command[] = [];
    for (const { command } of fitting) {
      if (found.length === MOST) break;
      if (command.isThere?.() ?? true) found.push(command);
    }
    return found;
  });

  protected readonly keys = new ListKeyManager<Command>(this.found, inject(Injector)).withWrap();
  /** The one that Enter does: the first until another is chosen. */
  protected readonly at = computed(() => Math.max(0, this.keys.activeItemIndex ?? 0));

  /** A known task: pressed here where it can be, otherwise there; where it needs a choice first, it is said. */
  private command(task: KnownTask, isOnPage: boolean): Command {
    const { name, also, where, press } = task;
    if (isOnPage && press) return { group: 'Here', name, also, run: () => pressOnceThere(placeOf(), press) };
    const say = () => this.notice.done(name, `It is done ${where}.`);
    const go = async () => {
      const to = wayTo(task, urlPath(this.router.url));
      if (to) await this.router.navigate([to]);
      if (press) pressOnceThere(placeOf(), press, say);
      else if (!to) say();
    };
    return { group: 'Elsewhere', name, also, where, run: () => void go() };
  }

  protected seek(text: string): void {
    this.sought.set(text);
    this.keys.setActiveItem(0);
  }

  protected keyed(event: KeyboardEvent): void {
    if (event.key !== 'Enter') return void this.keys.onKeydown(event);
    const c = this.found()[this.at()];
    if (c) this.run(c);
    event.preventDefault();
  }

  protected run(c: Command): void {
    const field = this.field()?.nativeElement;
    // What is typed from now on is for what is done next. Emptied by hand: what was typed and sent within one turn was
    // never known to the page, and would stand in the field when it opens again.
    field?.blur();
    this.open.set(false);
    if (field) field.value = '';
    // Once the dialog has given the focus back.
    setTimeout(() => c.run());
  }
}
