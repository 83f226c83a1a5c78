export * from './fighterState.ts';
export * from './resolveStroke.ts';
export * from './walkStance.ts';
export * from './analyseCombo.ts';
export {
  PACE_FACTORS,
  PAIR_CLASSES,
  PAIR_WORDS,
  factorOf,
  neededGap,
  strokeTimes,
  type ClockSettings,
  type OwnPace,
  type Pace,
  type PairClass,
} from './pairGap.ts';
export { isFlown, movesFeet, sharesLimb, turnOf } from './strokeFacts.ts';
export * from './limbClock.ts';
export * from './drift.ts';
export * from './findings/index.ts';
export * from './audience.ts';
export * from './padsAhead.ts';
