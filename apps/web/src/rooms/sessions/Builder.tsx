import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { SaveSessionDto, checkFields, type RoundDto, type SessionView } from '@eurhythm/contract';
import { put } from '../../app/api.ts';
import { queries } from '../../app/queries.ts';
import { UndoButtons } from '../../app/UndoButtons.tsx';
import { putDraft, type Draft } from '../../app/useDraft.ts';
import { useFieldErrors } from '../../app/useFieldErrors.ts';
import { useShortcut } from '../../app/useShortcut.ts';
import { Button, ButtonLink } from '../../ui/Button.tsx';
import { ChoiceField, TextField } from '../../ui/Field.tsx';
import { clockText } from '../../ui/times.ts';
import { FitPanel } from './FitPanel.tsx';
import { FilesMenu } from './FilesMenu.tsx';
import { LEAD_CHOICES } from './choices.ts';
import { copyRound, freeRoundId, newRound, roundSeconds } from './newRound.ts';
import { RoundEditor } from './RoundEditor.tsx';
import { RoundRow } from './RoundRow.tsx';
import { SessionTape } from './SessionTape.tsx';

interface BuilderProps {
  readonly id: string;
  readonly isNew: boolean;
  readonly session: SaveSessionDto;
  readonly draft: Draft<SaveSessionDto>;
}

/** Rounds in order, the whole session to scale above them, and the chosen round's settings. */
export function Builder({ id, isNew, session, draft }: BuilderProps) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const errors = useFieldErrors();
  const { data: combos = [] } = useQuery(queries.combos());
  const { data: book } = useQuery(queries.book());
  const { data: gym } = useQuery(queries.gym());
  const [chosen, setChosen] = useState(0);
  const { rounds } = session;
  const open = rounds[Math.min(chosen, rounds.length - 1)];

  const change = (changes: Partial<SaveSessionDto>): void => draft.change({ ...session, ...changes });
  const changeRound = (position: number, round: RoundDto): void =>
    change({ rounds: rounds.with(position, round) });
  const save = useMutation({
    mutationFn: (written: SaveSessionDto) => put<SessionView>(`sessions/${id}`, written),
    onSuccess: async (saved, written) => {
      client.setQueryData(['sessions', id], saved);
      await client.invalidateQueries({ queryKey: ['sessions'] });
      await client.invalidateQueries({ queryKey: ['today'] });
      errors.show([]);
      const since = draft.settle(written);
      if (isNew) {
        if (since) putDraft(`session.${id}`, since);
        draft.clear();
        await navigate(`/sessions/${id}`, { replace: true, flushSync: true });
      }
      toast(`“${saved.title}” is saved.`);
    },
    onError: errors.showFailure,
  });
  const trySave = (): void => {
    const wrong = checkFields(SaveSessionDto, session);
    errors.show(wrong);
    const place = /^rounds\.(\d+)/.exec(wrong[0]?.field ?? '');
    if (place) setChosen(Number(place[1]));
    if (wrong.length === 0) save.mutate(session);
  };
  useShortcut('mod+s', trySave);

  const add = (round: RoundDto): void => {
    change({ rounds: [...rounds, round] });
    setChosen(rounds.length);
  };
  const move = (from: number, by: -1 | 1): void => {
    const moved = [...rounds];
    const [round] = moved.splice(from, 1);
    moved.splice(from + by, 0, round!);
    change({ rounds: moved });
    setChosen(from + by);
  };

  return (
    <div className="min-w-0 flex-1 px-8 py-5">
      <header className="mb-3 flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-3xl">{session.title || 'A new session'}</h1>
        <div className="flex flex-wrap items-center gap-3">
          <p className="mr-2">
            <strong className="tabular font-heading text-3xl">
              {clockText(rounds.reduce((sum, round) => sum + roundSeconds(round), 0))}
            </strong>{' '}
            <span className="text-sm text-quiet">in all</span>
          </p>
          <UndoButtons draft={draft as Draft<unknown>} />
          {(draft.isChanged || isNew) && (
            <Button weight="main" onClick={trySave} disabled={save.isPending}>
              Save
            </Button>
          )}
          {draft.isChanged && !isNew && <Button onClick={draft.clear}>Put back</Button>}
          {!draft.isChanged && !isNew && <FilesMenu id={id} />}
          {!draft.isChanged && !isNew && (
            <ButtonLink weight="main" to={`/floor?session=${id}`}>
              Take to the Floor
            </ButtonLink>
          )}
        </div>
      </header>
      <div className="mb-4 flex flex-wrap gap-4">
        <TextField
          label="Title"
          className="min-w-64 flex-1"
          value={session.title}
          error={errors.of('title')}
          onChange={(e) => change({ title: e.target.value })}
        />
        <TextField
          label="When"
          type="datetime-local"
          className="w-56"
          value={session.plannedFor ? format(new Date(session.plannedFor), "yyyy-MM-dd'T'HH:mm") : ''}
          error={errors.of('plannedFor')}
          onChange={(e) =>
            change({ plannedFor: e.target.value === '' ? null : new Date(e.target.value).toISOString() })
          }
        />
        <TextField
          label="Word of the day"
          className="w-40"
          value={session.word ?? ''}
          error={errors.of('word')}
          onChange={(e) => change({ word: e.target.value })}
        />
        <ChoiceField
          label="Lead"
          className="w-28"
          value={session.lead}
          choices={LEAD_CHOICES}
          onChange={(e) => change({ lead: e.target.value as 'left' | 'right' })}
        />
      </div>
      <SessionTape rounds={rounds} chosen={chosen} onChoose={setChosen} />
      <div className="mt-5 grid gap-x-10 gap-y-6 xl:grid-cols-[5fr_6fr]">
        <section aria-label="Rounds">
          {errors.of('rounds') !== undefined && (
            <p role="alert" className="font-semibold text-caution">
              {errors.of('rounds')}
            </p>
          )}
          <ol className="border-t-[1.5px] border-ink">
            {rounds.map((round, i) => (
              <RoundRow
                key={round.id}
                round={round}
                combos={combos}
                book={book}
                isChosen={i === chosen}
                hasFault={errors.under(`rounds.${i}`).length > 0}
                onChoose={() => setChosen(i)}
                onUp={i > 0 ? () => move(i, -1) : null}
                onDown={i < rounds.length - 1 ? () => move(i, 1) : null}
                onCopy={() => add(copyRound(round, freeRoundId(rounds)))}
                onRemove={() => {
                  change({ rounds: rounds.toSpliced(i, 1) });
                  toast(`“${round.title}” is taken out.`, {
                    duration: 10_000,
                    action: { label: 'Undo', onClick: () => change({ rounds }) },
                  });
                }}
              />
            ))}
          </ol>
          {rounds.length === 0 && (
            <p className="py-4 text-quiet">
              No rounds yet. Two minutes of pads and forty seconds of rest are a good beginning.
            </p>
          )}
          <div className="mt-4 flex gap-3">
            <Button
              onClick={() =>
                add(newRound('pads', freeRoundId(rounds), combos[0]?.id ?? null, gym?.school.words))
              }
            >
              Add pads
            </Button>
            <Button onClick={() => add(newRound('shadow', freeRoundId(rounds), null))}>Add shadow</Button>
          </div>
          <FitPanel rounds={rounds} onChange={(next) => change({ rounds: next })} />
        </section>
        {open && book && gym && (
          <RoundEditor
            key={open.id}
            round={open}
            path={`rounds.${rounds.indexOf(open)}`}
            lead={session.lead}
            combos={combos}
            book={book}
            school={gym.school}
            errors={errors}
            onChange={(round) => changeRound(rounds.indexOf(open), round)}
          />
        )}
      </div>
    </div>
  );
}
