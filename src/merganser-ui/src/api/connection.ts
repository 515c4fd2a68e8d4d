import { onlineManager } from '@tanstack/react-query';
import { sameBench } from './bench';

const ASK_EVERY = 2000;
let asking: ReturnType<typeof setInterval> | null = null;

/** The server did not answer: it is asked every two seconds until it does, and what waits for it goes on then. */
export function connectionLost(): void {
  onlineManager.setOnline(false);
  asking ??= setInterval(() => void askAgain(), ASK_EVERY);
}

/** Asks now whether the server answers. */
export async function askAgain(): Promise<boolean> {
  try {
    sameBench(await globalThis.fetch(new Request(new URL('/health', window.location.origin))));
  } catch {
    return false;
  }
  connectionFound();
  return true;
}

/** Called when the server answers again after it did not. */
export const whenFound = (hearer: () => void): (() => void) => onlineManager.subscribe((online) => online && hearer());

/** The server answers. */
export function connectionFound(): void {
  if (asking) clearInterval(asking);
  asking = null;
  onlineManager.setOnline(true);
}
