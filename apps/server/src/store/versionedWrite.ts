import { isDeepStrictEqual } from 'node:util';
import { refuseStale } from '../house/refuse.ts';

/** A change that was based on an older state; it takes its transaction back. */
class StaleWrite extends Error {
  readonly sent: object;

  constructor(sent: object) {
    super('based on an older state');
    this.sent = sent;
  }
}

/** How one thing is read and written inside a transaction. */
export interface VersionedRow {
  /** What is to be kept, as far as it makes a difference. */
  readonly sent: object;
  /** Makes it, unless it is there; whether it did. */
  insert(): Promise<boolean>;
  /** What is kept now, in the shape of `sent`, locked until the end of the transaction. */
  read(): Promise<{ readonly content: object; readonly version: number }>;
  update(version: number): Promise<void>;
}

/**
 * Makes or changes a thing, inside `refusingStale`. The same content again changes nothing, whatever it was based on; a change that was based on an
 * older state than the present one is refused with both. Gives whether anything was written.
 */
export async function writeVersioned(row: VersionedRow, basedOn: number | undefined): Promise<boolean> {
  if (await row.insert()) return true;
  const { content, version } = await row.read();
  if (isDeepStrictEqual(plain(content), plain(row.sent))) return false;
  if (basedOn !== undefined && basedOn !== version) throw new StaleWrite(row.sent);
  await row.update(version + 1);
  return true;
}

/**
 * Runs a transaction that may find its change too late; the refusal shows what stands now. That is read once the
 * transaction is over: the embedded database has one connection, which would wait for itself.
 */
export async function refusingStale<T>(work: () => Promise<T>, now: () => Promise<object>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof StaleWrite) throw refuseStale(await now(), error.sent);
    throw error;
  }
}

/** As JSON sees it: instances of classes are as good as what they hold, dates as their text, nothing as missing. */
function plain(value: object): unknown {
  return JSON.parse(JSON.stringify(value));
}
