import type { Refusal } from '@eurhythm/contract';

/** What an error of the database means to whoever asked. */
export interface DatabaseFault {
  readonly status: number;
  readonly body: Refusal;
}

const AWAY: DatabaseFault = {
  status: 503,
  body: { message: 'The database is away for a moment. Nothing was changed; try again.' },
};
const BUSY: DatabaseFault = {
  status: 503,
  body: { message: 'Somebody else changed the same thing at this moment. Try again.' },
};
const FULL: DatabaseFault = {
  status: 507,
  body: { message: 'The disk is full. Nothing was changed; make room, then try again.' },
};
const GONE: DatabaseFault = {
  status: 409,
  body: { message: 'Something that this needs was taken out at this moment. Load the page again.' },
};
const NUMBER: Refusal = {
  message: 'This number was given to another combo at this moment. Choose another one.',
  errors: [
    {
      field: 'number',
      message: 'This number was given to another combo at this moment. Choose another one.',
    },
  ],
};
const TWICE: Refusal = { message: 'This was made by somebody else at this moment. Load the page again.' };

/** By the codes of PostgreSQL and of the system. */
const FAULTS: Readonly<Record<string, DatabaseFault>> = {
  '57P01': AWAY,
  '57P02': AWAY,
  '57P03': AWAY,
  '08000': AWAY,
  '08003': AWAY,
  '08006': AWAY,
  '53300': AWAY,
  '55000': AWAY,
  ECONNREFUSED: AWAY,
  ECONNRESET: AWAY,
  EPIPE: AWAY,
  ETIMEDOUT: AWAY,
  ENOTFOUND: AWAY,
  '40001': BUSY,
  '40P01': BUSY,
  '55P03': BUSY,
  '53100': FULL,
  ENOSPC: FULL,
  '23503': GONE,
};

/** What the driver says, without a code, of a connection that ended. */
const ENDED =
  /connection (terminated|ended|timeout)|timeout exceeded when trying to connect|client has encountered a connection error|not queryable/i;

/** The status and the sentence for an error of the database; null for another one, or for a fault of our own. */
export function databaseFault(error: unknown): DatabaseFault | null {
  for (const each of chainOf(error)) {
    const {
      code,
      message = '',
      constraint,
    } = each as { code?: string; message?: string; constraint?: string };
    if (code === '23505')
      return {
        status: 409,
        body:
          constraint === 'combo_number_in_grade' || message.includes('combo_number_in_grade')
            ? NUMBER
            : TWICE,
      };
    const fault = code === undefined ? undefined : FAULTS[code];
    if (fault) return fault;
    if (ENDED.test(message)) return AWAY;
  }
  return null;
}

/**
 * What may be written to the log of an error: of a failed statement what the database said and where, but neither the statement nor its
 * parameters, which hold names and notes.
 */
export function loggable(error: unknown): string {
  const last = chainOf(error).at(-1);
  return last instanceof Error ? (last.stack ?? last.message) : String(last);
}

/** An error and those that it was made of. */
function chainOf(error: unknown): unknown[] {
  const chain: unknown[] = [];
  for (let each = error; each !== undefined && each !== null && !chain.includes(each);) {
    chain.push(each);
    const { cause, errors } = each as { cause?: unknown; errors?: readonly unknown[] };
    each = cause ?? errors?.[0];
  }
  return chain;
}
