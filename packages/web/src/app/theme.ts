import { definePreset } from '@primeuix/themes';
import Aura from '@primeuix/themes/aura';

/** PrimeNG's parts in Lorvet's own tokens (styles.css), so that light and dark are switched in one place. */
const surface = {
  0: 'var(--surface)',
  50: 'var(--paper)',
  100: 'var(--sunken)',
  200: 'var(--line)',
  300: 'var(--line)',
  400: 'var(--line-strong)',
  500: 'var(--ink-3)',
  600: 'var(--ink-3)',
  700: 'var(--ink-2)',
  800: 'var(--ink)',
  900: 'var(--ink)',
  950: 'var(--ink)',
};
const scheme = {
  surface,
  primary: {
    color: 'var(--accent)',
    contrastColor: 'var(--accent-ink)',
    hoverColor: 'var(--accent-strong)',
    activeColor: 'var(--accent-strong)',
  },
  highlight: {
    background: 'var(--accent-soft)',
    focusBackground: 'var(--accent-soft)',
    color: 'var(--ink)',
    focusColor: 'var(--ink)',
  },
  content: {
    background: 'var(--surface)',
    hoverBackground: 'var(--sunken)',
    borderColor: 'var(--line)',
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
  },
  text: { color: 'var(--ink)', hoverColor: 'var(--ink)', mutedColor: 'var(--ink-2)', hoverMutedColor: 'var(--ink)' },
  formField: {
    background: 'var(--surface)',
    borderColor: 'var(--line-strong)',
    hoverBorderColor: 'var(--ink-3)',
    focusBorderColor: 'var(--accent)',
    color: 'var(--ink)',
    placeholderColor: 'var(--ink-3)',
  },
  overlay: {
    modal: { background: 'var(--surface)', borderColor: 'var(--line)', color: 'var(--ink)' },
    popover: { background: 'var(--surface)', borderColor: 'var(--line)', color: 'var(--ink)' },
    select: { background: 'var(--surface)', borderColor: 'var(--line)', color: 'var(--ink)' },
  },
};

/** A word at the foot of the page: Lorvet's own paper with a coloured edge, for every severity. */
const said = (edge: string) => ({
  background: 'var(--surface)',
  borderColor: edge,
  color: 'var(--ink)',
  detailColor: 'var(--ink-2)',
  shadow: '0 6px 20px var(--shade)',
  closeButton: {
    hoverBackground: 'var(--sunken)',
    focusRing: { color: 'var(--focus)', shadow: 'none' },
  },
});
const toast = { success: said('var(--moss)'), error: said('var(--madder)') };

export const LorvetPreset = definePreset(Aura, {
  components: { toast: { colorScheme: { light: toast, dark: toast } } },
  semantic: {
    focusRing: { width: '3px', style: 'solid', color: 'var(--focus)', offset: '1px' },
    colorScheme: { light: scheme, dark: scheme },
  },
});
