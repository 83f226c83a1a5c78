import { Equals } from 'class-validator';
import type { FighterView } from './fighters.ts';
import type { SessionSummary } from './sessions.ts';

export class AcceptNoticeDto {
  @Equals(true, { message: 'The notice is accepted or left open.' })
  accepted!: boolean;
}

export interface GradeView {
  readonly id: string;
  readonly name: string;
  readonly band: 'children' | 'adults';
}

export interface GymView {
  readonly name: string;
  readonly noticeAcceptedAt: string | null;
  readonly grades: readonly GradeView[];
}

export interface TodayView {
  readonly next: SessionSummary | null;
  readonly running: { readonly id: string; readonly title: string } | null;
  readonly expected: readonly FighterView[];
  readonly lastRun: {
    readonly id: string;
    readonly title: string;
    readonly at: string;
    readonly finished: number;
    readonly part: number;
    readonly satOut: number;
  } | null;
  readonly bestBursts: readonly {
    readonly fighterId: string;
    readonly name: string;
    readonly title: string;
    readonly lead: 'left' | 'right';
    readonly count: number;
    readonly before: number;
    readonly trials: number;
    readonly at: string;
  }[];
}

/** A refused request: one sentence, and which field it is about where it is about fields. */
export interface Refusal {
  readonly message: string;
  readonly errors?: readonly { readonly field: string; readonly message: string }[];
}
