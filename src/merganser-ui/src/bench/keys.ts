/** True while a key press belongs to a field or an open layer and not to the page. */
export function isTyping(event: Event): boolean {
  const at = event.target;
  if (!(at instanceof HTMLElement)) return false;
  return at.closest('input, textarea, select, [contenteditable], [role="dialog"], [data-owns-keys]') !== null;
}

/** True while Enter belongs to what has the focus. */
export function ownsEnter(event: Event): boolean {
  const at = event.target;
  return at instanceof HTMLElement && (isTyping(event) || at.closest('a, button, [role="button"]') !== null);
}
