/**
 * Lets this browser keep our own page, its files and what was read last, so that a reload shows them while the server
 * is away. Nothing but this origin's own answers is kept.
 */
export function keepForLater(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  // Where the browser will not, a reload needs the server: nothing else changes.
  void navigator.serviceWorker.register('/sw.js').catch(() => undefined);
}
