/**
 * What PrimeNG's parts have in common, said in Lorvet's own tokens (styles/tokens.css). Light, dark, more contrast and
 * forced colours are switched there, so one scheme is enough here.
 */

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

const overlay = { background: 'var(--surface)', borderColor: 'var(--line-strong)', color: 'var(--ink)' };
const icon = { color: 'var(--ink-3)', focusColor: 'var(--ink-2)' };
const shadow = '0 6px 20px var(--shade)';

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
  mask: { background: 'var(--mask)', color: 'var(--ink)' },
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
    disabledBackground: 'var(--sunken)',
    filledBackground: 'var(--surface)',
    filledHoverBackground: 'var(--surface)',
    filledFocusBackground: 'var(--surface)',
    borderColor: 'var(--line-strong)',
    hoverBorderColor: 'var(--ink-3)',
    focusBorderColor: 'var(--line-strong)',
    invalidBorderColor: 'var(--madder)',
    color: 'var(--ink)',
    disabledColor: 'var(--ink-3)',
    placeholderColor: 'var(--ink-3)',
    invalidPlaceholderColor: 'var(--madder)',
    iconColor: 'var(--ink-2)',
    shadow: 'none',
  },
  overlay: { modal: overlay, popover: overlay, select: overlay },
  list: {
    option: {
      focusBackground: 'var(--sunken)',
      selectedBackground: 'var(--accent-soft)',
      selectedFocusBackground: 'var(--accent-soft)',
      color: 'var(--ink)',
      focusColor: 'var(--ink)',
      selectedColor: 'var(--ink)',
      selectedFocusColor: 'var(--ink)',
      icon,
    },
    optionGroup: { background: 'transparent', color: 'var(--ink-2)' },
  },
  navigation: {
    item: {
      focusBackground: 'var(--sunken)',
      activeBackground: 'var(--sunken)',
      color: 'var(--ink)',
      focusColor: 'var(--ink)',
      activeColor: 'var(--ink)',
      icon: { ...icon, activeColor: 'var(--ink-2)' },
    },
    submenuLabel: { background: 'transparent', color: 'var(--ink-2)' },
    submenuIcon: { ...icon, activeColor: 'var(--ink-2)' },
  },
};

export const semantic = {
  transitionDuration: '0.1s',
  focusRing: { width: '3px', style: 'solid', color: 'var(--focus)', offset: '1px', shadow: 'none' },
  /** What cannot be pressed is said by its colour (parts.css), never by paleness. */
  disabledOpacity: '1',
  iconSize: '16px',
  anchorGutter: '3px',
  formField: {
    paddingX: '10px',
    paddingY: '5px',
    sm: { fontSize: '13px', paddingX: '8px', paddingY: '3px' },
    lg: { fontSize: '17px', paddingX: '12px', paddingY: '8px' },
    borderRadius: 'var(--r)',
    focusRing: { width: '3px', style: 'solid', color: 'var(--focus)', offset: '1px', shadow: 'none' },
    transitionDuration: '0.1s',
  },
  list: {
    padding: '4px',
    gap: '1px',
    header: { padding: '6px 8px 4px' },
    option: { padding: '5px 10px', borderRadius: '4px' },
    optionGroup: { padding: '6px 10px 3px', fontWeight: '700' },
  },
  content: { borderRadius: 'var(--r)' },
  mask: { transitionDuration: '0.1s' },
  navigation: {
    list: { padding: '4px', gap: '1px' },
    item: { padding: '6px 10px', borderRadius: '4px', gap: '8px' },
    submenuLabel: { padding: '6px 10px 3px', fontWeight: '700' },
    submenuIcon: { size: '14px' },
  },
  overlay: {
    select: { borderRadius: 'var(--r)', shadow },
    popover: { borderRadius: 'var(--r)', padding: '12px', shadow },
    modal: { borderRadius: 'calc(var(--r) + 2px)', padding: '16px', shadow: '0 12px 40px var(--shade)' },
    navigation: { shadow },
  },
  colorScheme: { light: scheme, dark: scheme },
};
