/** Whether a key goes into a field or a control that uses it, and is no command. */
export function isTyping({ target }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement) return target.type !== 'radio' && target.type !== 'checkbox';
  return (
    target.isContentEditable ||
    ['TEXTAREA', 'SELECT'].includes(target.tagName) ||
    target.closest('[role="combobox"], [role="listbox"], [role="dialog"]') !== null
  );
}
