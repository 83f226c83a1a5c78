/** One tab of this browser has a thing; another one can take it. Where the browser knows no locks, every tab has it. */
export class TabClaim {
  private readonly name: string;
  private letGo: (() => void) | null = null;

  constructor(name: string) {
    this.name = name;
  }

  /** Whether this tab has it from now on; `onLost` is reported when another one takes it. */
  claim(onLost: () => void): Promise<boolean> {
    return this.ask({ ifAvailable: true }, onLost);
  }

  /** Takes it from whichever tab has it. */
  async take(): Promise<void> {
    await this.ask({ steal: true }, () => {});
  }

  release(): void {
    this.letGo?.();
    this.letGo = null;
  }

  private ask(how: LockOptions, onLost: () => void): Promise<boolean> {
    if (!('locks' in navigator)) return Promise.resolve(true);
    return new Promise((decided) => {
      navigator.locks
        .request(this.name, how, (lock) => {
          decided(lock !== null);
          if (!lock) return undefined;
          return new Promise<void>((done) => (this.letGo = done));
        })
        // Another tab has taken it.
        .catch(onLost);
    });
  }
}
