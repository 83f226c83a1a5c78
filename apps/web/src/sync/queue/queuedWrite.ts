import type { Refusal } from '@eurhythm/contract';

export type WriteMethod = 'PUT' | 'POST' | 'DELETE';

/** What a write is about, as the shell counts it: "2 marks wait for the server". */
export interface Subject {
  readonly one: string;
  readonly many: string;
}

/** A write as a page gives it. */
export interface Writing {
  readonly method: WriteMethod;
  /** Under /api; a newer write to the same address stands in for one that still waits. */
  readonly address: string;
  readonly body?: unknown;
  readonly subject: Subject;
  /** Version of what was changed; the server refuses it when it has a newer one. */
  readonly basedOn?: number | undefined;
  /** Page on which what was typed can be found again when it is refused. */
  readonly page?: string | undefined;
}

/** What else a writing may tell. */
type More = Pick<Writing, 'basedOn' | 'page'>;

/** Putting something where it belongs. */
export function putRequest(subject: Subject, address: string, body: unknown, more: More = {}): Writing {
  return { method: 'PUT', subject, address, body, ...more };
}

export function deleteRequest(subject: Subject, address: string): Writing {
  return { method: 'DELETE', subject, address };
}

/** A write on its way: kept until the server has taken or refused it. */
export interface QueuedWrite extends Writing {
  readonly id: string;
  /** Place among all writes of this browser, given by the store. */
  readonly sequence?: number;
  /** Which page wrote it: only its own newer writes go on from the version that an older one came to. */
  readonly origin: string;
  /** It may be with the server already. */
  readonly isSent: boolean;
}

/** A write that the server refused, with its sentence and, where it had a newer state, that state. */
export interface RejectedWrite {
  readonly write: QueuedWrite;
  readonly refusal: Refusal & { readonly now?: unknown };
  readonly status: number;
}

/** What became of a write. */
export type Outcome =
  | { readonly kind: 'taken'; readonly id: string; readonly address: string; readonly answer: unknown }
  | {
      readonly kind: 'refused';
      readonly id: string;
      readonly address: string;
      readonly rejected: RejectedWrite;
    };

/**
 * What waits, in words.
 *
 * @example
 * waitingText([{ subject: MARK }, { subject: MARK }]) // '2 marks wait for the server'
 */
export function waitingText(writes: readonly Pick<QueuedWrite, 'subject'>[]): string {
  const counts = new Map<string, { readonly subject: Subject; n: number }>();
  for (const { subject } of writes) {
    const known = counts.get(subject.one);
    if (known) known.n += 1;
    else counts.set(subject.one, { subject, n: 1 });
  }
  const parts = [...counts.values()].map(({ subject, n }) => `${n} ${n === 1 ? subject.one : subject.many}`);
  if (parts.length === 0) return '';
  const list = parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)!}` : parts[0]!;
  return `${list} ${writes.length === 1 ? 'waits' : 'wait'} for the server`;
}

/** The version that an answer of the server tells; undefined for one that tells none. */
export function versionOf(answer: unknown): number | undefined {
  const version = (answer as { version?: unknown } | null | undefined)?.version;
  return typeof version === 'number' ? version : undefined;
}
