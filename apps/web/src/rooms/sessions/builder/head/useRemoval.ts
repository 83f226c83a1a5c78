import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { SaveSessionDto, SheetView } from '@eurhythm/contract';
import { get } from '../../../../server/api.ts';
import { putRequest, deleteRequest } from '../../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../../sync/queue/subjects.ts';
import { write } from '../../../../sync/useSync.ts';
import { toastWithUndo } from '../../../../ui/toastWithUndo.ts';
import { putDraft, type Draft } from '../../../../sync/drafts/useDraft.ts';
import { sheetOf } from '../../sheet/sheetOf.ts';

/** Takes a session out; undo brings it back with who was ticked at the door. One that was held stays, and says why. */
export function useRemoval(id: string, session: SaveSessionDto, draft: Draft<SaveSessionDto>): () => void {
  const client = useQueryClient();
  const navigate = useNavigate();
  const refresh = async (): Promise<void> => {
    await client.invalidateQueries({ queryKey: ['sessions'], exact: true });
    await client.invalidateQueries({ queryKey: ['today'] });
  };
  const remove = useMutation({
    mutationFn: async () => {
      const sheet = await get<SheetView>(`sessions/${id}/sheet`);
      await write(deleteRequest(SUBJECTS.session, `sessions/${id}`));
      return sheet;
    },
    onSuccess: async (kept) => {
      draft.clear();
      await navigate('/sessions');
      client.removeQueries({ queryKey: ['sessions', id] });
      await refresh();
      toastWithUndo(`“${session.title}” is taken out.`, async () => {
        putDraft(`session.${id}`, session);
        await write(putRequest(SUBJECTS.session, `sessions/${id}`, session));
        const sheet = sheetOf(kept);
        if (sheet.present.length > 0) await write(putRequest(SUBJECTS.sheet, `sessions/${id}/sheet`, sheet));
        await refresh();
        await navigate(`/sessions/${id}`);
      });
    },
    onError: (error) => toast.error(error.message),
  });
  return remove.mutate;
}
