import type { PulseBurstDto } from '@eurhythm/contract';

/** The burst of the class that this page plays: how long it lasts, and how far its bell is away, in seconds, below 0 once it rang. */
interface PlayedBurst {
  readonly seconds: number;
  bellIn(): number;
}

let played: PlayedBurst | null = null;

/** Stations hear the burst of the class from now on; null once it is over. */
export function playBurst(burst: PlayedBurst | null): void {
  played = burst;
}

/** As other devices are reported it, by the server's clock in milliseconds. */
export function burstNow(now: number): PulseBurstDto | null {
  return played && { at: new Date(now + 1000 * played.bellIn()).toISOString(), seconds: played.seconds };
}
