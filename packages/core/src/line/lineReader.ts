import type { LineError } from './beatLine.ts';

/** A place in the text and the faults found so far; the grammar's rules move it forward. */
export class LineReader {
  at = 0;
  readonly errors: LineError[] = [];
  readonly text: string;

  constructor(text: string) {
    this.text = text;
  }

  get done(): boolean {
    return this.at >= this.text.length;
  }

  peek(ahead = 0): string {
    return this.text[this.at + ahead] ?? '';
  }

  /** Moves past the letters if they stand here. */
  take(letters: string): boolean {
    if (!this.text.startsWith(letters, this.at)) return false;
    this.at += letters.length;
    return true;
  }

  /** Moves past what the sticky pattern matches here and returns it. */
  match(pattern: RegExp): RegExpExecArray | null {
    pattern.lastIndex = this.at;
    const found = pattern.exec(this.text);
    if (found) this.at += found[0].length;
    return found;
  }

  /** Reads white space and comments; tells the comments and whether anything was there. */
  space(): { readonly comments: string[]; readonly any: boolean } {
    const start = this.at;
    const comments: string[] = [];
    for (;;) {
      this.match(/\s+/y);
      const comment = this.match(/#([^\n]*)/y);
      if (!comment) return { comments, any: this.at > start };
      comments.push(comment[1]!.trim());
    }
  }

  fault(from: number, to: number, message: string, expected: string, hint: string | null = null): void {
    this.errors.push({ from, to: Math.max(to, from), message, expected, hint });
  }
}
