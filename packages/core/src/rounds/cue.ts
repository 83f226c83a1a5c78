import type { VoiceClip, WantedCall } from '../calls/index.ts';
import type { Limb } from '../body/index.ts';
import type { Stroke } from '../line/index.ts';
import type { Lead, Level } from '../moves/index.ts';
import type { SynthSound } from '../sound/index.ts';
import type { Seconds } from '../units/index.ts';

/**
 * `call` words for a stroke, combo or prompt; `tick` a beat; `bell`; `count` a count-in tick or one of the last five;
 * `time` a time call; `stance` a change of lead; `strike` the instant an impact is due; `show` what the holder offers.
 */
export type CueKind = 'call' | 'tick' | 'bell' | 'count' | 'time' | 'stance' | 'strike' | 'show';

/** A clip in its place: it plays from `start`, and `start + centre` is the instant of its cue. */
export interface PlacedClip {
  readonly id: string;
  readonly start: Seconds;
  readonly seconds: Seconds;
  readonly centre: Seconds;
  readonly rate: number;
}

export interface Cue {
  /** Instant in the round. */
  readonly at: Seconds;
  readonly kind: CueKind;
  readonly text: string;
  /** Id of the block it belongs to. */
  readonly block: string;
  /** The combo, the cycle of the block and the stroke of the line it belongs to. */
  readonly combo?: string;
  readonly cycle?: number;
  readonly stroke?: number;
  /** Of a strike: the limb, its height and its power. */
  readonly limb?: Limb;
  readonly level?: Level | null;
  readonly power?: Stroke['power'];
  /** Of a strike that nobody hears: a step, a block, a feint, what the holder does. */
  readonly silent?: true;
  /** Lead at this instant, where it matters. */
  readonly lead?: Lead;
  readonly sound?: SynthSound;
  readonly clip?: PlacedClip;
}

export const ROUND_RULES = [
  'call-dropped',
  'call-incomplete',
  'call-unclear',
  'no-cycle-fits',
  'count-cut',
  'no-way-back',
  'count-words-end',
  'tempo-too-fast',
] as const;
export type RoundRule = (typeof ROUND_RULES)[number];

export interface RoundFinding {
  readonly rule: RoundRule;
  readonly severity: 'note' | 'caution';
  readonly at: Seconds;
  readonly block: string;
  readonly message: string;
}

/**
 * Whether a finding says that a call is not heard, or not whole.
 *
 * @example
 * isAboutCall({ rule: 'call-incomplete' }) // true
 * isAboutCall({ rule: 'count-cut' }) // false
 */
export function isAboutCall({ rule }: Pick<RoundFinding, 'rule'>): boolean {
  return rule === 'call-dropped' || rule === 'call-incomplete' || rule === 'call-unclear';
}

/** One time through a combo. */
export interface Cycle {
  readonly at: Seconds;
  readonly block: string;
  readonly combo: string;
  readonly cycle: number;
  /** Lead it starts from. */
  readonly lead: Lead;
  /** Length in beats, and the length of a beat. */
  readonly beats: number;
  readonly beatSeconds: Seconds;
  /** Contact with the partner in percent of full power; null where nothing is said about it. */
  readonly intensity: number | null;
  /** What the groups with combos of their own do meanwhile. */
  readonly lanes?: readonly { readonly group: string; readonly combo: string }[];
  /** The line that is done where it is another than the combo's own: the same on the way back. */
  readonly line?: string;
}

export interface CompiledRound {
  readonly duration: Seconds;
  /** Sorted by `at`. */
  readonly cues: readonly Cue[];
  readonly cycles: readonly Cycle[];
  readonly findings: readonly RoundFinding[];
}

/** A call that a block would like to have, with the cue it becomes once it has its place. */
export interface RoundCall extends WantedCall {
  readonly cue: Omit<Cue, 'at' | 'clip' | 'text'>;
  /** What each of its texts leaves out of what is done at its instant, for those that do. */
  readonly lacks?: ReadonlyMap<string, readonly string[]>;
}

/** What a block brings to a round before its calls are fitted. */
export interface Layout {
  readonly cues: Cue[];
  readonly cycles: Cycle[];
  readonly calls: RoundCall[];
  readonly findings: RoundFinding[];
}

/**
 * @example
 * Object.keys(emptyLayout()) // ['cues', 'cycles', 'calls', 'findings']
 */
export function emptyLayout(): Layout {
  return { cues: [], cycles: [], calls: [], findings: [] };
}

/**
 * @example
 * placeClip({ id: 'c', text: 'one', rate: 1, seconds: 0.3, centre: 0.1 }, 5).start // 5
 */
export function placeClip(clip: VoiceClip, start: Seconds): PlacedClip {
  return { id: clip.id, start, seconds: clip.seconds, centre: clip.centre, rate: clip.rate };
}
