import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { SaveSessionDto, SheetView } from '@eurhythm/contract';
import { put, send } from '../../../../app/api.ts';
import { toastWithUndo } from '../../../../app/toastWithUndo.ts';
import { putDraft, type Draft } from '../../../../app/useDraft.ts';

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
      const sheet = await send<SheetView>('GET', `sessions/${id}/sheet`);
      await send('DELETE', `sessions/${id}`);
      return sheet;
    },
    onSuccess: async ({ sessionId: _, ...sheet }) => {
      draft.clear();
      await navigate('/sessions');
      client.removeQueries({ queryKey: ['sessions', id] });
      await refresh();
      toastWithUndo(`“${session.title}” is taken out.`, async () => {
        putDraft(`session.${id}`, session);
        await put(`sessions/${id}`, session);
        if (sheet.present.length > 0) await put(`sessions/${id}/sheet`, sheet);
        await refresh();
        await navigate(`/sessions/${id}`);
      });
    },
    onError: (error) => toast.error(error.message),
  });
  return remove.mutate;
}
