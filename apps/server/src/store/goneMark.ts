import { createHash } from 'node:crypto';

const PREFIX = 'gone-';
const MARK = /^gone-[0-9a-f]{32}$/;

/** By this mark something that was taken out for good is recognised, and nobody is named: ids may hold a person's. */
export const goneMark = (id: string): string =>
  MARK.test(id) ? id : `${PREFIX}${createHash('sha256').update(id).digest('hex').slice(0, 32)}`;
