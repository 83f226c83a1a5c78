import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsISO8601,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateIf,
  ValidateNested,
  isISO8601,
  type ValidationArguments,
} from 'class-validator';
import { BPM_LIMITS } from '@eurhythm/core/units';

/** Applies several field rules as one. */
function all(...rules: PropertyDecorator[]): PropertyDecorator {
  return (target, key) => {
    for (const rule of rules) rule(target, key);
  };
}

/** Whether a rule holds for the field or for each item of a list. */
interface OfEach {
  readonly each?: boolean | undefined;
}

/** A field that may be missing and then takes its usual value; null is a value like any other, and is checked. */
export function MayBeMissing(): PropertyDecorator {
  return ValidateIf((_whole, value) => value !== undefined, { context: { isNeverNull: true } });
}

/** A field that has to be there and may be null, which means something. */
export function OrNull(): PropertyDecorator {
  return ValidateIf((_whole, value) => value !== null);
}

/** A field that may be missing or null, which means the same. */
export function MayBeNull(): PropertyDecorator {
  return ValidateIf((_whole, value) => value !== null && value !== undefined);
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A name or title: plain text on one line, without the signs of markup. */
export function IsPlainName(what: string, most = 60, { each }: OfEach = {}): PropertyDecorator {
  const options = {
    each,
    message: `${capital(what)} is plain text of 1 to ${most} characters, without < or >.`,
  };
  return all(
    IsString(options),
    MinLength(1, options),
    MaxLength(most, options),
    Matches(/^(?=.*\S)[^<>\p{Cc}]+$/u, options),
  );
}

/** Longer plain text that may be empty and may have several lines. */
export function IsPlainText(what: string, most: number): PropertyDecorator {
  const message = `${capital(what)} is plain text of at most ${most} characters, without < or >.`;
  return all(
    IsString({ message }),
    MaxLength(most, { message }),
    Matches(/^(?:[^<>\p{Cc}]|[\n\r\t])*$/u, { message }),
  );
}

/** Plain text on one line that may be empty: what a voice says. */
export function IsPlainLine(what: string, most: number): PropertyDecorator {
  const message = `${capital(what)} is plain text of at most ${most} characters on one line, without < or >.`;
  return all(IsString({ message }), MaxLength(most, { message }), Matches(/^[^<>\p{Cc}]*$/u, { message }));
}

/** How an id is written. */
export const ID_PATTERN = /^[A-Za-z0-9._-]{1,64}$/;
/** How a beat line names a move. */
export const MOVE_CODE = /^[a-z]{1,24}$/;
/** A line is read whole, so that an over-long one gets the grammar's own sentence; this only stops floods. */
const LINE_FLOOD = 20_000;

/** An id made by whoever creates the thing, so that a repeated request changes nothing. */
export function IsOwnId(what: string, { each }: OfEach = {}): PropertyDecorator {
  const options = {
    each,
    message: `The id of ${what} is 1 to 64 letters, digits, dots, dashes or underscores.`,
  };
  return all(IsString(options), Matches(ID_PATTERN, options));
}

export function IsWithin(
  what: string,
  min: number,
  max: number,
  unit: string,
  { each }: OfEach = {},
): PropertyDecorator {
  const message = `${capital(what)} goes from ${min} to ${max}${unit === '' ? '' : ` ${unit}`}.`;
  return all(
    IsNumber({ allowNaN: false, allowInfinity: false }, { each, message }),
    Min(min, { each, message }),
    Max(max, { each, message }),
  );
}

export function IsWholeWithin(
  what: string,
  min: number,
  max: number,
  unit: string,
  { each }: OfEach = {},
): PropertyDecorator {
  const message = `${capital(what)} is a whole number from ${min} to ${max}${unit === '' ? '' : ` ${unit}`}.`;
  return all(IsInt({ each, message }), Min(min, { each, message }), Max(max, { each, message }));
}

export function IsTempo(): PropertyDecorator {
  return IsWithin('the tempo', BPM_LIMITS.min, BPM_LIMITS.max, 'beats a minute');
}

export function IsOneOf(what: string, choices: readonly string[]): PropertyDecorator {
  return IsIn(choices, { message: `${capital(what)} is one of: ${choices.join(', ')}.` });
}

/** A line that may be empty or is read by the grammar later. */
export function IsLineText(what = 'the line'): PropertyDecorator {
  return all(
    MaxLength(LINE_FLOOD, { message: 'This text is far too long for a line.' }),
    IsString({ message: `${capital(what)} is a text.` }),
  );
}

/** A list of things of one shape, each checked. */
export function IsListOf(
  what: string,
  shape: () => new () => object,
  { most, tooMany }: { most?: number; tooMany?: string } = {},
): PropertyDecorator {
  return all(
    ValidateNested({ each: true }),
    Type(shape),
    ...(most === undefined ? [] : [ArrayMaxSize(most, { message: tooMany ?? `There are at most ${most}.` })]),
    IsArray({ message: `${capital(what)} are a list.` }),
  );
}

/** A thing of one shape that has to be there. */
export function IsThing(what: string, shape: () => new () => object): PropertyDecorator {
  const message = `${capital(what)} has its fields, as the contract lists them.`;
  return all(ValidateNested({ message }), Type(shape), IsObject({ message }));
}

/** Rules that look at two fields; what breaks only these can be read, but not done. */
export const ACROSS_FIELDS = 'isNotBelow';

/** A field that is no less than another one: numbers, or days as they are written. */
export function IsNotBelow(other: string, message: string): PropertyDecorator {
  const validate = (value: unknown, args?: ValidationArguments): boolean => {
    const least = (args?.object as Record<string, unknown> | undefined)?.[other];
    if (typeof value === 'number' && typeof least === 'number') return !(value < least);
    return typeof value !== 'string' || typeof least !== 'string' || value >= least;
  };
  return ValidateBy({ name: ACROSS_FIELDS, constraints: [other], validator: { validate } }, { message });
}

export const LEADS = ['left', 'right'] as const;

/** From the year 1000 on, to the minute at least, and with its place on earth. */
const INSTANT = /^[1-9]\d{3}-\d{2}-\d{2}T\d{2}:\d{2}(?::\d{2}(?:\.\d{1,9})?)?(?:Z|[+-]\d{2}:\d{2})$/;

/** An instant, as 2026-03-05T18:30:00Z. Weeks, days alone and other forms of the standard are refused. */
export function IsInstant(what: string, { each }: OfEach = {}): PropertyDecorator {
  const validate = (value: unknown): boolean =>
    typeof value === 'string' &&
    INSTANT.test(value) &&
    isISO8601(value, { strict: true }) &&
    // Another place on earth may carry it into a year that is written otherwise.
    new Date(value).getUTCFullYear() >= 1000 &&
    new Date(value).getUTCFullYear() <= 9999;
  const message = `${capital(what)} is written like 2026-03-05T18:30:00Z.`;
  return ValidateBy({ name: 'isInstant', validator: { validate } }, { each, message });
}

/** A day, as 2026-03-05. */
export function IsDay(): PropertyDecorator {
  const message = 'A day is written like 2026-03-05.';
  return all(Matches(/^\d{4}-\d{2}-\d{2}$/, { message }), IsISO8601({ strict: true }, { message }));
}
