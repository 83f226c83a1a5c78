import { useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { Toasts } from '../../../ui/panels/Toasts.tsx';
import { missedRounds, plannedSecondsOf, rungSeconds } from '@eurhythm/core/plan';
import { otherLead } from '@eurhythm/core/moves';
import type { RunState } from '@eurhythm/core/run';
import { clockText } from '@eurhythm/core/units';
import type { FighterView, RunView, SaveSessionDto } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { SyncNotice } from '../../../sync/SyncNotice.tsx';
import { useWrite } from '../../../sync/useSync.ts';
import { forgetRun } from '../../../floor/run/keptRun.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { HomePages } from '../../sessions/paper/HomePages.tsx';
import { openNumbers } from '../burst/numbers/keptBurst.ts';
import { OpenNumbers } from '../burst/numbers/OpenNumbers.tsx';
import type { Marks } from '../marks/useMarks.ts';
import { AskAfter } from './AskAfter.tsx';
import { SaidOfClass } from './SaidOfClass.tsx';
import { MarkTable } from './MarkTable.tsx';
import { tellHeld } from './summary.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

interface AfterRunProps {
  readonly run: RunView;
  readonly marks: Marks;
  readonly endedRounds: RunState['endedRounds'];
  readonly fighters: readonly FighterView[];
  /** What was heard of the last round; empty where nothing listened. */
  readonly heard: ReactNode;
  onBurst(): void;
}

/** Longest title of a session. */
const MOST_TITLE = 60;

/** After the class: what was held, what is open, and every mark, to be put right. */
export function AfterRun({ run, marks, endedRounds, fighters, heard, onBurst }: AfterRunProps) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const close = useWrite(
    () => putRequest(SUBJECTS.run, `runs/${run.id}/end`, {}, { page: `/floor/${run.id}` }),
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
  const missed = missedRounds(run.rounds, [...endedRounds.keys()]);
  const [missedId] = useState(newId);
  const plan = useWrite(
    (session: SaveSessionDto) => putRequest(SUBJECTS.session, `sessions/${missedId}`, session),
    {
      onSuccess: async () => {
        await client.invalidateQueries({ queryKey: ['sessions'] });
        void navigate(`/sessions/${missedId}`);
      },
      onError: (error) => toast.error(error.message),
    },
  );
  const planMissed = async (): Promise<void> => {
    // The groups are those of the session, where it is still here.
    const session = await client.fetchQuery(queries.session(run.sessionId)).catch(() => null);
    const { lead, word } = run;
    const title = `Missed: ${run.title}`.slice(0, MOST_TITLE);
    plan.mutate({ title, lead, word, plannedFor: null, rounds: missed, groups: session?.groups ?? [] });
  };
  const open = openNumbers(run.id).length;
  return (
    <main className="mat flex min-h-screen flex-col gap-4 px-10 py-6 phone:px-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <Heading className="board text-6xl phone:text-4xl">That was the session</Heading>
          <p className="text-xl text-quiet">
            {run.title} · {clockText(rungSeconds(run.rounds, [...endedRounds.keys()]))} of{' '}
            {clockText(plannedSecondsOf(run.rounds))} held ·{' '}
            {tellHeld(
              run.rounds.map(({ title }) => title),
              [...endedRounds.keys()],
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
          {missed.length > 0 && (
            <Button
              className="min-h-[64px] text-xl"
              disabled={plan.isPending}
              onClick={() => void planMissed()}
            >
              Plan what was missed
            </Button>
          )}
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
      <OpenNumbers runId={run.id} fighters={fighters} isLast>
        {null}
      </OpenNumbers>
      {heard}
      <MarkTable run={run} marks={marks} fighters={fighters} otherLead={otherLead(run.lead)} />
      <AskAfter run={run} fighters={fighters} />
      <SaidOfClass run={run} />
      <p className="text-quiet">Closing writes the session into everybody’s log.</p>
      <SyncNotice className="min-h-11" />
      <Toasts position="top-right" />
    </main>
  );
}
