import type { PartnerGroup } from '@eurhythm/core/plan';
import { RUN_EVENT_KINDS, type RunEventKind } from '@eurhythm/core/run';
import { ArrayMaxSize, IsArray, IsBoolean, ValidateBy } from 'class-validator';
import {
  IsAmount,
  IsCount,
  IsInstant,
  IsListed,
  IsListOf,
  IsOneOf,
  IsOwnId,
  IsText,
  IsTexts,
  IsWholeWithin,
  IsWithin,
  IsYesNo,
  MayBeMissing,
} from '../rules/index.ts';

/** Lists of what each of a group does. */
function IsTurns(): PropertyDecorator {
  const validate = (value: unknown): boolean =>
    Array.isArray(value) &&
    value.every((turn) => Array.isArray(turn) && turn.every((task) => typeof task === 'string'));
  return ValidateBy(
    { name: 'isTurns', validator: { validate } },
    { message: 'The turns are lists of what each one does.' },
  );
}

/** Who stands together, and what each of them does in each turn. */
export class PartnerGroupView implements PartnerGroup {
  @IsTexts()
  readonly members!: readonly string[];

  @IsTurns()
  @IsArray()
  readonly turns!: PartnerGroup['turns'];
}

/** The partners of one round. */
export class RoundPartnersView {
  @IsCount()
  readonly round!: number;

  @IsListed(() => PartnerGroupView)
  readonly groups!: readonly PartnerGroupView[];
}

/** Fighters who stand together. */
export class GroupDto {
  @IsArray({ message: 'A group is a list of fighters.' })
  @ArrayMaxSize(100, { message: 'A run holds at most 100 fighters.' })
  @IsOwnId('a fighter', { each: true })
  members!: string[];
}

/** The groups of one round. */
export class RoundGroupsDto {
  @IsWholeWithin('the round', 0, 1000, '')
  round!: number;

  @IsListOf('the groups', () => GroupDto, { most: 100 })
  groups!: GroupDto[];
}

/** Something that was done to a run: which of the fields have to be there depends on the kind. */
export class RunEventDto {
  @IsOneOf('what was done', RUN_EVENT_KINDS)
  kind!: RunEventKind;

  /** By the clock of the device. */
  @IsInstant('the time')
  at!: string;

  /** The round that it leads to or happens in. */
  @MayBeMissing()
  @IsWholeWithin('the round', 0, 1000, '')
  round?: number;

  /** Where the round stands, in seconds from its start. */
  @MayBeMissing()
  @IsWithin('the position', 0, 36_000, 'seconds')
  position?: number;

  /** Of a skip and of a round again: whether it runs on. */
  @MayBeMissing()
  @IsBoolean({ message: 'Running is yes or no.' })
  running?: boolean;

  /** Of a change of tempo: by so many beats a minute, from `position` on. */
  @MayBeMissing()
  @IsWithin('the change of tempo', -200, 200, 'beats a minute')
  by?: number;

  /** Who comes late or leaves early. */
  @MayBeMissing()
  @IsOwnId('a fighter')
  fighterId?: string;

  /** Who stands together in the rounds that come. */
  @MayBeMissing()
  @IsListOf('the partners', () => RoundGroupsDto, { most: 2000 })
  partners?: RoundGroupsDto[];
}

export class RunEventView {
  @IsText()
  readonly id!: string;

  /** Place in the log, given by the server. */
  @IsCount()
  readonly sequence!: number;

  @IsText()
  readonly kind!: RunEventKind | 'mark' | 'burst';

  @IsText()
  readonly at!: string;

  /** When the server took it. */
  @IsText()
  readonly receivedAt!: string;

  @MayBeMissing()
  @IsCount()
  readonly round?: number;

  @MayBeMissing()
  @IsAmount()
  readonly position?: number;

  @MayBeMissing()
  @IsYesNo()
  readonly running?: boolean;

  @MayBeMissing()
  @IsAmount()
  readonly by?: number;

  @MayBeMissing()
  @IsText()
  readonly fighterId?: string;
}
