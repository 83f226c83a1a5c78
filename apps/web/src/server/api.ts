import type { FieldError, Refusal } from '@eurhythm/contract';
import { CLOCK_HEADER } from '@eurhythm/contract/clocks';
import { isOpenPage } from '@eurhythm/contract/openPages';
import { hearClock } from './clock.ts';

/** A request that the server refused, with its sentence and the fields it is about. */
export class Refused extends Error {
  readonly status: number;
  readonly errors: readonly FieldError[];
  /** What the server has instead, where a change was based on an older state. */
  readonly now: unknown;

  constructor(status: number, refusal: Refusal & { readonly now?: unknown }) {
    super(refusal.message);
    this.status = status;
    this.errors = refusal.errors ?? [];
    this.now = refusal.now;
  }
}

const AWAY = 'The server does not answer. What you entered is still here; try again in a moment.';

/** Sends a request and reads the JSON answer. @throws Refused with the server's own sentence. */
export async function send<T>(
  method: 'GET' | 'PUT' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  return ask<T>(path, {
    method,
    ...(body === undefined
      ? {}
      : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
}

/** Sends files. @throws Refused with the server's own sentence. */
export function sendForm<T>(method: 'PUT' | 'POST', path: string, form: FormData): Promise<T> {
  return ask<T>(path, { method, body: form });
}

/** Sends the bytes of one file as they are. @throws Refused with the server's own sentence. */
export function sendFile<T>(path: string, file: Blob): Promise<T> {
  return ask<T>(path, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: file,
  });
}

async function ask<T>(path: string, request: RequestInit): Promise<T> {
  const headers = { ...request.headers, [CLOCK_HEADER]: new Date().toISOString() };
  const response = await fetch(`/api/${path}`, { ...request, headers }).catch(() => {
    throw new Refused(0, { message: AWAY });
  });
  hearClock(response.headers.get(CLOCK_HEADER));
  if (response.status === 204) return undefined as T;
  const answer: unknown = await response.json().catch(() => null);
  if (!response.ok) {
    if (response.status === 401) goToDoor();
    throw new Refused(
      response.status,
      isRefusal(answer) ? answer : { message: `The server answered ${response.status}.` },
    );
  }
  return answer as T;
}

function isRefusal(answer: unknown): answer is Refusal {
  return typeof answer === 'object' && answer !== null && typeof (answer as Refusal).message === 'string';
}

export const get = <T>(path: string): Promise<T> => send<T>('GET', path);

/** An id made here, so that a request can be sent twice and done once. */
export function newId(): string {
  return crypto.randomUUID();
}

/** On a device that has not said the passphrase, or an older one, the door comes before every page of the gym. */
function goToDoor(): void {
  const { pathname, search } = window.location;
  if (!isOpenPage(pathname)) window.location.assign(`/door?to=${encodeURIComponent(pathname + search)}`);
}
