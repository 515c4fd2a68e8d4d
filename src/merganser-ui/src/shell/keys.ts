const LETTERS = 'merganser-letters';

/** Single letters can be turned off (WCAG 2.1.4). */
export const lettersOn = (): boolean => localStorage.getItem(LETTERS) !== 'off';
export const setLetters = (on: boolean): void => localStorage.setItem(LETTERS, on ? 'on' : 'off');

const LAYER = '[role="dialog"], [role="menu"]';

/** True while a layer lies over the page. */
export const layerIsOpen = (): boolean => document.querySelector(LAYER) !== null;

/** True while a key press belongs to a field or an open layer and not to the page. */
export function isTyping(event: Event): boolean {
  const at = event.target;
  if (!(at instanceof HTMLElement || at instanceof SVGElement)) return false;
  return at.closest(`input, textarea, select, [contenteditable], ${LAYER}, [data-owns-keys]`) !== null;
}

/** True for a bare key that the page may act on. */
export function isPageKey(event: KeyboardEvent): boolean {
  return lettersOn() && !isTyping(event) && !event.ctrlKey && !event.metaKey && !event.altKey;
}

/** True while Enter belongs to what has the focus. */
export function ownsEnter(event: Event): boolean {
  const at = event.target;
  return at instanceof HTMLElement && (isTyping(event) || at.closest('a, button, summary, [role="button"]') !== null);
}
