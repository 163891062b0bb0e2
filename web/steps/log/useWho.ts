import { useLocalStorage } from '@vueuse/core';

/** Whoever holds the phone: said once, written beside every entry. */
export function useWho() {
  const who = useLocalStorage('azulejo-who', '');
  const setWho = (name: string): null => {
    who.value = name.trim();
    return null;
  };
  return { who, setWho };
}
