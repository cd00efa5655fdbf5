import type { ButtonDesignTokens } from '@primeuix/themes/types/button';

const ring = { color: 'var(--focus)', shadow: 'none' };

/** Two kinds only: the one thing to do here (plain), and everything else (`secondary`); `text` is the quiet form. */
const kinds = {
  primary: {
    background: 'var(--accent)',
    hoverBackground: 'var(--accent-strong)',
    activeBackground: 'var(--accent-strong)',
    borderColor: 'var(--accent)',
    hoverBorderColor: 'var(--accent-strong)',
    activeBorderColor: 'var(--accent-strong)',
    color: 'var(--accent-ink)',
    hoverColor: 'var(--accent-ink)',
    activeColor: 'var(--accent-ink)',
    focusRing: ring,
  },
  secondary: {
    background: 'var(--surface)',
    hoverBackground: 'var(--sunken)',
    activeBackground: 'var(--sunken)',
    borderColor: 'var(--line-strong)',
    hoverBorderColor: 'var(--line-strong)',
    activeBorderColor: 'var(--ink-3)',
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
    activeColor: 'var(--ink)',
    focusRing: ring,
  },
};

const quiet = {
  secondary: { hoverBackground: 'var(--sunken)', activeBackground: 'var(--sunken)', color: 'var(--ink-2)' },
};
const scheme = { root: kinds, text: quiet };

export const button: ButtonDesignTokens = {
  root: {
    borderRadius: 'var(--r)',
    gap: '7px',
    paddingX: '13px',
    paddingY: '4px',
    iconOnlyWidth: '34px',
    label: { fontWeight: '600' },
    raisedShadow: 'none',
    focusRing: { width: '3px', style: 'solid', offset: '1px' },
    badgeSize: '16px',
    transitionDuration: '0.1s',
  },
  colorScheme: { light: scheme, dark: scheme },
};
