import { VOICES, type VoiceId } from '../gym/voice.ts';
import {
  IsAmong,
  IsCount,
  IsListed,
  IsOneOf,
  IsOwnId,
  IsText,
  LEADS,
  MayBeMissing,
  OrNull,
} from '../rules/index.ts';

/** For whom a session is put into one page to take home, and with which voice. */
export class HomePageQuery {
  @IsOwnId('a fighter')
  fighter!: string;

  @MayBeMissing()
  @IsOneOf('the voice', VOICES)
  voice?: VoiceId;
}

/** A burst that was counted at home. */
export class HomeBurstView {
  @IsAmong(LEADS)
  readonly lead!: 'left' | 'right';

  @IsCount()
  readonly count!: number;
}

/** What a fighter says was done at home. Nobody of the gym saw it. */
export class HomeReportView {
  /** The code that was reported. */
  @IsText()
  readonly id!: string;

  @IsText()
  readonly fighterId!: string;

  /** Null for a session that is not here any more. */
  @OrNull()
  @IsText()
  readonly sessionId!: string | null;

  @IsText()
  readonly title!: string;

  /** To the hour. */
  @IsText()
  readonly at!: string;

  @IsCount()
  readonly finished!: number;

  @IsCount()
  readonly rounds!: number;

  /** 1 to 10; null where nothing was said. */
  @OrNull()
  @IsCount()
  readonly effort!: number | null;

  @IsListed(() => HomeBurstView)
  readonly bursts!: readonly HomeBurstView[];
}
