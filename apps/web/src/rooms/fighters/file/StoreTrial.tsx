import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { comboName } from '@eurhythm/core/plan';
import { impactBeats, type LineFit } from '@eurhythm/core/strikes';
import type { ComboView, FighterView, SaveAttemptDto } from '@eurhythm/contract';
import { useBook, useCombos } from '../../../server/gymData.ts';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { WhenField } from '../../../ui/fields/DayFields.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { MaybeNumberField, NumberField } from '../../../ui/fields/TypedField.tsx';
import { USUAL_BURSTS } from '../../../floor/usualBursts.ts';
import { coreWork } from '../../../workers/coreWork.ts';
import { LEAD_CHOICES } from '../../sessions/choices.ts';
import { burstInFile, comboInFile, type TrialOf } from './fileTrial.ts';
import type { FileOnset, HeardFile } from './readSound.ts';

interface StoreTrialProps {
  readonly file: HeardFile;
  readonly onsets: readonly FileOnset[];
  readonly fighters: readonly FighterView[];
  /** When strikes were due, as the chosen line has it. */
  onDue(due: readonly number[]): void;
  /** Stores it; `what` it was among all that can be stored of the file. */
  onStore(attempt: SaveAttemptDto, what: string): Promise<void>;
}

const FIND = 'find';
/** A line to which fewer of the strikes belong is told to fit badly. */
const FITS = 0.5;

/** Whose strikes these are and what they were: a combo of the gym, found among them, or a burst. */
export function StoreTrial({ file, onsets, fighters, onDue, onStore }: StoreTrialProps) {
  const [who, setWho] = useState('');
  const fighter = fighters.find(({ id }) => id === who) ?? fighters[0];
  const [lead, setLead] = useState<'left' | 'right' | 'own'>('own');
  const [kind, setKind] = useState<'combo' | 'burst'>('combo');
  const from = lead === 'own' ? (fighter?.lead ?? 'left') : lead;
  const [when, setWhen] = useState<{ readonly of: HeardFile; readonly at: string } | null>(null);
  const at = when?.of === file ? when.at : file.at;
  const trial = { fighterId: fighter?.id ?? '', lead: from, at } as const;
  return (
    <div className="grid gap-x-12 gap-y-7 lg:grid-cols-2">
      <Part title="Whose, and what">
        <div className="grid grid-cols-2 gap-4 pt-3">
          <ChoiceField
            label="Fighter"
            value={fighter?.id ?? ''}
            choices={fighters.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setWho}
          />
          <ChoiceField
            label="From which lead"
            value={lead}
            choices={[{ value: 'own', label: 'Their own' }, ...LEAD_CHOICES]}
            onChange={(value) => setLead(value as typeof lead)}
          />
          <ChoiceField
            label="What it was"
            value={kind}
            choices={[
              { value: 'combo', label: 'A combo, again and again' },
              { value: 'burst', label: 'A burst, as many as fit' },
            ]}
            onChange={(value) => {
              setKind(value as typeof kind);
              onDue([]);
            }}
          />
          <WhenField
            label="When it was"
            value={at}
            onChange={(chosen) => setWhen(chosen === null ? null : { of: file, at: chosen })}
          />
        </div>
      </Part>
      {kind === 'combo' ? (
        <ComboOfFile
          {...{ file, onsets, lead: from, onDue }}
          onStore={(fit, combo) =>
            void onStore(
              comboInFile(file, onsets, fit, { title: comboName(combo), line: combo.line }, trial),
              combo.id,
            )
          }
        />
      ) : (
        <BurstOfFile {...{ file, onsets, trial, onStore }} />
      )}
    </div>
  );
}

interface ComboOfFileProps {
  readonly file: HeardFile;
  readonly onsets: readonly FileOnset[];
  readonly lead: 'left' | 'right';
  onDue(due: readonly number[]): void;
  onStore(fit: LineFit, combo: ComboView): void;
}

/** Which of the gym's combos this is: the best three that were found, or the one that is reported. */
function ComboOfFile({ onsets, lead, onDue, onStore }: ComboOfFileProps) {
  const book = useBook();
  const combos = useCombos();
  const [wanted, setWanted] = useState<string>(FIND);
  const [bpm, setBpm] = useState<number | null>(null);
  const [fits, setFits] = useState<readonly LineFit[] | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const lines = useMemo(
    () =>
      combos.map(({ id, line }) => ({ id, beats: impactBeats(line, lead, book).map(({ beat }) => beat) })),
    [combos, lead, book],
  );
  const times = useMemo(
    () => onsets.filter(({ doubtful }) => doubtful !== true).map(({ at }) => at),
    [onsets],
  );
  useEffect(() => {
    let isOld = false;
    const among = wanted === FIND ? lines : lines.filter(({ id }) => id === wanted);
    void coreWork()
      .findLines(times, among, bpm ?? undefined)
      .then((found) => {
        if (isOld) return;
        const best = [...found].sort((a, b) => b.share - a.share || a.off - b.off).slice(0, 3);
        setFits(best);
        setChosen(best[0]?.id ?? null);
      });
    return () => {
      isOld = true;
    };
  }, [times, lines, wanted, bpm]);
  const fit = fits?.find(({ id }) => id === chosen);
  const combo = combos.find(({ id }) => id === fit?.id);
  useEffect(() => onDue(fit?.times.flatMap(({ due }) => due) ?? []), [fit, onDue]);
  return (
    <Part title="The line" aside={fits ? '' : 'looking for it'}>
      <div className="grid grid-cols-2 gap-4 pt-3">
        <ChoiceField
          label="Combo"
          value={wanted}
          choices={[
            { value: FIND, label: 'find it among all' },
            ...combos.map((each) => ({ value: each.id, label: `${comboName(each)} ${each.title}`.trim() })),
          ]}
          onChange={setWanted}
        />
        <MaybeNumberField
          label="Tempo, beats a minute"
          hint="empty: as it was struck"
          value={bpm}
          onChange={setBpm}
        />
      </div>
      <ul aria-label="Lines that fit" className="pt-2">
        {fits?.map((each) => {
          const of = combos.find(({ id }) => id === each.id);
          return (
            <li key={each.id} className="border-b border-rule">
              <button
                type="button"
                aria-pressed={each.id === chosen}
                className={`flex min-h-12 w-full items-center justify-between gap-4 px-2 text-left ${each.id === chosen ? 'bg-tape text-on-tape' : 'hover:bg-hint'}`}
                onClick={() => setChosen(each.id)}
              >
                <span className="min-w-0">
                  <strong>{of && comboName(of)}</strong> <span className="font-line text-sm">{of?.line}</span>
                </span>
                <span className="tabular text-sm whitespace-nowrap">
                  {Math.round(100 * each.covered)} % of the strikes · {each.times.length}{' '}
                  {each.times.length === 1 ? 'time' : 'times'} at {Math.round(each.bpm)}, within{' '}
                  {Math.round(1000 * each.off)} ms
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {fits?.length === 0 && (
        <p className="py-3 text-quiet">
          No line fits to these strikes. Put pins right, choose the combo, or leave the tempo empty.
        </p>
      )}
      {fit && fit.covered < FITS && (
        <p className="py-2 text-caution">
          More than half of what was heard belongs to no time through this line: look at the pins before you
          store it.
        </p>
      )}
      <Button className="mt-3" weight="main" disabled={!fit || !combo} onClick={() => onStore(fit!, combo!)}>
        Store {fit ? `${fit.times.length} times through as one trial` : 'as a trial'}
      </Button>
    </Part>
  );
}

interface BurstOfFileProps extends Pick<StoreTrialProps, 'file' | 'onsets' | 'onStore'> {
  readonly trial: TrialOf;
}

function BurstOfFile({ file, onsets, trial, onStore }: BurstOfFileProps) {
  const { data: tests = [] } = useQuery(queries.tests());
  const known = tests.filter(({ kind }) => kind === 'burst');
  const bursts = known.length > 0 ? known : USUAL_BURSTS;
  const [chosen, setChosen] = useState('');
  const test = bursts.find((each) => named(each) === chosen) ?? bursts[0]!;
  const [from, setFrom] = useState(0);
  const burst = burstInFile(file, onsets, { ...test, from }, trial);
  return (
    <Part title="The burst">
      <div className="grid grid-cols-2 gap-4 pt-3">
        <ChoiceField
          label="Test"
          value={named(test)}
          choices={bursts.map((each) => ({ value: named(each), label: named(each) }))}
          onChange={setChosen}
        />
        <NumberField
          label="From which second"
          hint="the first strike after it begins the burst"
          value={from}
          error={burst || !Number.isFinite(from) ? undefined : 'No strike comes after this second.'}
          onChange={setFrom}
        />
      </div>
      <Button
        weight="main"
        className="mt-3"
        disabled={!burst}
        onClick={() => void (burst && onStore(burst, `${named(test)}, from ${from} on`))}
      >
        Store as a trial
      </Button>
    </Part>
  );
}

const named = ({ title, seconds }: { readonly title: string; readonly seconds: number }): string =>
  `${title}, ${seconds} s`;
