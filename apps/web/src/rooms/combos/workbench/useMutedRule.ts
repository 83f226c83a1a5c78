import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import type { Rule } from '@eurhythm/core/body';
import type { GymView } from '@eurhythm/contract';
import { putting } from '../../../sync/letters/letter.ts';
import { SUBJECTS } from '../../../sync/letters/subjects.ts';
import { write } from '../../../sync/useSync.ts';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';

/** Tells the gym not to hear of a rule any more; undo turns it on again. */
export function useMutedRule({ school }: GymView): (rule: Rule) => void {
  const client = useQueryClient();
  const set = async (muted: readonly Rule[]): Promise<void> => {
    client.setQueryData(
      ['gym'],
      await write<GymView>(putting(SUBJECTS.gym, 'gym/school', { ...school, muted })),
    );
  };
  const mute = async (rule: Rule): Promise<void> => {
    try {
      await set([...school.muted, rule]);
      toastWithUndo('The gym does not hear of this any more. Gym turns it on again.', () =>
        set(school.muted),
      );
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  };
  return (rule) => void mute(rule);
}
