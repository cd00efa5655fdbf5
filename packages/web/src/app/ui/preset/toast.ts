import type { ToastDesignTokens } from '@primeuix/themes/types/toast';

/** A word at the foot of the page: Lorvet's own paper with a coloured edge, whatever it says. */
const said = (edge: string) => ({
  background: 'var(--surface)',
  borderColor: edge,
  color: 'var(--ink)',
  detailColor: 'var(--ink-2)',
  shadow: '0 6px 20px var(--shade)',
  closeButton: { hoverBackground: 'var(--sunken)', focusRing: { color: 'var(--focus)', shadow: 'none' } },
});
const scheme = { root: { blur: '0' }, success: said('var(--moss)'), error: said('var(--madder)') };

export const toast: ToastDesignTokens = {
  root: { width: '375px', borderRadius: 'var(--r)', borderWidth: '1px', transitionDuration: '0.1s' },
  icon: { size: '17px' },
  content: { padding: '12px', gap: '8px' },
  text: { gap: '4px' },
  summary: { fontWeight: '600', fontSize: '15px' },
  detail: { fontWeight: '400', fontSize: '14px' },
  closeButton: {
    width: '26px',
    height: '26px',
    borderRadius: 'var(--r)',
    focusRing: { width: '3px', style: 'solid', offset: '1px' },
  },
  closeIcon: { size: '14px' },
  colorScheme: { light: scheme, dark: scheme },
};
