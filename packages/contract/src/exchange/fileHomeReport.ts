import { HOME_LIMITS } from '@eurhythm/core/home';
import { IsInstant, IsOwnId, IsPlainName, IsWholeWithin, OrNull } from '../rules/index.ts';
import { EFFORT } from '../runs/runs.ts';

/** What a fighter said was done at home; its bursts are trials. */
export class FileHomeReport {
  @IsOwnId('a report from home')
  id!: string;

  @IsOwnId('a fighter')
  fighterId!: string;

  /** Of a session that may be gone. */
  @OrNull()
  @IsOwnId('the session')
  sessionId!: string | null;

  @IsPlainName('the session')
  title!: string;

  @IsInstant('the time')
  at!: string;

  @IsWholeWithin('the finished rounds', 0, HOME_LIMITS.rounds, 'rounds')
  finished!: number;

  @IsWholeWithin('the rounds', 0, HOME_LIMITS.rounds, 'rounds')
  rounds!: number;

  @OrNull()
  @IsWholeWithin('the effort', EFFORT.min, EFFORT.max, '')
  effort!: number | null;
}
