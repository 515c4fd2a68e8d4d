import createClient from 'openapi-fetch';
import { benchHeader, sameBench } from './bench';
import { connectionFound, connectionLost } from './connection';
import { Queued, send } from './outbox';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

/** What the server refused, with a sentence for each field. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly errors: Record<string, string[]> = {},
    readonly current: unknown = null,
  ) {
    super(message);
  }
}

/** True where what was asked for is not on record. */
export const isMissing = (error: unknown): boolean => error instanceof Refusal && error.status === 404;

const NO_FAULTS: Record<string, string[]> = {};

/** What is wrong with each field, where it was a refusal. */
export const faultsOf = (problem: Error | null): Record<string, string[]> =>
  problem instanceof Refusal ? problem.errors : NO_FAULTS;

/** Why a reading is asked about and not taken: it is far from what is expected. Null for any other problem. */
export const farOf = (problem: Error | null): string | null =>
  problem instanceof Refusal && problem.code === 'far' ? problem.message : null;

/** The server could not be reached at all. */
export class Unreachable extends Error {
  constructor() {
    super('The bench’s server does not answer.');
  }
}

export const api = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: send,
  headers: benchHeader,
});

/** On an answer that this browser kept from before: no server gave it. */
const KEPT = 'Merganser-Kept';
const keptBefore = new WeakSet<object>();

/** True for an answer that this browser kept from before: what the page has in hand is newer. */
export const isFromBefore = (said: unknown): boolean =>
  typeof said === 'object' && said !== null && keptBefore.has(said);

interface Problem {
  status?: number;
  title?: string;
  code?: string;
  errors?: Record<string, string[]>;
  current?: unknown;
}

/** The data of an answer; a refusal or a lost server is thrown. */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result;
  try {
    result = await call;
  } catch (error) {
    if ((error as Error).name === 'AbortError' || error instanceof Queued) throw error;
    connectionLost();
    throw new Unreachable();
  }
  sameBench(result.response);
  // What the browser kept of an earlier answer is shown, and the server is asked until it is there.
  if (result.response.headers.has(KEPT)) {
    connectionLost();
    if (typeof result.data === 'object' && result.data !== null) keptBefore.add(result.data);
  } else connectionFound();
  if (result.response.ok) return result.data as T;
  const problem = (result.error ?? {}) as Problem;
  throw new Refusal(
    result.response.status,
    problem.code ?? 'unexpected',
    problem.title ?? 'Something went wrong.',
    problem.errors,
    problem.current,
  );
}

export const newId = (): string => crypto.randomUUID();

export const ifMatch = (version: number) => ({ headers: { 'If-Match': `"${version}"` } });
