import { useDark, useToggle } from '@vueuse/core';

const isDark = useDark({
  selector: 'html',
  attribute: 'class',
  valueDark: 'dark',
  valueLight: '',
  storageKey: 'azulejo-theme',
  disableTransition: false,
});

/** Whether the dark look is on, and what switches it; follows the system until switched. */
export const useTheme = () => ({ isDark, toggle: useToggle(isDark) });
