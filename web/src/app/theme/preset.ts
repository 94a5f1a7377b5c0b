import { definePreset } from '@primeuix/themes';
import Aura from '@primeuix/themes/aura';

/*
 * The one place where the control library meets the enamel tokens. Every colour is a custom property of _tokens.scss, so
 * both schemes are the same text and the theme attribute alone decides.
 */
const scheme = {
  surface: {
    0: 'var(--enamel)',
    50: 'var(--well)',
    100: 'var(--well)',
    200: 'var(--hair)',
    300: 'var(--edge)',
    400: 'var(--edge)',
    500: 'var(--quiet)',
    600: 'var(--quiet)',
    700: 'var(--ink)',
    800: 'var(--ink)',
    900: 'var(--ink)',
    950: 'var(--ink)',
  },
  primary: { color: 'var(--rim)', contrastColor: 'var(--onrim)', hoverColor: 'var(--rim)', activeColor: 'var(--rim)' },
  highlight: {
    background: 'var(--rim)',
    focusBackground: 'var(--rim)',
    color: 'var(--onrim)',
    focusColor: 'var(--onrim)',
  },
  mask: { background: 'rgba(10, 19, 25, 0.55)', color: 'var(--ink)' },
  formField: {
    background: 'var(--enamel)',
    disabledBackground: 'var(--well)',
    filledBackground: 'var(--well)',
    borderColor: 'var(--edge)',
    hoverBorderColor: 'var(--rim)',
    focusBorderColor: 'var(--rim)',
    invalidBorderColor: 'var(--paprika)',
    color: 'var(--ink)',
    disabledColor: 'var(--quiet)',
    placeholderColor: 'var(--quiet)',
    invalidPlaceholderColor: 'var(--paprika)',
    iconColor: 'var(--quiet)',
    shadow: 'none',
  },
  text: { color: 'var(--ink)', hoverColor: 'var(--ink)', mutedColor: 'var(--quiet)', hoverMutedColor: 'var(--quiet)' },
  content: {
    background: 'var(--enamel)',
    hoverBackground: 'var(--well)',
    borderColor: 'var(--rim)',
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
  },
  overlay: {
    select: { background: 'var(--enamel)', borderColor: 'var(--rim)', color: 'var(--ink)' },
    popover: { background: 'var(--enamel)', borderColor: 'var(--rim)', color: 'var(--ink)' },
    modal: { background: 'var(--enamel)', borderColor: 'var(--rim)', color: 'var(--ink)' },
  },
  list: {
    option: {
      focusBackground: 'var(--well)',
      selectedBackground: 'var(--rim)',
      selectedFocusBackground: 'var(--rim)',
      color: 'var(--ink)',
      focusColor: 'var(--ink)',
      selectedColor: 'var(--onrim)',
      selectedFocusColor: 'var(--onrim)',
      icon: { color: 'var(--quiet)', focusColor: 'var(--quiet)' },
    },
  },
};

const quietButton = {
  background: 'var(--enamel)',
  hoverBackground: 'var(--well)',
  activeBackground: 'var(--well)',
  borderColor: 'var(--rim)',
  hoverBorderColor: 'var(--rim)',
  activeBorderColor: 'var(--rim)',
  color: 'var(--ink)',
  hoverColor: 'var(--ink)',
  activeColor: 'var(--ink)',
};
const button = {
  root: {
    primary: {
      background: 'var(--rim)',
      color: 'var(--onrim)',
      hoverBackground: 'var(--rim)',
      hoverColor: 'var(--onrim)',
    },
    secondary: quietButton,
  },
};
const toggle = {
  root: {
    background: 'var(--enamel)',
    checkedBackground: 'var(--rim)',
    hoverBackground: 'var(--well)',
    borderColor: 'var(--rim)',
    checkedBorderColor: 'var(--rim)',
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
    checkedColor: 'var(--onrim)',
  },
  content: { checkedBackground: 'var(--rim)' },
};

export const enamelPreset = definePreset(Aura, {
  primitive: { borderRadius: { none: '0', xs: '3px', sm: '6px', md: '6px', lg: '10px', xl: '10px' } },
  semantic: {
    transitionDuration: '140ms',
    focusRing: { width: '3px', style: 'solid', color: 'var(--focus)', offset: '2px' },
    formField: { paddingX: '0.6rem', paddingY: '0.5rem', borderRadius: '6px' },
    colorScheme: { light: scheme, dark: scheme },
  },
  components: {
    button: {
      root: { borderRadius: '6px', paddingX: '0.9rem', paddingY: '0.5rem', label: { fontWeight: '700' } },
      colorScheme: { light: button, dark: button },
    },
    togglebutton: {
      root: { padding: '0', borderRadius: '6px', fontWeight: '600' },
      content: { padding: '0.45rem 0.8rem', borderRadius: '0' },
      colorScheme: { light: toggle, dark: toggle },
    },
    // A thumb of a slider is caught with a wet finger.
    slider: { handle: { width: '32px', height: '32px', content: { width: '26px', height: '26px' } } },
    selectbutton: { root: { borderRadius: '6px' } },
    dialog: { root: { borderRadius: '10px', shadow: 'none' } },
    toast: { root: { borderRadius: '10px' } },
    datatable: {
      headerCell: { background: 'var(--enamel)', color: 'var(--quiet)' },
      row: { background: 'var(--enamel)' },
    },
  },
});
