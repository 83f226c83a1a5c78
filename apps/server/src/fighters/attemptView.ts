import { summariseBurst } from '@eurhythm/core/speed';
import type { AttemptView } from '@eurhythm/contract';
import type { attempts } from '../store/schema.ts';

export function attemptView(row: typeof attempts.$inferSelect): AttemptView {
  const { count, perSecond } = summariseBurst(row.instants, row.seconds);
  return { ...row, at: row.at.toISOString(), count, perSecond };
}
