/** Which bench this page belongs to; empty where the page came from no bench's server. */
export const bench = ((id) => (id.startsWith('__') ? '' : id))(
  document.querySelector<HTMLMetaElement>('meta[name="bench"]')?.content ?? '',
);

const HEADER = 'Merganser-Bench';

/** Said with every request: a server that has taken this address for another bench takes nothing in. */
export const benchHeader: Record<string, string> = bench ? { [HEADER]: bench } : {};

/** Another bench answers at this address than the one whose page this is: nothing is sent to it. */
export class OtherBench extends Error {
  constructor() {
    super('Another bench answers here now. Load this page anew; what waits is kept for its own bench.');
  }
}

/** @throws OtherBench */
export function sameBench(response: Response): void {
  const from = response.headers.get(HEADER);
  if (bench && from && from !== bench) throw new OtherBench();
}

/** Under which name something is kept in this browser for this bench alone. */
export const keptAs = (name: string): string => (bench ? `merganser-${bench}-${name}` : `merganser-${name}`);

/** What this browser keeps under a name; null where it keeps nothing there, or nothing that can be read. */
export function readKept<T>(name: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(name) ?? 'null') as T | null;
  } catch {
    return null;
  }
}

/** Keeps something under a name; null is kept no more. */
export function writeKept(name: string, value: unknown): void {
  if (value === null) localStorage.removeItem(name);
  else localStorage.setItem(name, JSON.stringify(value));
}
