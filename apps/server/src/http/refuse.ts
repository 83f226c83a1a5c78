import { ConflictException, HttpException, HttpStatus } from '@nestjs/common';
import type { FieldError, Refusal } from '@eurhythm/contract';

/** Can be read, but not done. */
const UNPROCESSABLE = HttpStatus.UNPROCESSABLE_ENTITY;

/** A refusal for what stands in one field. */
export function refuseField(
  field: string,
  message: string,
  status: HttpStatus = UNPROCESSABLE,
): HttpException {
  return refuseFields([{ field, message }], status);
}

/** A refusal for what stands in some fields; the first sentence stands for all. */
export function refuseFields(
  errors: readonly FieldError[],
  status: HttpStatus = UNPROCESSABLE,
): HttpException {
  const refusal: Refusal = { message: errors[0]!.message, errors };
  return new HttpException(refusal, status);
}

/** A change that was based on an older state: both texts go back, so that nothing is lost. */
export function refuseStale(now: object, sent: object): ConflictException {
  return new ConflictException({
    message: 'This was changed elsewhere meanwhile. Both texts are here; choose one, or put them together.',
    now,
    sent,
  });
}
