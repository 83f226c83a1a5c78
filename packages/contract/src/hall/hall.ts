import { STAMP_IDS, type Pulse, type StampId } from '@eurhythm/core/run';
import { ArrayMaxSize, IsArray, IsBoolean, Matches } from 'class-validator';
import {
  IsAmong,
  IsInstant,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsShaped,
  IsText,
  IsTexts,
  IsThing,
  IsWholeWithin,
  IsWithin,
  LEADS,
  MayBeMissing,
  MayBeNull,
} from '../rules/index.ts';
import { MOST_COUNT } from '../runs/attempts.ts';
import { TEST_SECONDS } from '../runs/testDtos.ts';
import { RunPlanView } from '../runs/runPlan.ts';
import { RoundPartnersView, RunEventView } from '../runs/runEventDtos.ts';

/** What a device of the hall may be: the big screen, what a holder shows, a remote, a phone at a bag. */
export const HALL_VIEWS = ['wall', 'holder', 'remote', 'station'] as const;
export type HallViewName = (typeof HALL_VIEWS)[number];

/** Letters that are not taken for one another when they are read aloud or from afar. */
export const CODE_LETTERS = 'ACDEFHJKLMNPRTUVWXY';
export const CODE_LENGTH = 6;

/** The code with which devices join a run. */
export class HallCodeView {
  @IsText()
  readonly code!: string;
}

export class HallFighterView {
  @IsText()
  readonly id!: string;

  /** First name or initials, as the gym has it. */
  @IsText()
  readonly name!: string;
}

/** What a device that joins a class is given: the run, and nothing else of the gym. */
export class HallRunView {
  @IsText()
  readonly title!: string;

  @IsText()
  readonly sessionId!: string;

  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsListed(() => HallFighterView)
  readonly fighters!: readonly HallFighterView[];

  @IsListed(() => RoundPartnersView)
  readonly partners!: readonly RoundPartnersView[];

  @IsShaped(() => RunPlanView)
  readonly plan!: RunPlanView;

  @IsListed(() => RunEventView)
  readonly events!: readonly RunEventView[];
}

const PHASES = ['ready', 'running', 'held', 'over'] as const;

/** A burst of the whole class between two rounds. */
export class PulseBurstDto {
  /** When its bell is heard, by the server's clock. */
  @IsInstant('the bell')
  at!: string;

  @IsWithin('the time', TEST_SECONDS.min, TEST_SECONDS.max, 'seconds')
  seconds!: number;
}

/** Where the device that plays the run hears it stand. */
export class PulseDto {
  /** By the server's clock. */
  @IsInstant('the time')
  at!: string;

  @IsOneOf('the phase', PHASES)
  phase!: Pulse['phase'];

  @IsWholeWithin('the round', 0, 1000, '')
  round!: number;

  @IsWithin('the position', 0, 36_000, 'seconds')
  position!: number;

  /** Whose numbers of a burst are still open. */
  @IsArray({ message: 'The open numbers are a list.' })
  @ArrayMaxSize(100, { message: 'A run holds at most 100 fighters.' })
  @IsOwnId('a fighter', { each: true })
  counting!: string[];

  /** The burst of the class that runs or is about to; nothing where none does. */
  @MayBeNull()
  @IsThing('the burst', () => PulseBurstDto)
  burst?: PulseBurstDto | null;
}

export const WISHES = ['hold', 'next', 'again', 'mark', 'undo', 'count'] as const;

/** What a remote asks of the device that plays the run. */
export class WishDto {
  @IsOwnId('the press')
  id!: string;

  @IsOneOf('what is asked', WISHES)
  kind!: (typeof WISHES)[number];

  /** Of a mark and a count: whose. */
  @MayBeMissing()
  @IsOwnId('a fighter')
  fighterId?: string;

  /** Of a mark: what it says. */
  @MayBeMissing()
  @IsOneOf('what the press says', STAMP_IDS)
  stamp?: StampId;

  /** Of a count: how many the partner counted. */
  @MayBeMissing()
  @IsWholeWithin('the count', 0, MOST_COUNT, '')
  said?: number;
}

/** What the device that plays the run answers to a wish. */
export class WishAnswerView {
  @IsText()
  readonly id!: string;

  @IsBoolean()
  readonly isDone!: boolean;

  /** What was done, or why not. */
  @IsText()
  readonly message!: string;
}

/** How a device of the hall comes in. */
export class JoinDto {
  @Matches(new RegExp(`^[${CODE_LETTERS}]{${CODE_LENGTH}}$`), {
    message: 'A code has six letters.',
  })
  code!: string;

  @IsOneOf('the view', HALL_VIEWS)
  view!: HallViewName;

  /** What it is called, where it has a name. */
  @MayBeMissing()
  @IsPlainName('the device')
  name?: string;
}

/** A device that has joined. */
export class HallDeviceView {
  @IsText()
  readonly id!: string;

  @IsAmong(HALL_VIEWS)
  readonly view!: HallViewName;

  @IsText()
  readonly name!: string;
}

/** Who asks, and what the door is like. */
export class DoorView {
  /** This machine itself, a coach on another one, or nobody that is known. */
  @IsAmong(['machine', 'coach', 'visitor'] as const)
  readonly who!: 'machine' | 'coach' | 'visitor';

  @IsBoolean()
  readonly hasPassphrase!: boolean;

  /** Addresses under which the gym is reached from the network; none while it is closed to it. */
  @IsTexts()
  readonly addresses!: readonly string[];

  /** The same with a certificate of the gym's own authority. */
  @IsTexts()
  readonly secureAddresses!: readonly string[];
}

const MIN_LETTERS = 8;
const MOST_LETTERS = 200;

export class PassphraseDto {
  @Matches(new RegExp(`^\\P{Cc}{${MIN_LETTERS},${MOST_LETTERS}}$`, 'u'), {
    message: `A passphrase has ${MIN_LETTERS} to ${MOST_LETTERS} letters: three words that nobody guesses are good.`,
  })
  passphrase!: string;
}
