import { Refused, send } from '../app/api.ts';

interface Letter {
  readonly id: string;
  readonly method: 'PUT' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
}

const SHELF = 'eurhythm.outbox';
const RETRY_MS = 3000;

/**
 * Writes that must not be lost: kept in the browser until the server has taken them, in order, also over a reload or a
 * lost network. Every one of them is safe to repeat. A write that the server refuses is put away and told.
 */
export class Outbox {
  private letters: Letter[];
  private sending = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  onChange: (waiting: number) => void = () => {};
  onRefused: (message: string) => void = () => {};
  private readonly shelf: Pick<Storage, 'getItem' | 'setItem'>;
  private readonly post: typeof send;

  constructor(shelf: Pick<Storage, 'getItem' | 'setItem'> = localStorage, post: typeof send = send) {
    this.shelf = shelf;
    this.post = post;
    this.letters = readLetters(shelf.getItem(SHELF));
  }

  get waiting(): number {
    return this.letters.length;
  }

  /** Takes a write; a newer one to the same path stands in for one that still waits. */
  put(method: Letter['method'], path: string, body?: unknown): void {
    const isSending = (index: number): boolean => this.sending && index === 0;
    this.letters = this.letters.filter((letter, i) => letter.path !== path || isSending(i));
    this.letters.push({ id: `${Date.now()}-${this.letters.length}`, method, path, body });
    this.keep();
    void this.flush();
  }

  /** Sends what waits, oldest first. */
  async flush(): Promise<void> {
    if (this.sending) return;
    clearTimeout(this.timer);
    this.sending = true;
    while (this.letters.length > 0) {
      const letter = this.letters[0]!;
      const outcome = await this.post(letter.method, letter.path, letter.body).then(
        () => 'taken' as const,
        (error: unknown) => error,
      );
      const isAway =
        outcome !== 'taken' &&
        (!(outcome instanceof Refused) || outcome.status === 0 || outcome.status >= 500);
      if (isAway) {
        this.timer = setTimeout(() => void this.flush(), RETRY_MS);
        break;
      }
      if (outcome instanceof Refused) this.onRefused(outcome.message);
      this.letters = this.letters.filter((other) => other !== letter);
      this.keep();
    }
    this.sending = false;
  }

  private keep(): void {
    this.shelf.setItem(SHELF, JSON.stringify(this.letters));
    this.onChange(this.letters.length);
  }
}

function readLetters(text: string | null): Letter[] {
  try {
    const letters: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(letters) ? (letters as Letter[]) : [];
  } catch {
    return []; // the shelf was written by something else; there is nothing of ours in it
  }
}
