import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { draftSession, roundSeconds } from '@eurhythm/core/plan';
import type { SaveSessionDto } from '@eurhythm/contract';
import { useBook, useCombos, useFighters, useGym } from '../../../server/gymData.ts';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField, TickField } from '../../../ui/fields/Field.tsx';
import { Plain, Sheet } from '../../../ui/panels/Panel.tsx';
import { clockText, howMany } from '@eurhythm/core/units';
import { roundsOf, wishFor } from './wishFor.ts';

interface DraftSheetProps {
  readonly open: boolean;
  onClose(): void;
  onTake(drafted: Pick<SaveSessionDto, 'rounds' | 'groups'>): void;
}

/** Proposes a session from the gym's own combos, lists and library, and says for each round why it is there. */
export function DraftSheet({ open, onClose, onTake }: DraftSheetProps) {
  return (
    <Sheet open={open} title="Draft for me" onClose={onClose}>
      <DraftForm onTake={onTake} />
    </Sheet>
  );
}

function DraftForm({ onTake }: Pick<DraftSheetProps, 'onTake'>) {
  const gym = useGym();
  const combos = useCombos();
  const fighters = useFighters();
  const book = useBook();
  const { data: library } = useQuery(queries.library());
  const { data: techniques } = useQuery(queries.techniques());
  const { data: trained } = useQuery(queries.lastTrained());
  const { data: memory } = useQuery(queries.memory([]));
  const [minutes, setMinutes] = useState('60');
  const [gradeIds, setGradeIds] = useState<readonly string[]>([]);
  const [focus, setFocus] = useState('');
  const wanted = Number(minutes);
  const isLength = wanted >= 10 && wanted <= 180;
  const people = fighters.filter((fighter) => fighter.fit && gradeIds.includes(fighter.gradeId)).length;
  const draft = useMemo(() => {
    if (!library || !techniques || !trained || !isLength || gradeIds.length === 0) return null;
    const wish = wishFor(
      { minutes: wanted, gradeIds, focus, people },
      { gym, combos, book },
      { library, techniques, trained, memory: memory?.items ?? [], fighters },
      new Date(),
    );
    return draftSession(wish, book);
  }, [
    library,
    techniques,
    trained,
    memory,
    fighters,
    isLength,
    wanted,
    gradeIds,
    focus,
    people,
    gym,
    combos,
    book,
  ]);
  const focuses = [...new Set(combos.flatMap((combo) => combo.focus))].sort();
  const groups = gym.grades
    .filter((grade) => gradeIds.includes(grade.id))
    .map((grade) => ({ name: grade.name, gradeIds: [grade.id] }));
  return (
    <>
      <div className="grid grid-cols-2 gap-4">
        <TextField
          label="Minutes"
          inputMode="numeric"
          value={minutes}
          error={isLength ? undefined : 'From 10 to 180 minutes.'}
          onChange={(e) => setMinutes(e.target.value)}
        />
        <ChoiceField
          label="Focus"
          value={focus}
          choices={[
            { value: '', label: 'none in particular' },
            ...focuses.map((word) => ({ value: word, label: word })),
          ]}
          onChange={(value) => setFocus(value)}
        />
      </div>
      <fieldset className="mt-4 flex flex-wrap gap-x-4">
        <legend className="text-sm font-semibold text-quiet">
          Who comes; the first that you tick is the one that is called
        </legend>
        {gym.grades.map((grade) => (
          <TickField
            key={grade.id}
            label={grade.name}
            checked={gradeIds.includes(grade.id)}
            onChange={(checked) =>
              setGradeIds(checked ? [...gradeIds, grade.id] : gradeIds.filter((each) => each !== grade.id))
            }
          />
        ))}
      </fieldset>
      {gradeIds.length === 0 && <Plain>Tick a grade, and a session stands here.</Plain>}
      {draft && (
        <>
          <p className="pt-2 text-sm text-quiet">
            {howMany(people, 'fighter')} of {gradeIds.length === 1 ? 'this grade' : 'these grades'};{' '}
            {gym.school.floorSteps === null ? 'plenty of room' : `${gym.school.floorSteps} steps of room`};{' '}
            {gym.school.kit.length === 0 ? 'kit not written down' : gym.school.kit.join(', ')}. Change these
            in Gym.
          </p>
          <ol
            aria-label="Drafted rounds"
            className="mt-2 max-h-72 overflow-y-auto border-t-[1.5px] border-ink"
          >
            {draft.rounds.map((round) => (
              <li key={round.id} className="grid grid-cols-[1fr_auto] gap-x-3 border-b border-rule py-1.5">
                <strong className="truncate">{round.title}</strong>
                <span className="tabular font-heading font-bold">{clockText(roundSeconds(round))}</span>
                <span className="col-span-2 text-sm text-quiet">{round.why}</span>
              </li>
            ))}
          </ol>
          {draft.notes.map((note) => (
            <p key={note} className="pt-1 text-sm text-caution">
              {note}
            </p>
          ))}
          <Button
            weight="main"
            className="mt-4"
            onClick={() =>
              onTake({ rounds: roundsOf(draft, combos), groups: groups.length > 1 ? groups : [] })
            }
          >
            Take it: {clockText(draft.rounds.reduce((sum, round) => sum + roundSeconds(round), 0))}
          </Button>
        </>
      )}
    </>
  );
}
