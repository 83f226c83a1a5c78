import { plainToInstance } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { ACROSS_FIELDS, MayBeMissing } from './fields.ts';
import { IsListed, IsText } from './views.ts';

export class FieldError {
  /** Path to the field, as in "rounds.0.blocks.1.seconds". */
  @IsText()
  readonly field!: string;

  @IsText()
  readonly message!: string;
}

/** A refused request: one sentence, and which field it is about where it is about fields. */
export class Refusal {
  @IsText()
  readonly message!: string;

  @MayBeMissing()
  @IsListed(() => FieldError)
  readonly errors?: readonly FieldError[];
}

/** One sentence for each field that is wrong, from the errors of class-validator. */
export function fieldErrors(errors: readonly ValidationError[], under = ''): FieldError[] {
  return errors.flatMap((error) => {
    const field = under === '' ? error.property : `${under}.${error.property}`;
    const rules = Object.entries(error.constraints ?? {});
    // Rules are noted from the last to the first, so the last one is the plainest: what kind of thing is wanted at all.
    const own = rules.findLast(([rule]) => rule !== 'nestedValidation') ?? rules.at(-1);
    const message = own && plainMessage(own[0], own[1], error.property);
    // What is no list at all has no items that could be wrong.
    const children = own?.[0] === 'isArray' ? [] : (error.children ?? []);
    return [...(message === undefined ? [] : [{ field, message }]), ...fieldErrors(children, field)];
  });
}

/** Whether every field can be read by itself, and only rules across fields are broken. */
export function breaksOnlyAcross(errors: readonly ValidationError[]): boolean {
  return errors.every(
    ({ constraints = {}, children = [] }) =>
      Object.keys(constraints).every((rule) => rule === ACROSS_FIELDS) && breaksOnlyAcross(children),
  );
}

/** Checks a plain object against a contract class, with the same sentences that the server gives. */
export function checkFields<T extends object>(shape: new () => T, plain: unknown): FieldError[] {
  const instance = plainToInstance(shape, plain);
  return fieldErrors(
    validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }),
  );
}

/** The rules without a sentence of their own get one here. */
function plainMessage(rule: string, message: string, property: string): string {
  if (rule === 'whitelistValidation') return `\`${property}\` is not known here.`;
  if (rule === 'nestedValidation') return `\`${property}\` holds something of the wrong kind.`;
  return message;
}
