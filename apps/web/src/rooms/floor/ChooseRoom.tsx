import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { FighterView } from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { queries } from '../../server/queries.ts';
import { WriteRefused } from '../../sync/queue/Sync.ts';
import { sync } from '../../sync/opened.ts';
import { beginRun } from './beginRun.ts';
import { useFieldErrors } from '../../server/useFieldErrors.ts';
import { Button, ButtonLink } from '../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../ui/fields/Field.tsx';
import { Part, Plain } from '../../ui/panels/Panel.tsx';
import { clockText, howMany } from '@eurhythm/core/units';
import { Heading } from '../../ui/panels/Heading.tsx';

/** Which session goes to the Floor, and who is there. */
export function ChooseRoom() {
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const client = useQueryClient();
  const errors = useFieldErrors();
  const { data: sessions } = useQuery(queries.sessions());
  const { data: fighters } = useQuery(queries.fighters());
  const { data: today } = useQuery(queries.today());
  /** Who is pressed in or out here, beside what the sheet of the class says; by session. */
  const [changed, setChanged] = useState<Readonly<Record<string, boolean>>>({});
  const [runId] = useState(newId);

  const sessionId = search.get('session') ?? today?.next?.id ?? sessions?.[0]?.id ?? '';
  const session = sessions?.find((each) => each.id === sessionId);
  const { data: sheet } = useQuery({ ...queries.sheet(sessionId), enabled: sessionId !== '' });
  const ticked =
    sheet && sheet.present.length > 0 ? new Set(sheet.present.map((each) => each.fighterId)) : null;
  const isHere = (id: string): boolean => changed[`${sessionId} ${id}`] ?? ticked?.has(id) ?? true;
  const present = (fighters ?? []).filter((fighter) => fighter.fit && isHere(fighter.id));
  const start = useMutation({
    networkMode: 'always',
    mutationFn: () => beginRun({ runId, sessionId, present }),
    onSuccess: (run) => {
      client.setQueryData(['runs', run.id], run);
      void client.invalidateQueries({ queryKey: ['today'] });
      void navigate(`/floor/${run.id}`);
    },
    onError: async (error) => {
      if (error instanceof WriteRefused) await sync.unreject(error.rejected.write.id);
      errors.showFailure(error);
    },
  });
  if (!sessions || !fighters || !today) return null;
  if (sessions.length === 0) {
    return (
      <div className="mx-auto w-full max-w-5xl px-6 pt-8">
        <Plain>There is no session yet. The Floor plays what you build.</Plain>
        <ButtonLink weight="main" to="/sessions/new">
          Build a session
        </ButtonLink>
      </div>
    );
  }
  const toggle = (id: string): void => setChanged({ ...changed, [`${sessionId} ${id}`]: !isHere(id) });
  return (
    <div className="mx-auto w-full max-w-5xl px-6 pt-8">
      <Heading className="mb-5 text-3xl">To the Floor</Heading>
      {today.running && (
        <div className="mb-6 flex flex-wrap items-center justify-between gap-4 border-l-[10px] border-tape bg-paper px-5 py-3">
          <p>
            <strong>{today.running.title}</strong> has not ended yet.
          </p>
          <ButtonLink to={`/floor/${today.running.id}`}>Back to it</ButtonLink>
        </div>
      )}
      <div className="mb-8 flex flex-wrap items-end gap-4">
        <ChoiceField
          label="Session"
          className="min-w-72 flex-1"
          value={sessionId}
          choices={sessions.map((each) => ({
            value: each.id,
            label: `${each.title} · ${howMany(each.rounds, 'round')}, ${clockText(each.seconds)}`,
          }))}
          onChange={(value) => setSearch({ session: value }, { replace: true })}
        />
        <Button
          weight="main"
          className="min-h-12 px-6 text-lg"
          onClick={() => start.mutate()}
          disabled={start.isPending || !session || !sheet}
        >
          Take to the Floor
        </Button>
      </div>
      {errors.of('fighterIds') !== undefined && (
        <p role="alert" className="mb-4 font-semibold text-caution">
          {errors.of('fighterIds')}
        </p>
      )}
      <Part
        title="Who is here"
        aside={`${present.length} of ${fighters.length}${ticked ? ', as ticked at the door' : ''}; press a name to take it out or in`}
      >
        <ul className="grid grid-cols-2 gap-2 pt-4 md:grid-cols-4">
          {fighters.map((fighter) => (
            <li key={fighter.id}>
              <Presence
                fighter={fighter}
                isHere={present.includes(fighter)}
                onPress={() => toggle(fighter.id)}
              />
            </li>
          ))}
        </ul>
      </Part>
    </div>
  );
}

function Presence({
  fighter,
  isHere,
  onPress,
}: {
  fighter: FighterView;
  isHere: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={isHere}
      disabled={!fighter.fit}
      onClick={onPress}
      className={`min-h-16 w-full rounded-md border-2 px-3 py-1.5 text-left leading-tight disabled:cursor-not-allowed ${isHere ? 'border-ink bg-tape text-on-tape' : 'border-dashed border-quiet text-quiet'}`}
    >
      <span className="block font-semibold">{fighter.name}</span>
      <span className="text-sm">
        {fighter.fit
          ? `${fighter.grade} · ${fighter.lead} lead${isHere ? '' : ' · not here'}`
          : 'not fit to train: lift the mark first'}
      </span>
    </button>
  );
}
