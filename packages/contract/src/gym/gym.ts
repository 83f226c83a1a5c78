import { VOICE_SOUNDS, type VoiceSound } from '@eurhythm/core/sound';
import { CLOCKS, DAY_ORDERS, STARTER_DATES, WEEK_BEGINS, type DateWays } from '@eurhythm/core/units';
import { RULES, STARTER_SCHOOL, type School, type YouthLimits } from '@eurhythm/core/body';
import { SIDE_NAMES, type SideNames } from '@eurhythm/core/moves';
import { COUNT_LANGUAGES, VOICE_RATES, type CountLanguage } from '@eurhythm/core/calls';
import type { SpeedAim } from '@eurhythm/core/teach';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsObject,
  IsString,
  Matches,
  ValidateNested,
} from 'class-validator';
import { PACES } from '../combos/analysis.ts';
import {
  IsCount,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsPlainName,
  IsShaped,
  IsText,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  MayBeMissing,
  MayBeNull,
  OrNull,
} from '../rules/index.ts';
import { GradeDto } from './grades.ts';
import { DEFAULT_VOICE, VOICES, type VoiceId } from './voice.ts';

export class AcceptNoticeDto {
  @Equals(true, { message: 'The notice is accepted or left open.' })
  accepted!: boolean;
}

export class NameGymDto {
  @IsPlainName('the name of the gym')
  name!: string;
}

/** What the children of a band may do to a partner. */
export class YouthLimitsDto implements Omit<YouthLimits, 'band'> {
  @IsOwnId('the grade')
  gradeId!: string;

  @IsBoolean({ message: 'Head contact is yes or no.' })
  headContact!: boolean;

  @IsBoolean({ message: 'Knees is yes or no.' })
  knees!: boolean;

  @IsBoolean({ message: 'Elbows is yes or no.' })
  elbows!: boolean;

  @IsBoolean({ message: 'Spins is yes or no.' })
  spins!: boolean;

  @IsBoolean({ message: 'Jumps is yes or no.' })
  jumps!: boolean;

  /** Hardest contact with a partner, in percent of full power. */
  @MayBeMissing()
  @IsWholeWithin('the contact', 0, 100, 'percent')
  contact?: number;
}

/** How a fighter is called on devices that others see. */
export const HALL_NAMES = ['first', 'initials'] as const;

/** What a class asks for at the door, until the gym says otherwise. */
export const STARTER_CHECKLIST = ['forms signed', 'named bottle', 'gloves', 'gum shield', 'pads'];

/** The gym's own ways, where schools differ. */
export class SchoolDto implements School {
  @IsOneOf('the end of a strike', ['snap', 'through'])
  strikes!: School['strikes'];

  @MayBeMissing()
  @IsOneOf('the turn of the hips', ['full', 'square'])
  hips: School['hips'] = 'full';

  @IsOneOf('the high block with the front arm', ['allowed', 'avoided'])
  frontHighBlock!: School['frontHighBlock'];

  @IsOneOf('the pace', PACES)
  pace!: (typeof PACES)[number];

  @IsOneOf('what is called', ['numbers', 'names'])
  words!: 'numbers' | 'names';

  /** How calls name the sides of a body. */
  @MayBeMissing()
  @IsOneOf('the words for sides', SIDE_NAMES)
  sides: SideNames = 'lead-rear';

  /** How a new move is counted first: each part, or one count for the whole. */
  @MayBeMissing()
  @IsOneOf('the counting', ['parts', 'whole'])
  counting: 'parts' | 'whole' = 'parts';

  @MayBeMissing()
  @IsOneOf('the language of the count', COUNT_LANGUAGES)
  countLanguage: CountLanguage = 'english';

  /** The gym's own count words, from one on; used with the language `own`. */
  @MayBeMissing()
  @IsArray({ message: 'The count words are a list.' })
  @ArrayMaxSize(20, { message: 'There are at most 20 count words.' })
  @IsString({ each: true, message: 'A count word is a text.' })
  @Matches(/^[^<>:\p{Cc}]{1,24}(?:: ?[a-z]{1,3}(?: [a-z]{1,3})*)?$/u, {
    each: true,
    message: 'A count word has 1 to 24 letters; its phones may follow a colon, such as hup: hh ah p.',
  })
  countWords: string[] = [];

  /** The gap that a new stroke gets: a whole beat, or half a beat. */
  @MayBeMissing()
  @IsOneOf('the rhythm', ['even', 'broken'])
  rhythm: 'even' | 'broken' = 'even';

  /** What new technique work goes by. */
  @MayBeMissing()
  @IsOneOf('the measure of work', ['clock', 'count'])
  workBy: 'clock' | 'count' = 'count';

  @MayBeMissing()
  @IsOneOf('the speed aimed at', ['clean', 'fastest'])
  speed: SpeedAim = 'clean';

  @MayBeMissing()
  @IsOneOf('the voice', VOICES)
  voice: VoiceId = DEFAULT_VOICE;

  /** The slowest rate at which the voice speaks. */
  @MayBeMissing()
  @IsIn(VOICE_RATES, { message: `The speed of the voice is one of: ${VOICE_RATES.join(', ')}.` })
  voiceRate: number = 1;

  /** Whether the voice carries across a hall, or is full, for headphones and at home. */
  @MayBeMissing()
  @IsOneOf('the sound of the voice', VOICE_SOUNDS)
  voiceSound: VoiceSound = 'hall';

  /** How fighters are called on devices that everybody in the hall sees. */
  @MayBeMissing()
  @IsOneOf('the names in the hall', HALL_NAMES)
  hallNames: (typeof HALL_NAMES)[number] = 'first';

  @MayBeMissing()
  @IsOneOf('the order of a date', DAY_ORDERS)
  dayOrder: DateWays['dayOrder'] = 'day-first';

  @MayBeMissing()
  @IsOneOf('the clock', CLOCKS)
  clock: DateWays['clock'] = '24';

  @MayBeMissing()
  @IsOneOf('the first day of the week', WEEK_BEGINS)
  weekBegins: DateWays['weekBegins'] = 'monday';

  @MayBeNull()
  @IsWithin('the floor', 0.5, 50, 'steps')
  floorSteps!: number | null;

  /** How many repetitions of a move a fighter works towards, over all the years; null: no number. */
  @MayBeNull()
  @IsWholeWithin('the repetitions', 100, 1_000_000, '')
  repetitions: number | null = null;

  /** What the gym has at hand; empty when nobody wrote it down. */
  @MayBeMissing()
  @IsArray({ message: 'What the gym has is a list.' })
  @ArrayMaxSize(40, { message: 'The list of what the gym has holds at most 40 things.' })
  @IsPlainName('a thing that the gym has', 40, { each: true })
  kit: string[] = [];

  /** What is asked of everybody who comes to a class. */
  @MayBeMissing()
  @IsArray({ message: 'The checklist is a list.' })
  @ArrayMaxSize(12, { message: 'The checklist holds at most twelve items.' })
  @IsPlainName('an item of the checklist', 40, { each: true })
  checklist: string[] = STARTER_CHECKLIST;

  @IsArray({ message: 'The muted rules are a list.' })
  @IsIn(RULES, { each: true, message: 'One of the muted rules is not known.' })
  muted!: School['muted'][number][];

  @IsArray({ message: 'The limits of the bands are a list.' })
  @ArrayMaxSize(20, { message: 'There are limits for at most 20 bands.' })
  @ValidateNested({ each: true })
  @Type(() => YouthLimitsDto)
  youth!: YouthLimitsDto[];
}

/** The ways of a gym that has not said anything else. */
export const STARTER_SCHOOL_SETTINGS: SchoolDto = {
  strikes: STARTER_SCHOOL.strikes,
  hips: STARTER_SCHOOL.hips,
  counting: 'parts',
  countLanguage: 'english',
  countWords: [],
  rhythm: 'even',
  workBy: 'count',
  speed: 'clean',
  voice: DEFAULT_VOICE,
  voiceRate: 1,
  voiceSound: 'hall',
  hallNames: 'first',
  ...STARTER_DATES,
  frontHighBlock: STARTER_SCHOOL.frontHighBlock,
  floorSteps: STARTER_SCHOOL.floorSteps,
  repetitions: null,
  kit: [],
  checklist: STARTER_CHECKLIST,
  muted: [],
  pace: 'club',
  words: 'numbers',
  sides: 'lead-rear',
  youth: [],
};

/** A grade of the gym; lowest first, where they stand in a list. */
export type GradeView = GradeDto;

export class GymView {
  @IsText()
  readonly name!: string;

  @OrNull()
  @IsText()
  readonly noticeAcceptedAt!: string | null;

  @IsListed(() => GradeDto)
  readonly grades!: readonly GradeDto[];

  @IsShaped(() => SchoolDto)
  readonly school!: SchoolDto;

  /** Of the settings. */
  @IsCount()
  readonly version!: number;

  @IsCount()
  readonly gradesVersion!: number;

  /** Of what each grade trains, by the id of the grade; none for a grade without a list. */
  @IsObject()
  readonly listVersions!: Readonly<Record<string, number>>;
}

/** That the server is there. */
export class HealthView {
  @IsYesNo()
  readonly ok!: true;
}
