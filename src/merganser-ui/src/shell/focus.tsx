import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { layerIsOpen } from './keys';

/** Where the focus goes when what had it is gone: the place that the view names, else its heading. */
export function focusHome(): void {
  const home =
    document.querySelector<HTMLElement>('main [data-first]') ??
    document.querySelector<HTMLElement>('main h1') ??
    document.querySelector<HTMLElement>('main');
  if (!home) return;
  if (home.tabIndex < 0 && !home.hasAttribute('tabindex')) home.tabIndex = -1;
  home.focus({ preventScroll: true });
}

/** Gives it the focus and brings it in sight: what kept the focus may have put it there already, and does not scroll. */
export function focusInSight(found: HTMLElement | SVGElement | null): void {
  found?.focus();
  found?.scrollIntoView?.({ block: 'nearest' });
}

/** Puts the focus into the first thing found, once it is drawn: the frame that comes next may still be without it. */
export function focusSoon(css: string, frames = 30): void {
  requestAnimationFrame(() => {
    const found = document.querySelector<HTMLElement>(css);
    if (found) focusInSight(found);
    else if (frames > 0) focusSoon(css, frames - 1);
  });
}

const lost = () => document.activeElement === null || document.activeElement === document.body;

/** Keeps the focus on the page: after a navigation, and when the element that had it is taken away or was only busy. */
export function FocusKeeper() {
  const location = useLocation();
  const last = useRef<HTMLElement | null>(null);
  // After a navigation the view may still be fetching: until a hand does something, what comes first in it gets the focus.
  const arriving = useRef(true);
  useEffect(() => {
    arriving.current = true;
    const timer = setTimeout(() => lost() && focusHome(), 50);
    return () => clearTimeout(timer);
  }, [location.pathname, location.search]);
  useEffect(() => {
    const entered = (event: FocusEvent) => {
      last.current = event.target as HTMLElement;
    };
    const acted = () => {
      arriving.current = false;
    };
    // A press on nothing is meant: the focus is not brought back then.
    const pressed = (event: PointerEvent) => {
      if (!(event.target as Element).closest('a, button, input, select, textarea, summary, label, [tabindex]'))
        last.current = null;
    };
    const mend = () => {
      const had = last.current;
      const at = document.activeElement;
      const waits = arriving.current && (lost() || at?.tagName === 'MAIN' || at?.tagName === 'H1');
      const better = at?.tagName === 'H1' ? 'main [data-first]' : 'main [data-first], main h1';
      if (waits && document.querySelector(better)) return focusHome();
      if (!had || !lost() || layerIsOpen()) return;
      if (!had.isConnected) focusHome();
      else if (!(had as HTMLButtonElement).disabled) had.focus({ preventScroll: true });
    };
    const watch = new MutationObserver(() => requestAnimationFrame(mend));
    watch.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] });
    document.addEventListener('focusin', entered);
    document.addEventListener('keydown', acted, true);
    document.addEventListener('pointerdown', acted, true);
    document.addEventListener('pointerdown', pressed, true);
    return () => {
      watch.disconnect();
      document.removeEventListener('focusin', entered);
      document.removeEventListener('keydown', acted, true);
      document.removeEventListener('pointerdown', acted, true);
      document.removeEventListener('pointerdown', pressed, true);
    };
  }, []);
  return null;
}

const open: (() => void)[] = [];

/** Esc closes what was opened last; what stands under it stays. */
export function useEscape(isOpen: boolean, close: () => void): void {
  const latest = useRef(close);
  useEffect(() => {
    latest.current = close;
  });
  useEffect(() => {
    if (!isOpen) return;
    const entry = () => latest.current();
    open.push(entry);
    return () => void open.splice(open.indexOf(entry), 1);
  }, [isOpen]);
}

/** Listens for Esc, once for the page. */
export function EscapeKeeper() {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || event.defaultPrevented || layerIsOpen()) return;
      open.at(-1)?.();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return null;
}

/** After a refusal the first field that it names has the focus and is in sight. */
export function useFaultFocus(problem: Error | null): void {
  useEffect(() => {
    if (!problem) return;
    const field = document.querySelector<HTMLElement>('main [aria-invalid="true"]');
    field?.focus({ preventScroll: true });
    field?.scrollIntoView?.({ block: 'center' });
  }, [problem]);
}
