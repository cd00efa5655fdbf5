import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, model, signal } from '@angular/core';
import { InputText } from 'primeng/inputtext';
import { DIALOG } from './dialog';
import { type Command, Commands } from './commands';

const MOST = 12;

/** Finds every action by its name. */
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
      <ul id="palette-list" role="listbox" aria-label="Actions">
        @for (c of found(); track c) {
          <li
            role="option"
            [id]="'palette-' + $index"
            [attr.aria-selected]="$index === at()"
            (mouseenter)="at.set($index)"
            (click)="run(c)"
          >
            <span class="small group">{{ c.group }}</span><span class="grow">{{ c.name }}</span>
            @if (c.keys) {
              <kbd>{{ c.keys }}</kbd>
            }
          </li>
        }
      </ul>
      @if (!found().length) {
        <p class="small" role="status">Nothing is called “{{ sought() }}” here.</p>
      }
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
    }
    .group {
      width: 90px;
    }
  `,
})
export class Palette {
  readonly open = model(false);
  private readonly commands = inject(Commands);
  /** What is looked for: nothing, each time it is opened. */
  protected readonly sought = linkedSignal(() => (this.open(), ''));
  protected readonly at = signal(0);
  protected readonly found = computed(() => {
    const words = this.sought().toLowerCase().split(/\s+/).filter(Boolean);
    return this.commands
      .all()
      .filter((c) => words.every((w) => `${c.group} ${c.name}`.toLowerCase().includes(w)))
      .slice(0, MOST);
  });

  protected seek(text: string): void {
    this.sought.set(text);
    this.at.set(0);
  }

  protected keyed(event: KeyboardEvent): void {
    const n = this.found().length;
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by && n) this.at.update((i) => (i + by + n) % n);
    else if (event.key === 'Enter') {
      const c = this.found()[this.at()];
      if (c) this.run(c);
    } else return;
    event.preventDefault();
  }

  protected run(c: Command): void {
    this.open.set(false);
    // Once the dialog has given the focus back.
    setTimeout(() => c.run());
  }
}
