import type { Lead, MoveBook } from '../moves/index.ts';
import type { Seconds } from '../units/index.ts';

/** A number that is counted, and where it ends. */
export interface Counted {
  readonly n: number;
  readonly of: number;
}

/** What a group with work of its own does meanwhile. */
export interface SceneLane {
  readonly group: string;
  readonly what: string;
  readonly count: Counted | null;
  /** It has done all of its own. */
  readonly isDone: boolean;
}

/** What there is to see of a block from an instant on, until its next scene or its end. What is done on a beat is drawn from the cycles. */
export interface Scene {
  readonly at: Seconds;
  /** What is done, in one or two words. */
  readonly what: string;
  /** How it is done: from which lead or side, which part, at which height, how fast. */
  readonly how?: readonly string[];
  readonly count?: Counted;
  /** When this is over, where that is what everybody waits for. */
  readonly until?: Seconds;
  readonly lanes?: readonly SceneLane[];
  /** For whoever speaks. */
  readonly notes?: string;
  /** What comes must not be seen beforehand by those who answer it. */
  readonly isSurprise?: boolean;
}

/** A scene in its round. */
export interface PlacedScene extends Scene {
  readonly block: string;
}

/** What scenes are made from, beside their block. */
export interface SceneGround {
  readonly lead: Lead;
  readonly book: MoveBook;
  /** Pace of those who train. */
  readonly factor: number;
}
