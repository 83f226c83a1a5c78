import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import type { Finding, Rule } from '@eurhythm/core/body';
import { formFromMove, type GymView } from '@eurhythm/contract';
import { useBookView } from '../../../server/gymData.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { changeSchool } from '../../../sync/changeSchool.ts';
import { write } from '../../../sync/useSync.ts';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';

/**
 * Tells the gym not to hear of a rule any more, or the book not to tell a risk of one of its moves; undo turns it on again.
 */
export function useMutedRule(gym: GymView): (finding: Finding) => void {
  const client = useQueryClient();
  const { items } = useBookView();
  const setRule = (rule: Rule, isMuted: boolean): Promise<GymView> =>
    changeSchool(client, client.getQueryData(['gym']) ?? gym, ({ muted }) => ({
      muted: [...muted.filter((other) => other !== rule), ...(isMuted ? [rule] : [])],
    }));
  const setRisk = async (
    { move: code, text }: NonNullable<Finding['risk']>,
    muted: boolean,
  ): Promise<void> => {
    const found = items.find((move) => move.code === code);
    if (!found) return;
    const risks = (found.risks ?? []).map((risk) => (risk.text === text ? { ...risk, muted } : risk));
    await write(
      putRequest(SUBJECTS.move, `moves/${code}`, formFromMove({ ...found, risks }), {
        basedOn: found.version,
      }),
    );
    await client.invalidateQueries({ queryKey: ['moves'] });
  };
  const mute = async ({ rule, risk }: Finding): Promise<void> => {
    try {
      if (risk) {
        await setRisk(risk, true);
        toastWithUndo('The book does not tell this any more. The move turns it on again.', () =>
          setRisk(risk, false),
        );
        return;
      }
      await setRule(rule, true);
      toastWithUndo('The gym does not hear of this any more. Gym turns it on again.', async () => {
        await setRule(rule, false);
      });
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  };
  return (finding) => void mute(finding);
}
