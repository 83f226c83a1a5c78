import type { QueryClient } from '@tanstack/react-query';
import type { GymView, SchoolDto } from '@eurhythm/contract';
import { putRequest } from './queue/queuedWrite.ts';
import { SUBJECTS } from './queue/subjects.ts';
import { staleSave } from './StaleNotice.tsx';
import { write } from './useSync.ts';

/**
 * Changes one thing among the gym's settings, and leaves what somebody else changed meanwhile as it is: the change is made to what
 * stands now. @throws what the server refuses otherwise.
 */
export async function changeSchool(
  client: QueryClient,
  { school, version }: GymView,
  change: (school: SchoolDto) => Partial<SchoolDto>,
  page = '/gym',
): Promise<GymView> {
  const save = (from: SchoolDto, basedOn: number): Promise<GymView> =>
    write(putRequest(SUBJECTS.gym, 'gym/school', { ...from, ...change(from) }, { basedOn, page }));
  const saved = await save(school, version).catch((error: Error) => {
    const stale = staleSave<GymView, null>(error, null);
    if (!stale) throw error;
    return save(stale.now.school, stale.now.version);
  });
  client.setQueryData(['gym'], saved);
  return saved;
}
