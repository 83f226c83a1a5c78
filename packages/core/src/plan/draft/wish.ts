import type { BandLimits, GymGrade } from '../../body/index.ts';
import type { CallWords } from '../../calls/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import type { BlockCombo, Sides, WrittenBlock } from '../../rounds/index.ts';
import type { TempoLog, TempoPerson } from '../../tempo/index.ts';
import type { Bpm, Seconds } from '../../units/index.ts';
import type { Lead } from '../../moves/index.ts';
import type { PersonCare } from '../care/careNotes.ts';
import type { RoundLike } from '../plannedRound.ts';
import type { SessionWarning } from '../warnings/placedBlocks.ts';

/** What a coach asks for. */
export interface DraftWish {
  readonly minutes: number;
  /** Ids of grades in the order of the lanes: the first is the one that the voice calls. */
  readonly grades?: readonly string[];
  /** Ids of those who come; with them it does not matter which grades are ticked. Without either, everybody who may train. */
  readonly people?: readonly string[];
  /** Words such as "knees", "left leg", "footwork", "contact", "test", or a focus of the gym's combos. */
  readonly theme?: readonly string[];
  /** Steps of floor one way; what the gym has without it. */
  readonly room?: number | null;
  /** What there is for this class, nothing where it is empty; what the gym has without it. */
  readonly kit?: readonly string[];
  /** Everybody works alone: no pads are held. */
  readonly alone?: boolean;
  /** The grade that is tested next. */
  readonly towards?: string | null;
  /** Ids of the combos that the plan of a season has for this class. */
  readonly include?: readonly string[];
  /** Load beside a usual class, 1 being usual; a light class has no burst and less contact. */
  readonly load?: number;
  /** Hardest contact in percent; what goes with the effort without it. */
  readonly contact?: number;
}

/** Somebody of the gym. */
export interface DraftPerson extends TempoPerson {
  readonly gradeId: string;
  readonly fit: boolean;
  readonly lead?: Lead;
  readonly care?: PersonCare | null | undefined;
}

/** A combo of the gym's book. */
export interface DraftCombo extends BlockCombo {
  readonly gradeId: string;
  readonly bpm: Bpm;
  readonly focus: readonly string[];
}

/** A technique as a grade's list holds it: a move with the side it is written with, or a combo of the book. */
export interface ListedTechnique {
  readonly move: string | null;
  readonly comboId: string | null;
  readonly reps: number;
  readonly sides: Sides;
  readonly sets: number;
  readonly restSeconds: Seconds;
}

/** What a gym is and has. */
export interface DraftGym {
  readonly book: MoveBook;
  /** Codes of moves that are not taught any more. */
  readonly retired: readonly string[];
  readonly grades: readonly GymGrade[];
  readonly youth: readonly BandLimits[];
  readonly combos: readonly DraftCombo[];
  /** By the id of the grade. */
  readonly techniques: Readonly<Record<string, readonly ListedTechnique[]>>;
  /** Ids of the combos that each grade asks for, by the id of the grade that is to be reached. */
  readonly asked: Readonly<Record<string, readonly string[]>>;
  /** Gradings that are planned: who is to be tested for which grade. */
  readonly candidates?: readonly { readonly fighterId: string; readonly gradeId: string }[];
  /** Rounds of the library to take warm-up, conditioning and stretch from, own ones first. */
  readonly library: readonly RoundLike<WrittenBlock>[];
  readonly people: readonly DraftPerson[];
  readonly words: CallWords;
  readonly floorSteps: number | null;
  /** What is at hand; empty when nobody said. */
  readonly kit: readonly string[];
  /** Pace of the gym, how many times as long as at sharp pace a body needs for a move. */
  readonly factor: number;
}

/** What was trained of late. */
export interface DraftLog extends TempoLog {
  /** Days since a combo was last in a class; null when it never was. */
  daysAgo(comboId: string): number | null;
  /** Ids of those with whom a combo is due to be asked again. */
  dueWith(comboId: string): readonly string[];
  /** The ids of the combos of the last classes, the last one first. */
  readonly recent: readonly (readonly string[])[];
}

export interface DraftedRound extends RoundLike<WrittenBlock> {
  /** Why it is there, in one line. */
  readonly why: string;
  /** How hard it is meant to be, from 1 to 10. */
  readonly effort: number;
  /** How many stand together and take turns; nobody changes roles without it. */
  readonly turns: 2 | 3 | null;
}

/** Who trains together: a group of the session. */
export interface DraftedGroup {
  readonly name: string;
  readonly gradeIds: readonly string[];
}

export interface SessionDraft {
  readonly title: string;
  readonly groups: readonly DraftedGroup[];
  readonly rounds: readonly DraftedRound[];
  readonly seconds: Seconds;
  /** What could not be had, each in one sentence. */
  readonly notes: readonly string[];
  /** What the planner itself would say of it. */
  readonly check: readonly SessionWarning[];
}

/** What cannot be drafted, why, and which part of the wish it is about. */
export interface Refused {
  readonly ok: false;
  readonly field: 'minutes' | 'grades' | 'people' | 'towards';
  readonly message: string;
}

/** A draft, or why there is none. */
export type DraftAnswer = { readonly ok: true; readonly draft: SessionDraft } | Refused;
