/** Takes what is half typed in a field, as a press elsewhere would. */
export function leaveField(): void {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
}
