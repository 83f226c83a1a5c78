/** Keeps the screen awake while a round runs, where the browser can; a page that was hidden asks again when it is seen. */
export class WakeLock {
  private lock: { release(): Promise<void> } | null = null;
  private isWanted = false;
  private readonly onSeen = (): void => {
    if (this.isWanted && document.visibilityState === 'visible') void this.request();
  };

  constructor() {
    document.addEventListener('visibilitychange', this.onSeen);
  }

  hold(): void {
    this.isWanted = true;
    void this.request();
  }

  release(): void {
    this.isWanted = false;
    void this.lock?.release();
    this.lock = null;
  }

  dispose(): void {
    this.release();
    document.removeEventListener('visibilitychange', this.onSeen);
  }

  private async request(): Promise<void> {
    // A refusal (no battery, a hidden page, an old browser) is nothing that a coach could mend: the round goes on.
    this.lock = (await navigator.wakeLock?.request('screen').catch(() => null)) ?? null;
  }
}
