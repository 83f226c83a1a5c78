import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { ComboView, GymView, SaveSessionDto, SessionSummary, SessionView } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { newRound, type RoundBeginning } from '../../sessions/builder/newRound.ts';

/** Sessions that every gym can begin with. */
const PATTERNS: readonly { readonly title: string; readonly rounds: readonly RoundBeginning[] }[] = [
  { title: 'Three rounds of two minutes', rounds: ['combos', 'combos', 'combos'] },
  { title: 'Warm-up, pads and shadow', rounds: ['warm-up', 'pads', 'pads', 'shadow', 'stretch'] },
  { title: 'Two short rounds to try it', rounds: ['combos', 'shadow'] },
];

interface FirstSessionProps {
  readonly combos: readonly ComboView[];
  readonly gym: GymView;
  onDone(): void;
}

/** A session from a pattern, with the combos that there are. */
export function FirstSession({ combos, gym, onDone }: FirstSessionProps) {
  const client = useQueryClient();
  const [id] = useState(newId);
  const save = useWrite<SessionView, SaveSessionDto>(
    (session) => putRequest(SUBJECTS.session, `sessions/${id}`, session, { page: '/' }),
    {
      onSuccess: async () => {
        await client.invalidateQueries({ queryKey: ['sessions'] });
        await client.invalidateQueries({ queryKey: ['today'] });
        onDone();
      },
      onError: (error) => toast.error(error.message),
    },
  );
  const make = ({ title, rounds }: (typeof PATTERNS)[number]): void =>
    save.mutate({
      ...{ title, lead: 'left', plannedFor: null, word: '', groups: [] },
      rounds: rounds.map((beginning, i) => {
        const comboId = combos[i % Math.max(1, combos.length)]?.id ?? null;
        return newRound(beginning, `round-${i + 1}`, comboId, gym.school.words);
      }),
    });
  if (combos.length === 0) return <p className="text-quiet">First a combo: rounds are made of combos.</p>;
  return (
    <div className="flex flex-wrap gap-3">
      {PATTERNS.map((pattern) => (
        <Button key={pattern.title} disabled={save.isPending} onClick={() => make(pattern)}>
          {pattern.title}
        </Button>
      ))}
    </div>
  );
}

/** The last step: the Floor, with the session that is there. */
export function ToTheFloor({ session }: { readonly session: SessionSummary | undefined }) {
  if (!session) return <p className="text-quiet">First a session.</p>;
  return (
    <ButtonLink weight="main" to={`/floor?session=${session.id}`}>
      Take “{session.title}” to the Floor
    </ButtonLink>
  );
}
