import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import type { SaveSeasonDto, SeasonView } from '@eurhythm/contract';
import { deleteRequest, putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';

/** Saves, drafts and takes out; the pages that show it are drawn anew. */
export function useSeasonWrites() {
  const client = useQueryClient();
  const refresh = async (): Promise<void> => {
    await client.invalidateQueries({ queryKey: ['seasons'] });
    await client.invalidateQueries({ queryKey: ['sessions'] });
  };
  const told = { onSuccess: refresh, onError: (error: Error) => void toast.error(error.message) };
  const save = useWrite<SeasonView, { id: string; season: SaveSeasonDto; basedOn?: number | undefined }>(
    ({ id, season, basedOn }) =>
      putRequest(SUBJECTS.season, `seasons/${id}`, season, { basedOn, page: `/sessions/season/${id}` }),
    told,
  );
  const draft = useWrite<SeasonView, { id: string; week?: string }>(
    ({ id, week }) => ({
      method: 'POST',
      subject: SUBJECTS.season,
      address: `seasons/${id}/draft`,
      body: week === undefined ? {} : { week },
      page: `/sessions/season/${id}`,
    }),
    told,
  );
  const remove = useWrite<void, string>((id) => deleteRequest(SUBJECTS.season, `seasons/${id}`), told);
  return { save, draft, remove };
}
