import { BadRequestException, Injectable, PipeTransform } from '@nestjs/common';
import { ID_PATTERN } from '@eurhythm/contract';

/** An id in the path of a request that makes something. */
@Injectable()
export class OwnId implements PipeTransform<string, string> {
  transform(id: string): string {
    if (ID_PATTERN.test(id)) return id;
    throw new BadRequestException({
      message: 'An id is 1 to 64 letters, digits, dots, dashes or underscores.',
    });
  }
}
