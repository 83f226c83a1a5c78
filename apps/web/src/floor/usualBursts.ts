import { USUAL_BURST_TITLE } from '@eurhythm/core/rounds';

/** Bursts that are offered in a gym that has timed nothing yet; their length in seconds. */
export const USUAL_BURSTS = [USUAL_BURST_TITLE, 'Round kicks', 'Backfist and cross'].map((title) => ({
  title,
  seconds: 10,
}));
