import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Toaster, toast } from 'sonner';
import { plannedSecondsOf } from '@eurhythm/core/plan';
import { otherLead } from '@eurhythm/core/moves';
import type { RunState } from '@eurhythm/core/run';
import { clockText } from '@eurhythm/core/units';
import type { FighterView, RunView } from '@eurhythm/contract';
import { putting } from '../../../sync/letters/letter.ts';
import { SUBJECTS } from '../../../sync/letters/subjects.ts';
import { SyncNotice } from '../../../sync/SyncNotice.tsx';
import { useWrite } from '../../../sync/useSync.ts';
import { forgetRun } from '../../../floor/keptRun.ts';
import { Button, ButtonLink } from '../../../ui/Button.tsx';
import { HomePages } from '../../sessions/paper/HomePages.tsx';
import { openNumbers } from '../burst/keptBurst.ts';
import type { Marks } from '../marks/useMarks.ts';
import { SaidOfClass } from './SaidOfClass.tsx';
import { MarkTable } from './MarkTable.tsx';
import { tellHeld } from './summary.ts';

interface AfterRunProps {
  readonly run: RunView;
  readonly marks: Marks;
  readonly rung: RunState['rung'];
  readonly fighters: readonly FighterView[];
  onBurst(): void;
}

/** After the class: what was held, what is open, and every mark, to be put right. */
export function AfterRun({ run, marks, rung, fighters, onBurst }: AfterRunProps) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const close = useWrite(
    () => putting(SUBJECTS.run, `runs/${run.id}/end`, {}, { page: `/floor/${run.id}` }),
    {
      onSuccess: async () => {
        forgetRun(run.id);
        await client.invalidateQueries();
        void navigate('/fighters');
      },
      onError: (error) => toast.error(error.message),
    },
  );
  const [isHome, setHome] = useState(false);
  const open = openNumbers(run.id).length;
  return (
    <main className="mat flex min-h-screen flex-col gap-4 px-10 py-6 phone:px-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="board text-6xl phone:text-4xl">That was the session</h1>
          <p className="text-xl text-quiet">
            {run.title} · {clockText(plannedSecondsOf(run.rounds))} planned ·{' '}
            {tellHeld(
              run.rounds.map(({ title }) => title),
              [...rung.keys()],
            )}
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          {run.endedAt === null && (
            <Button weight="main" className="min-h-[64px] text-xl" onClick={() => close.mutate()}>
              Close the session
            </Button>
          )}
          <Button className="min-h-[64px] text-xl" onClick={onBurst}>
            {open > 0 ? `Numbers still open: ${open}` : 'Ten-second burst'}
          </Button>
          <Button weight="bare" className="min-h-[64px]" onClick={() => setHome(true)}>
            For home
          </Button>
          <HomePages
            id={run.sessionId}
            fighterIds={run.fighterIds}
            open={isHome}
            onClose={() => setHome(false)}
          />
          <ButtonLink weight="bare" className="min-h-[64px]" to="/">
            Today
          </ButtonLink>
        </div>
      </div>
      <MarkTable run={run} marks={marks} fighters={fighters} otherLead={otherLead(run.lead)} />
      <SaidOfClass run={run} />
      <p className="text-quiet">Closing writes the session into everybody’s log.</p>
      <SyncNotice className="min-h-11" />
      <Toaster position="top-right" />
    </main>
  );
}
