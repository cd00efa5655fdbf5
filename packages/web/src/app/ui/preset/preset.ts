import { definePreset } from '@primeuix/themes';
import accordion from '@primeuix/themes/aura/accordion';
import autocomplete from '@primeuix/themes/aura/autocomplete';
import checkbox from '@primeuix/themes/aura/checkbox';
import confirmdialog from '@primeuix/themes/aura/confirmdialog';
import datatable from '@primeuix/themes/aura/datatable';
import datepicker from '@primeuix/themes/aura/datepicker';
import dialog from '@primeuix/themes/aura/dialog';
import image from '@primeuix/themes/aura/image';
import inputnumber from '@primeuix/themes/aura/inputnumber';
import inputtext from '@primeuix/themes/aura/inputtext';
import menu from '@primeuix/themes/aura/menu';
import multiselect from '@primeuix/themes/aura/multiselect';
import progressbar from '@primeuix/themes/aura/progressbar';
import radiobutton from '@primeuix/themes/aura/radiobutton';
import select from '@primeuix/themes/aura/select';
import slider from '@primeuix/themes/aura/slider';
import splitter from '@primeuix/themes/aura/splitter';
import textarea from '@primeuix/themes/aura/textarea';
import tooltip from '@primeuix/themes/aura/tooltip';
import tree from '@primeuix/themes/aura/tree';
import { button } from './button';
import { semantic } from './semantic';
import { toast } from './toast';

/** Tokens of the parts that are used, and of no others: what is not named here has no look and must not be used. */
const parts = {
  accordion,
  autocomplete,
  button,
  checkbox,
  confirmdialog,
  datatable,
  datepicker,
  dialog,
  image,
  inputnumber,
  inputtext,
  menu,
  multiselect,
  progressbar,
  radiobutton,
  select,
  slider,
  splitter,
  textarea,
  toast,
  tooltip,
  tree,
};

const box = { width: '17px', height: '17px' };
const cell = { padding: '6px 10px' };
const same = <T>(scheme: T) => ({ light: scheme, dark: scheme });

/** PrimeNG's parts as Lorvet draws them: our colours, 34 px, 6 px corners, one ring for the focus, no stronger shadow. */
export const LorvetPreset = definePreset(
  { semantic, components: parts },
  {
    components: {
      checkbox: { root: { ...box, borderRadius: '4px' }, icon: { size: '12px' } },
      image: {
        toolbar: {
          blur: '0',
          background: 'var(--surface)',
          borderColor: 'var(--line-strong)',
          borderRadius: 'var(--r)',
        },
        action: {
          ...{ color: 'var(--ink)', hoverColor: 'var(--ink)', hoverBackground: 'var(--sunken)' },
          ...{ size: '40px', iconSize: '20px', borderRadius: 'var(--r)' },
        },
      },
      radiobutton: { root: box, icon: { size: '7px' } },
      select: { dropdown: { width: '30px' } },
      multiselect: { dropdown: { width: '30px' } },
      accordion: {
        panel: { borderWidth: '0' },
        header: {
          padding: '5px 2px',
          background: 'transparent',
          hoverBackground: 'transparent',
          activeBackground: 'transparent',
          activeHoverBackground: 'transparent',
          color: 'var(--ink)',
        },
        content: { padding: '2px 2px 10px', background: 'transparent' },
      },
      dialog: { title: { fontSize: '17px', fontWeight: '400' } },
      progressbar: { root: { height: '10px' }, label: { fontSize: '0' } },
      splitter: { handle: { size: '32px' } },
      tree: {
        root: { padding: '0', gap: '1px', indent: '12px', background: 'transparent' },
        node: { padding: '3px 6px', gap: '4px', focusRing: { offset: '-3px' } },
        nodeToggleButton: { size: '24px', borderRadius: 'var(--r)' },
      },
      tooltip: {
        root: { maxWidth: '300px', padding: '4px 9px', gutter: '4px' },
        colorScheme: same({ root: { background: 'var(--ink)', color: 'var(--paper)' } }),
      },
      datepicker: {
        panel: { padding: '10px' },
        title: { fontWeight: '600' },
        date: { width: '32px', height: '32px', borderRadius: 'var(--r)' },
        dropdown: { width: '34px' },
        colorScheme: same({
          dropdown: {
            background: 'var(--surface)',
            hoverBackground: 'var(--sunken)',
            activeBackground: 'var(--sunken)',
            color: 'var(--ink-2)',
            hoverColor: 'var(--ink)',
            activeColor: 'var(--ink)',
          },
          today: { background: 'var(--sunken)', color: 'var(--ink)' },
        }),
      },
      datatable: {
        header: cell,
        headerCell: { ...cell, focusRing: { offset: '-3px' } },
        bodyCell: cell,
        footerCell: cell,
        footer: cell,
        row: { focusRing: { offset: '-3px' } },
        columnTitle: { fontWeight: '700' },
        colorScheme: same({
          root: { borderColor: 'var(--line)' },
          row: { stripedBackground: 'var(--paper)' },
          bodyCell: { selectedBorderColor: 'var(--line)' },
        }),
      },
      slider: {
        handle: { content: { shadow: 'none' } },
        colorScheme: same({ handle: { content: { background: 'var(--accent)' } } }),
      },
      confirmdialog: { content: { gap: '12px' } },
    },
  },
);
