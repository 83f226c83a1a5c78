import {
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateBy,
  ValidateIf,
  isISO8601,
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
  return ValidateIf((_whole, value) => value !== undefined);
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A name or title: plain text on one line, without the signs of markup. */
export function IsPlainName(what: string, most = 60, { each }: OfEach = {}): PropertyDecorator {
  const told = {
    each,
    message: `${capital(what)} is plain text of 1 to ${most} characters, without < or >.`,
  };
  return all(
    IsString(told),
    MinLength(1, told),
    MaxLength(most, told),
    Matches(/^[^<>\p{Cc}]*\S[^<>\p{Cc}]*$/u, told),
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

/** An id made by whoever creates the thing, so that a repeated request changes nothing. */
export function IsOwnId(what: string, { each }: OfEach = {}): PropertyDecorator {
  const told = {
    each,
    message: `The id of ${what} is 1 to 64 letters, digits, dots, dashes or underscores.`,
  };
  return all(IsString(told), Matches(/^[A-Za-z0-9._-]{1,64}$/, told));
}

export function IsWithin(what: string, min: number, max: number, unit: string): PropertyDecorator {
  const message = `${capital(what)} goes from ${min} to ${max}${unit === '' ? '' : ` ${unit}`}.`;
  return all(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message }),
    Min(min, { message }),
    Max(max, { message }),
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

export const LEADS = ['left', 'right'] as const;

/** From the year 1000 on, to the minute at least, and with its place on earth. */
const INSTANT = /^[1-9]\d{3}-\d{2}-\d{2}T\d{2}:\d{2}(?::\d{2}(?:\.\d{1,9})?)?(?:Z|[+-]\d{2}:\d{2})$/;

/** An instant, as 2026-03-05T18:30:00Z. Weeks, days alone and other forms of the standard are refused. */
export function IsInstant(what: string, { each }: OfEach = {}): PropertyDecorator {
  const validate = (value: unknown): boolean =>
    typeof value === 'string' &&
    INSTANT.test(value) &&
    isISO8601(value, { strict: true }) &&
    !Number.isNaN(Date.parse(value));
  const message = `${capital(what)} is written like 2026-03-05T18:30:00Z.`;
  return ValidateBy({ name: 'isInstant', validator: { validate } }, { each, message });
}
