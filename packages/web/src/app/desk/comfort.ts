import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { type Comfort, type LearnerPackage, PLAIN_COMFORT } from '@lorvet/core/desk';

const FONTS: Record<Comfort['font'], { readonly name: string; readonly css: string }> = {
  hyperlegible: { name: 'Clear', css: "'Atkinson Hyperlegible Next Variable', sans-serif" },
  lexend: { name: 'Wide', css: "'Lexend', sans-serif" },
  serif: { name: 'Book', css: "Georgia, 'Times New Roman', serif" },
};
const COLOURS: Record<Comfort['colours'], string> = { paper: 'Paper', cream: 'Cream', mist: 'Mist', night: 'Night' };

/** Grounds and inks of the desk: all pairs at least 7:1. */
export const GROUNDS: Record<Comfort['colours'], Record<string, string>> = {
  paper: {
    '--paper': '#faf6ee',
    '--surface': '#fffdf8',
    '--sunken': '#f1eadd',
    '--ink': '#241f1a',
    '--ink-2': '#453c33',
    '--accent': '#86311a',
    '--accent-soft': '#f6e0d6',
    '--accent-ink': '#fffdf8',
    '--line': '#ddd2bf',
    '--line-strong': '#7c6e54',
    '--moss': '#33491f',
    '--ochre': '#5c3c00',
    '--ochre-soft': '#f7e8c8',
    '--focus': '#241f1a',
  },
  cream: {
    '--paper': '#fbeecb',
    '--surface': '#fff6dc',
    '--sunken': '#f3e2b5',
    '--ink': '#2a2010',
    '--ink-2': '#4a3a1c',
    '--accent': '#7a2a14',
    '--accent-soft': '#f5d9b8',
    '--accent-ink': '#fff9ea',
    '--line': '#dcc78f',
    '--line-strong': '#7a6531',
    '--moss': '#33451a',
    '--ochre': '#553700',
    '--ochre-soft': '#f1d795',
    '--focus': '#2a2010',
  },
  mist: {
    '--paper': '#e9eeec',
    '--surface': '#f6f9f8',
    '--sunken': '#dce4e1',
    '--ink': '#1a2422',
    '--ink-2': '#37453f',
    '--accent': '#7d2d17',
    '--accent-soft': '#f0ddd5',
    '--accent-ink': '#fffdf8',
    '--line': '#c3cfca',
    '--line-strong': '#5f716b',
    '--moss': '#2b4520',
    '--ochre': '#543800',
    '--ochre-soft': '#efe3c4',
    '--focus': '#1a2422',
  },
  night: {
    '--paper': '#171411',
    '--surface': '#211c18',
    '--sunken': '#2b251f',
    '--ink': '#f6f0e4',
    '--ink-2': '#d9cebe',
    '--accent': '#f0a58a',
    '--accent-soft': '#4a2a1e',
    '--accent-ink': '#171411',
    '--line': '#4a4035',
    '--line-strong': '#a39378',
    '--moss': '#bcd6a1',
    '--ochre': '#ecc477',
    '--ochre-soft': '#3f3118',
    '--focus': '#f6f0e4',
  },
};

/** A learner's settings as style for the desk around their work. */
export function comfortStyle(comfort: Comfort | undefined): Record<string, string> {
  const c = comfort ?? PLAIN_COMFORT;
  return {
    ...GROUNDS[c.colours],
    '--desk-font': FONTS[c.font].css,
    '--desk-size': `${c.size}px`,
    '--desk-line': `${c.spacing}`,
    'color-scheme': c.colours === 'night' ? 'dark' : 'light',
  };
}

/** A sheet's own print and the learner's comfort together: the larger of both. */
export function withPrint(comfort: Comfort, print: LearnerPackage['show']['print']): Comfort {
  if (!print) return comfort;
  return {
    font: print.font || comfort.font,
    size: Math.min(40, Math.max(comfort.size, Math.round(PLAIN_COMFORT.size * print.size))),
    spacing: Math.min(2.5, Math.max(comfort.spacing, PLAIN_COMFORT.spacing * print.spacing)),
    colours: print.colours || comfort.colours,
  };
}

/** How I like to read: letters, size, spacing, colours. Changes show at once. */
@Component({
  selector: 'lv-comfort',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>Letters</legend>
      @for (f of fonts; track f.key) {
        <label
          ><input type="radio" name="font" [checked]="comfort().font === f.key" (change)="set({ font: f.key })" /><span
            [style.font-family]="f.css"
            >{{ f.name }}</span
          ></label
        >
      }
    </fieldset>
    <label
      >Size
      <input
        type="range"
        min="16"
        max="40"
        step="1"
        #s
        [value]="comfort().size"
        (input)="set({ size: s.valueAsNumber })"
    /></label>
    <label
      >Space between lines
      <input
        type="range"
        min="1.2"
        max="2.5"
        step="0.1"
        #l
        [value]="comfort().spacing"
        (input)="set({ spacing: l.valueAsNumber })"
    /></label>
    <fieldset>
      <legend>Colours</legend>
      @for (c of colours; track c.key) {
        <label
          ><input
            type="radio"
            name="colours"
            [checked]="comfort().colours === c.key"
            (change)="set({ colours: c.key })"
          /><span class="chip" [style.background]="c.ground" [style.color]="c.ink">{{ c.name }}</span></label
        >
      }
    </fieldset>
    <button class="btn" type="button" (click)="changed.emit(plain)">As at first</button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    fieldset {
      margin: 0;
      padding: 6px 10px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      display: grid;
      grid-template-columns: 1fr 1fr;
    }
    label {
      display: flex;
      align-items: center;
      gap: 8px;
      min-height: 42px;
    }
    :host > label {
      display: grid;
      gap: 0;
    }
    input[type='range'] {
      width: 100%;
      height: 30px;
      accent-color: var(--accent);
    }
    .chip {
      padding: 2px 10px;
      border: 1px solid var(--line-strong);
      border-radius: 5px;
    }
    .btn {
      min-height: 44px;
    }
  `,
})
export class ComfortSettings {
  readonly comfort = input.required<Comfort>();
  readonly changed = output<Comfort>();
  protected readonly plain = PLAIN_COMFORT;
  protected readonly fonts = (Object.keys(FONTS) as Comfort['font'][]).map((key) => ({ key, ...FONTS[key] }));
  protected readonly colours = (Object.keys(COLOURS) as Comfort['colours'][]).map((key) => ({
    key,
    name: COLOURS[key],
    ground: GROUNDS[key]['--surface'],
    ink: GROUNDS[key]['--ink'],
  }));

  protected set(patch: Partial<Comfort>): void {
    this.changed.emit({ ...this.comfort(), ...patch });
  }
}
