import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { GradeCheckView, SaveSessionDto } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { testSession } from './testSession.ts';

/** Makes the session of a test day and goes there. */
export function useTestSession(): { isPending: boolean; message: string; make(check: GradeCheckView): void } {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const { data: tests = [] } = useQuery(queries.tests());
  const { data: combos = [] } = useQuery(queries.combos());
  const save = useWrite(
    (session: SaveSessionDto) => putRequest(SUBJECTS.session, `sessions/${id}`, session),
    {
      onSuccess: async () => {
        await client.invalidateQueries({ queryKey: ['sessions'] });
        void navigate(`/sessions/${id}`);
      },
    },
  );
  return {
    isPending: save.isPending,
    message: save.error?.message ?? '',
    make: (check) => save.mutate(testSession(check, tests, combos, newId)),
  };
}
