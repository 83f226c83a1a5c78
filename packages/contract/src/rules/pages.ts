import { Type } from 'class-transformer';
import { IsText } from './views.ts';
import { IsOwnId, IsWholeWithin, MayBeMissing, OrNull } from './fields.ts';

/** Most items of a page, and how many there are when nobody says. */
export const PAGE_LIMITS = { most: 500, usual: 200 } as const;

/** A page of a list: what comes after an item, and how much of it. */
export class PageQuery {
  /** Id of the last item that is known already, as `next` of the page before gave it. */
  @MayBeMissing()
  @IsOwnId('the last item')
  after?: string;

  @MayBeMissing()
  @Type(() => Number)
  @IsWholeWithin('the length of a page', 1, PAGE_LIMITS.most, 'items')
  limit?: number;
}

/** What every page of a list ends with. */
export class PageEnd {
  /** What `after` is for the next page; null behind the last one. */
  @OrNull()
  @IsText()
  readonly next!: string | null;
}

/** Which state of a thing a change was based on; without it the change is made whatever stands there. */
export class BasedOnQuery {
  @MayBeMissing()
  @Type(() => Number)
  @IsWholeWithin('the version', 0, 1_000_000_000, '')
  basedOn?: number;
}
