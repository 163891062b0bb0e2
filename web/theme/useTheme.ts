import { useDark, useEventListener, useToggle } from '@vueuse/core';

const isDark = useDark({
  selector: 'html',
  attribute: 'class',
  valueDark: 'dark',
  valueLight: '',
  storageKey: 'azulejo-theme',
  disableTransition: false,
});

/** Paper is white: what is printed is drawn light, and the look comes back after. */
let wasDark = false;
useEventListener('beforeprint', () => {
  wasDark = isDark.value;
  if (wasDark) isDark.value = false;
});
useEventListener('afterprint', () => {
  if (wasDark) isDark.value = true;
});

/** Whether the dark look is on, and what switches it; follows the system until switched. */
export const useTheme = () => ({ isDark, toggle: useToggle(isDark) });
