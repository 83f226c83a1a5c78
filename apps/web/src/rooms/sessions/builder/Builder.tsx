import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { PACE_FACTORS } from '@eurhythm/core/body';
import {
  withRightLength,
  type ClassGroupDto,
  type LibraryItem,
  type RoundDto,
  type SaveSessionDto,
} from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { useBook, useCombos, useGym } from '../../../server/gymData.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { StaleNotice } from '../../../sync/StaleNotice.tsx';
import type { Draft } from '../../../sync/drafts/useDraft.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { useStable } from '../../../ui/useStable.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { DraftSheet } from '../library/DraftSheet.tsx';
import { groupNames } from '../plan/lanes.ts';
import { SessionTimeline } from '../plan/SessionTimeline.tsx';
import { PlanSession } from '../plan/PlanSession.tsx';
import { putDown } from './arrange.ts';
import { BuilderPanes, type Pane } from './BuilderPanes.tsx';
import { firstComboOf, useComboNames } from '../useComboNames.ts';
import { ROUND_BEGINNINGS, freeRoundId, newRound, type RoundBeginning } from './newRound.ts';
import { ClassGroupsOf } from '../kinds/fields/classGroups.ts';
import { RoundEditor } from './rounds/RoundEditor.tsx';
import { RoundList } from './rounds/RoundList.tsx';
import { sessionTitle } from './sessionTitle.ts';
import { SessionHead } from './head/SessionHead.tsx';
import { Arrangeable } from './Sortable.tsx';
import { useSaving } from './head/useSaving.ts';

/** What of a session two coaches may have written differently. */
const SESSION_FIELDS = {
  title: 'Title',
  plannedFor: 'Date',
  lead: 'Lead',
  word: 'Word of the day',
  groups: 'Groups',
  rounds: 'Rounds',
} as const;

const NO_GROUPS: readonly ClassGroupDto[] = [];

interface BuilderProps {
  readonly id: string;
  /** Whether the server has it already. */
  readonly isKnown: boolean;
  readonly session: SaveSessionDto;
  readonly draft: Draft<SaveSessionDto>;
}

/** Rounds in order, the whole session to scale above them, and the chosen round's settings. */
export function Builder({ id, isKnown, session, draft }: BuilderProps) {
  const errors = useFieldErrors();
  const [chosen, setChosen] = useState(0);
  const [pane, setPane] = useState<Pane>('round');
  const [isDrafting, setDrafting] = useState(false);
  const { rounds } = session;
  const at = Math.min(chosen, rounds.length - 1);
  const open = rounds[at];
  const change = (changes: Partial<SaveSessionDto>): void => draft.change({ ...session, ...changes });
  const choose = useStable((round: number): void => {
    setChosen(round);
    setPane('round');
  });
  const saving = useSaving(id, session, draft, {
    isKnown,
    errors,
    titleOf: sessionTitle,
    onFault: (field) => {
      const place = /^rounds\.(\d+)/.exec(field);
      if (place) choose(Number(place[1]));
    },
  });
  const keep = useKeeping();
  const nameOf = useComboNames();
  const setRounds = useStable((next: RoundDto[]): void => change({ rounds: next }));
  const add = (round: RoundDto): void => {
    setRounds([...rounds, round]);
    choose(rounds.length);
  };
  const setRound = useStable((round: RoundDto): void => setRounds(rounds.with(at, round)));
  const groups = useMemo(() => groupNames(session), [session]);

  return (
    <PlanSession id={isKnown ? id : undefined} session={session}>
      <ClassGroupsOf value={session.groups ?? NO_GROUPS}>
        <div className="min-w-0 flex-1 px-8 py-5">
          <SessionHead
            id={id}
            isKnown={isKnown}
            session={session}
            draft={draft}
            saving={saving}
            errors={errors}
            onChange={change}
            onDraft={() => setDrafting(true)}
            onCheck={() => setPane('check')}
          />
          {saving.stale && (
            <StaleNotice
              stale={saving.stale}
              fields={SESSION_FIELDS}
              onMine={saving.saveMine}
              onTheirs={saving.takeTheirs}
            />
          )}
          <SessionTimeline id={id} session={session} chosen={at} comboName={nameOf} onChoose={choose} />
          <Arrangeable onPutDown={(from, onto) => setRounds(putDown(rounds, from, onto))}>
            <div className="mt-4 grid gap-x-10 gap-y-6 xl:grid-cols-[5fr_6fr]">
              <section aria-label="Rounds">
                {errors.of('rounds') !== undefined && (
                  <p role="alert" className="font-semibold text-caution">
                    {errors.of('rounds')}
                  </p>
                )}
                <RoundList
                  rounds={rounds}
                  chosen={at}
                  errors={errors}
                  onChoose={choose}
                  onChange={setRounds}
                  onKeep={keep}
                />
                {rounds.length === 0 && (
                  <p className="py-4 text-quiet">
                    No rounds yet. Two minutes of pads and forty seconds of rest are a good beginning.
                  </p>
                )}
                <AddRound rounds={rounds} onAdd={add} />
              </section>
              <BuilderPanes
                seedKey={id}
                title={session.title}
                lead={session.lead}
                rounds={rounds}
                at={at}
                pane={pane}
                onPane={setPane}
                onChange={setRounds}
                onChoose={setChosen}
                editor={
                  open && (
                    <RoundEditor
                      key={open.id}
                      round={open}
                      path={`rounds.${at}`}
                      errors={errors}
                      groups={groups}
                      onChange={setRound}
                      onKeep={keep}
                    />
                  )
                }
              />
            </div>
          </Arrangeable>
          <DraftSheet
            open={isDrafting}
            onClose={() => setDrafting(false)}
            onTake={(drafted) => {
              // A title that somebody wrote stays.
              change({ ...drafted, title: session.title || drafted.title });
              setChosen(0);
              setDrafting(false);
            }}
          />
        </div>
      </ClassGroupsOf>
    </PlanSession>
  );
}

/** A new round of any kind, in one press. */
function AddRound({ rounds, onAdd }: { rounds: readonly RoundDto[]; onAdd: (round: RoundDto) => void }) {
  const book = useBook();
  const combos = useCombos();
  const { grades, school } = useGym();
  const begin = (beginning: RoundBeginning): void => {
    const round = newRound(beginning, freeRoundId(rounds), firstComboOf(combos, grades), school.words);
    const blocks = round.blocks.map((block) => withRightLength(block, book, PACE_FACTORS[school.pace]));
    onAdd({ ...round, blocks });
  };
  return (
    <div className="mt-4 flex flex-wrap items-end gap-3">
      <Button onClick={() => begin('pads')}>Add pads</Button>
      <Button onClick={() => begin('shadow')}>Add shadow</Button>
      <ChoiceField<RoundBeginning | ''>
        label="Add another round"
        className="w-48"
        value=""
        choices={[{ value: '', label: 'choose its kind' }, ...ROUND_BEGINNINGS.slice(2)]}
        onChange={(value) => value !== '' && begin(value)}
      />
    </div>
  );
}

/** Keeps a round in the library, to be used again. */
function useKeeping(): (round: RoundDto) => void {
  const client = useQueryClient();
  const keep = useWrite<LibraryItem, RoundDto>(
    (round) =>
      putRequest(SUBJECTS.library, `library/${newId()}`, {
        title: round.title,
        rounds: [{ ...round, series: null }],
      }),
    {
      onSuccess: async (item) => {
        await client.invalidateQueries({ queryKey: ['library'] });
        toast(`“${item.title}” is in the library.`);
      },
      onError: (error) => toast.error(error.message),
    },
  );
  return keep.mutate;
}
