import { expect, it, vi } from 'vitest';
import { focusSheet } from './sheetHands';

it('the sheet is brought in sight also when it has the keys already', () => {
  document.body.innerHTML = '<svg tabindex="0" data-testid="marking-sheet"></svg>';
  const sheet = document.querySelector('svg')!;
  const shown = vi.fn();
  sheet.scrollIntoView = shown;
  sheet.focus({ preventScroll: true });
  focusSheet();
  expect(document.activeElement).toBe(sheet);
  expect(shown).toHaveBeenCalledOnce();
});
