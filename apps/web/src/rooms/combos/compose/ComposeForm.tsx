import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Shuffle } from 'lucide-react';
import { useMemo, useState } from 'react';
import { PACE_FACTORS, audienceOf } from '@eurhythm/core/body';
import { lineInWords } from '@eurhythm/core/rounds';
import { knownMoves, trainedUpTo, type ComposeWish, type ExistingLine } from '@eurhythm/core/plan';
import { BPM_LIMITS } from '@eurhythm/core/units';
import type { ComboView } from '@eurhythm/contract';
import { useBook, useBookView, useCombos, useGym } from '../../../server/gymData.ts';
import { SmallStrip } from '../../../strip/SmallStrip.tsx';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { coreWorkWith } from '../../../workers/coreWork.ts';

export interface ComposedTaken {
  readonly line: string;
  readonly gradeId: string;
  readonly bpm: number;
}

/** Lines that are proposed at once. */
const COUNT = 4;
const ANY = 'any';
const LENGTHS = [
  { value: ANY, label: '3 to 5' },
  ...[2, 3, 4, 5, 6].map((length) => ({ value: String(length), label: String(length) })),
];

const named = ({ grade, number, line }: ComboView): ExistingLine => ({ name: `${grade} ${number}`, line });

/** For which grade, how fast and how long; and the lines, each with why. */
export function ComposeForm({ onTake }: { onTake(taken: ComposedTaken): void }) {
  const view = useBookView();
  const book = useBook();
  const combos = useCombos();
  const { grades, school } = useGym();
  const [gradeId, setGradeId] = useState(grades.find(({ band }) => band === 'adults')?.id ?? grades[0]!.id);
  const [tempo, setTempo] = useState('80');
  const [length, setLength] = useState(ANY);
  const [must, setMust] = useState(ANY);
  const [seed, setSeed] = useState(1);
  const bpm = Number(tempo);
  const isTempo = bpm >= BPM_LIMITS.min && bpm <= BPM_LIMITS.max;
  const trained = useMemo(() => trainedUpTo(gradeId, grades, combos), [gradeId, grades, combos]);
  const audience = useMemo(() => audienceOf(gradeId, grades, school.youth), [gradeId, grades, school]);
  const moves = useMemo(
    () =>
      knownMoves(
        trained.map(({ line }) => line),
        book,
        audience,
      ),
    [trained, book, audience],
  );
  const isKnown = moves.some(({ code }) => code === must);
  const wish: ComposeWish = {
    ...{ trained: trained.map(named), others: combos.filter((each) => !trained.includes(each)).map(named) },
    ...{ audience, bpm, factor: PACE_FACTORS[school.pace], count: COUNT },
    strokes: length === ANY ? null : Number(length),
    must: isKnown ? must : null,
  };
  const { data: lines } = useQuery({
    queryKey: ['composed', wish, seed],
    queryFn: async () => (await coreWorkWith(view)).compose(wish, seed),
    enabled: isTempo,
    placeholderData: keepPreviousData,
  });
  return (
    <>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
        <ChoiceField
          label="Grade"
          value={gradeId}
          choices={grades.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setGradeId}
        />
        <TextField
          label="Beats a minute"
          inputMode="numeric"
          value={tempo}
          error={isTempo ? undefined : `From ${BPM_LIMITS.min} to ${BPM_LIMITS.max}.`}
          onChange={(e) => setTempo(e.target.value)}
        />
        <ChoiceField label="Strokes" value={length} choices={LENGTHS} onChange={setLength} />
        <ChoiceField
          label="With"
          value={isKnown ? must : ANY}
          choices={[
            { value: ANY, label: 'any move' },
            ...moves.map(({ code, name }) => ({ value: code, label: name })),
          ]}
          onChange={setMust}
        />
      </div>
      {isTempo && lines?.length === 0 && (
        <Plain>
          What this grade trains makes no new line like that. Ask for another tempo or length, or give the
          grade a combo with more moves.
        </Plain>
      )}
      {isTempo && lines !== undefined && lines.length > 0 && (
        <>
          <ol aria-label="New lines" className="mt-4 border-t-[1.5px] border-ink">
            {lines.map(({ line, why }) => (
              <li
                key={line}
                className="grid grid-cols-[1fr_auto_auto] items-center gap-x-3 border-b border-rule py-1.5"
              >
                <span>
                  <code className="block font-line">{line}</code>
                  <span className="block text-sm font-semibold">{lineInWords(line, book, 'left')}</span>
                </span>
                <SmallStrip line={line} beatsPerBar={4} room={120} />
                <Button className="border! px-3" onClick={() => onTake({ line, gradeId, bpm })}>
                  Take
                </Button>
                <span className="col-span-3 text-sm text-quiet">{why.join(' ')}</span>
              </li>
            ))}
          </ol>
          <Button className="mt-4" onClick={() => setSeed(seed + 1)}>
            <Shuffle size={16} aria-hidden /> Other ones
          </Button>
        </>
      )}
    </>
  );
}
