import { definePreset } from '@primeuix/themes';
import Aura from '@primeuix/themes/aura';

/** Glaze, cobalt and steel: the component library in the product's own colours and shapes. */
export const preset = definePreset(Aura, {
  components: {
    button: {
      colorScheme: {
        light: { outlined: { secondary: { color: '{surface.900}', borderColor: '{surface.400}' } } },
        dark: { outlined: { secondary: { color: '{surface.50}', borderColor: '{surface.400}' } } },
      },
    },
  },
  primitive: { borderRadius: { none: '0', xs: '2px', sm: '2px', md: '3px', lg: '4px', xl: '6px' } },
  semantic: {
    primary: {
      50: '#eef4fc',
      100: '#d9e6f7',
      200: '#b5cfef',
      300: '#85b0e6',
      400: '#5b90d6',
      500: '#2f69ba',
      600: '#1c4f9c',
      700: '#173f7e',
      800: '#153566',
      900: '#122a50',
      950: '#0c1b34',
    },
    formField: { paddingX: '0.7rem', paddingY: '0.5rem' },
    focusRing: { width: '3px', style: 'solid', color: '{primary.400}', offset: '1px' },
    colorScheme: {
      light: {
        primary: { color: '{primary.600}', contrastColor: '#ffffff', hoverColor: '{primary.700}', activeColor: '{primary.800}' },
        surface: {
          0: '#ffffff',
          50: '#f4f6f7',
          100: '#e9edf0',
          200: '#d5dce2',
          300: '#b9c4cd',
          400: '#8494a1',
          500: '#5d6e7c',
          600: '#465562',
          700: '#33404b',
          800: '#1f2a34',
          900: '#14202b',
          950: '#0b131a',
        },
        text: { color: '#14202b', mutedColor: '#4a5967' },
        formField: { borderColor: '#8494a1', placeholderColor: '#5d6e7c' },
      },
      dark: {
        primary: { color: '{primary.300}', contrastColor: '#0c1b34', hoverColor: '{primary.200}', activeColor: '{primary.100}' },
        surface: {
          0: '#ffffff',
          50: '#e8edf1',
          100: '#cdd6dd',
          200: '#a9b6c1',
          300: '#8696a3',
          400: '#6c7d8a',
          500: '#52616d',
          600: '#3d4a55',
          700: '#2b3742',
          800: '#202b35',
          900: '#18212a',
          950: '#10161c',
        },
        text: { color: '#e8edf1', mutedColor: '#a9b6c1' },
        formField: { borderColor: '#6c7d8a', placeholderColor: '#a9b6c1' },
      },
    },
  },
});
