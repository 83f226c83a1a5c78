import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Shuffle } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import { DRAFT_MINUTES, roundSeconds, themeWords } from '@eurhythm/core/plan';
import { clockText, howMany } from '@eurhythm/core/units';
import type { DraftSessionDto, SaveSessionDto, SessionDraftView } from '@eurhythm/contract';
import { useCombos, useFighters, useGym } from '../../../server/gymData.ts';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField, TickField } from '../../../ui/fields/Field.tsx';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Plain, Sheet } from '../../../ui/panels/Panel.tsx';

type Taken = Pick<SaveSessionDto, 'rounds' | 'groups'> & { readonly title: string };

interface DraftSheetProps {
  readonly open: boolean;
  onClose(): void;
  onTake(drafted: Taken): void;
}

/** Proposes a session from the gym's own combos, lists and library, and says for each round why it is there. */
export function DraftSheet({ open, onClose, onTake }: DraftSheetProps) {
  return (
    <Sheet open={open} title="Draft for me" onClose={onClose}>
      <DraftForm onTake={onTake} />
    </Sheet>
  );
}

const NOBODY = 'none';

function DraftForm({ onTake }: Pick<DraftSheetProps, 'onTake'>) {
  const { grades, school } = useGym();
  const fighters = useFighters();
  const [minutes, setMinutes] = useState('60');
  const [gradeIds, setGradeIds] = useState<readonly string[]>([]);
  const [away, setAway] = useState<readonly string[]>([]);
  const [theme, setTheme] = useState('');
  const [room, setRoom] = useState('');
  const [alone, setAlone] = useState(false);
  const [noKit, setNoKit] = useState<readonly string[]>([]);
  const [towards, setTowards] = useState(NOBODY);
  const [seed, setSeed] = useState(1);
  const wanted = Number(minutes);
  const isLength = wanted >= DRAFT_MINUTES.least && wanted <= DRAFT_MINUTES.most;
  const isRoom = room.trim() === '' || (Number(room) >= 0 && Number(room) <= 100);
  const inGrades = fighters.filter(({ fit, gradeId }) => fit && gradeIds.includes(gradeId));
  const coming = inGrades.filter(({ id }) => !away.includes(id));
  const wish: DraftSessionDto = {
    minutes: wanted,
    grades: [...gradeIds],
    ...(coming.length < inGrades.length ? { people: coming.map(({ id }) => id) } : {}),
    theme: themeWords(theme),
    ...(room.trim() === '' ? {} : { room: Number(room) }),
    alone,
    ...(noKit.length === 0 ? {} : { kit: school.kit.filter((each) => !noKit.includes(each)) }),
    towards: towards === NOBODY ? null : towards,
    seed,
  };
  const asked = useDeferredValue(wish);
  const { data: draft, error } = useQuery({
    ...queries.draft(asked),
    enabled: isLength && isRoom && gradeIds.length > 0 && (coming.length > 0 || inGrades.length === 0),
    placeholderData: keepPreviousData,
  });
  return (
    <>
      <div className="grid grid-cols-[6rem_1fr_7rem] gap-4">
        <TextField
          label="Minutes"
          inputMode="numeric"
          value={minutes}
          error={isLength ? undefined : `From ${DRAFT_MINUTES.least} to ${DRAFT_MINUTES.most}.`}
          onChange={(e) => setMinutes(e.target.value)}
        />
        <ThemeField value={theme} onChange={setTheme} />
        <TextField
          label="Room, steps"
          inputMode="decimal"
          value={room}
          placeholder={school.floorSteps === null ? 'plenty' : String(school.floorSteps)}
          error={isRoom ? undefined : 'From 0 to 100.'}
          onChange={(e) => setRoom(e.target.value)}
        />
      </div>
      <fieldset className="mt-4 flex flex-wrap gap-x-4">
        <legend className="text-sm font-semibold text-quiet">
          Who comes; the first that you tick is the one that is called
        </legend>
        {grades.map((grade) => (
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
      {inGrades.length > 0 && (
        <Fold title="Only some of them" aside={`${coming.length} of ${inGrades.length} come`}>
          <div className="flex flex-wrap gap-x-4">
            {inGrades.map(({ id, name }) => (
              <TickField
                key={id}
                label={name}
                checked={!away.includes(id)}
                onChange={(comes) => setAway(comes ? away.filter((each) => each !== id) : [...away, id])}
              />
            ))}
          </div>
        </Fold>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-x-6">
        <TickField label="Everybody alone, no pads" checked={alone} onChange={setAlone} />
        <ChoiceField
          label="Towards the grading of"
          className="w-48"
          value={towards}
          choices={[
            { value: NOBODY, label: 'none' },
            ...grades.map((grade) => ({ value: grade.id, label: grade.name })),
          ]}
          onChange={setTowards}
        />
      </div>
      {school.kit.length > 0 && (
        <Fold title="Kit" aside={noKit.length === 0 ? 'all that the gym has' : `without ${noKit.join(', ')}`}>
          <div className="flex flex-wrap gap-x-4">
            {school.kit.map((item) => (
              <TickField
                key={item}
                label={item}
                checked={!noKit.includes(item)}
                onChange={(is) => setNoKit(is ? noKit.filter((each) => each !== item) : [...noKit, item])}
              />
            ))}
          </div>
        </Fold>
      )}
      {gradeIds.length === 0 && <Plain>Tick a grade, and a session stands here.</Plain>}
      {gradeIds.length > 0 && coming.length === 0 && inGrades.length > 0 && (
        <Plain>Nobody comes: tick somebody.</Plain>
      )}
      {error && <p className="pt-3 font-semibold text-caution">{error.message}</p>}
      {draft && gradeIds.length > 0 && !error && (
        <Drafted draft={draft} onTake={onTake} onOther={() => setSeed(seed + 1)} />
      )}
    </>
  );
}

/** Words with commas between them; those that the gym's combos have are offered. */
function ThemeField({ value, onChange }: { readonly value: string; onChange(value: string): void }) {
  const combos = useCombos();
  const own = [...new Set(combos.flatMap(({ focus }) => focus))].sort();
  const offered = [...new Set([...own, ...OFFERED])];
  return (
    <>
      <TextField
        label="Theme"
        list="theme-words"
        value={value}
        placeholder="knees, footwork, left leg …"
        onChange={(e) => onChange(e.target.value)}
      />
      <datalist id="theme-words">
        {offered.map((word) => (
          <option key={word} value={word} />
        ))}
      </datalist>
    </>
  );
}
const OFFERED = ['footwork', 'contact', 'reaction', 'test', 'other lead', 'kicks', 'knees', 'left leg'];

interface DraftedProps {
  readonly draft: SessionDraftView;
  onTake(drafted: Taken): void;
  onOther(): void;
}

function Drafted({ draft, onTake, onOther }: DraftedProps) {
  const { session, reasons, check, notes, seconds } = draft;
  return (
    <>
      <ol aria-label="Drafted rounds" className="mt-3 max-h-60 overflow-y-auto border-t-[1.5px] border-ink">
        {session.rounds.map((round, i) => (
          <li key={round.id} className="grid grid-cols-[1fr_auto_auto] gap-x-3 border-b border-rule py-1.5">
            <strong className="truncate">{round.title}</strong>
            <span className="text-sm text-quiet">effort {round.effort}</span>
            <span className="tabular font-heading font-bold">{clockText(roundSeconds(round))}</span>
            <span className="col-span-3 text-sm text-quiet">{reasons[i]?.why}</span>
          </li>
        ))}
      </ol>
      {[...notes, ...check.map(({ message }) => message)].map((note) => (
        <p key={note} className="pt-1 text-sm text-caution">
          {note}
        </p>
      ))}
      {check.length === 0 && <p className="pt-1 text-sm text-quiet">The check has nothing to say of it.</p>}
      <div className="mt-4 flex gap-3">
        <Button
          weight="main"
          onClick={() =>
            onTake({ title: session.title, rounds: [...session.rounds], groups: [...session.groups] })
          }
        >
          Take it: {howMany(session.rounds.length, 'round')}, {clockText(seconds)}
        </Button>
        <Button onClick={onOther}>
          <Shuffle size={16} aria-hidden /> Another one
        </Button>
      </div>
    </>
  );
}
