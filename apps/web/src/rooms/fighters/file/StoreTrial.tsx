import { howMany } from '@eurhythm/core/units';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { comboName } from '@eurhythm/core/plan';
import { fitAlike, impactBeats, type LineFit } from '@eurhythm/core/strikes';
import type { FighterView, SaveAttemptDto } from '@eurhythm/contract';
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
import { askedAbout, burstInFile, burstText, comboInFile, type TrialOf } from './fileTrial.ts';
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
  // Nobody is proposed: a trial in the wrong log is worse than a press more.
  const fighter = fighters.find(({ id }) => id === who);
  const [lead, setLead] = useState<'left' | 'right' | 'own'>('own');
  const [kind, setKind] = useState<'combo' | 'burst'>('combo');
  const from = lead === 'own' ? (fighter?.lead ?? 'left') : lead;
  const [when, setWhen] = useState<{ readonly of: HeardFile; readonly at: string } | null>(null);
  const at = when?.of === file ? when.at : file.at;
  const trial = fighter ? ({ fighterId: fighter.id, lead: from, at } as const) : null;
  return (
    <div className="grid gap-x-12 gap-y-7 lg:grid-cols-2">
      <Part title="Whose, and what">
        <div className="grid grid-cols-2 gap-4 pt-3">
          <ChoiceField
            label="Fighter"
            value={who}
            choices={[
              { value: '', label: 'Whose are these?' },
              ...fighters.map(({ id, name }) => ({ value: id, label: name })),
            ]}
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
          {...{ file, onsets, trial, lead: from, onDue, onStore }}
          onBurst={() => setKind('burst')}
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
  /** Null until somebody said whose it is. */
  readonly trial: TrialOf | null;
  onDue(due: readonly number[]): void;
  onStore: StoreTrialProps['onStore'];
  onBurst(): void;
}

/** Which of the gym's combos this is: the best three that were found, or the one that is reported. */
function ComboOfFile({ file, onsets, trial, lead, onDue, onStore, onBurst }: ComboOfFileProps) {
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
        setFits(found);
        const [best, next] = found;
        setChosen(best && next && fitAlike(best, next) ? null : (best?.id ?? null));
      });
    return () => {
      isOld = true;
    };
  }, [times, lines, wanted, bpm]);
  const fit = fits?.find(({ id }) => id === chosen);
  const combo = combos.find(({ id }) => id === fit?.id);
  useEffect(() => onDue(fit?.times.flatMap(({ due }) => due) ?? []), [fit, onDue]);
  const attempt =
    fit && combo && trial
      ? comboInFile(file, onsets, fit, { title: comboName(combo), line: combo.line }, trial)
      : null;
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
                  {Math.round(100 * each.covered)} % of the strikes · {timesText(each.times.length)} at{' '}
                  {Math.round(each.bpm)} a minute, within {Math.round(1000 * each.off)} ms
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {fits?.length === 0 && (
        <p className="py-3 text-quiet">
          No line fits these strikes. Put pins right, choose the combo, or leave the tempo empty.{' '}
          <button type="button" className="underline" onClick={onBurst}>
            It was a burst
          </button>
        </p>
      )}
      {fits && fits.length > 1 && chosen === null && (
        <p className="py-2 text-caution">Two lines fit equally well: say which one it was.</p>
      )}
      {fit && fit.covered < FITS && (
        <p className="py-2 text-caution">
          More than half of what was heard belongs to no time through this line: look at the pins before you
          store it.
        </p>
      )}
      <StoreButton
        attempt={attempt}
        isAsked={trial !== null}
        what={fit ? `${timesText(fit.times.length)} as one trial` : 'as a trial'}
        onStore={(kept) => void onStore(kept, combo!.id)}
      />
    </Part>
  );
}

interface BurstOfFileProps extends Pick<StoreTrialProps, 'file' | 'onsets' | 'onStore'> {
  readonly trial: TrialOf | null;
}

function BurstOfFile({ file, onsets, trial, onStore }: BurstOfFileProps) {
  const { data: tests = [] } = useQuery(queries.tests());
  const known = tests.filter(({ kind }) => kind === 'burst');
  const bursts = known.length > 0 ? known : USUAL_BURSTS;
  const [chosen, setChosen] = useState('');
  const test = bursts.find((each) => named(each) === chosen) ?? bursts[0]!;
  const [from, setFrom] = useState(0);
  const seen = burstInFile(file, onsets, { ...test, from }, trial ?? NOBODY);
  const attempt = trial && seen;
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
          error={seen || !Number.isFinite(from) ? undefined : 'No strike comes after this second.'}
          onChange={setFrom}
        />
      </div>
      {seen && <p className="pt-3">{burstText(seen)}</p>}
      <StoreButton
        attempt={attempt}
        isAsked={trial !== null}
        what="as a trial"
        onStore={(kept) => void onStore(kept, `${named(test)}, from ${from} on`)}
      />
    </Part>
  );
}

/** What is looked at before anybody said whose it is. */
const NOBODY: TrialOf = { fighterId: '', lead: 'left', at: '' };

const timesText = (times: number): string => `${howMany(times, 'time')} through`;

interface StoreButtonProps {
  readonly attempt: SaveAttemptDto | null;
  /** Whether somebody said whose it is. */
  readonly isAsked: boolean;
  readonly what: string;
  onStore(attempt: SaveAttemptDto): void;
}

/** Stores a trial; what lies far from what this person usually does is asked about first. */
function StoreButton({ attempt, isAsked, what, onStore }: StoreButtonProps) {
  const { data: progress } = useQuery({
    ...queries.fighterProgress(attempt?.fighterId ?? ''),
    enabled: attempt !== null,
  });
  const asked = attempt && progress ? askedAbout(attempt, progress.courses) : '';
  return (
    <div className="pt-3">
      {!isAsked && <p className="pb-2 text-quiet">Say whose these are first.</p>}
      {asked !== '' && (
        <p role="alert" className="pb-2 font-semibold text-caution">
          {asked}
        </p>
      )}
      <Button
        weight={asked === '' ? 'main' : 'plain'}
        disabled={!attempt}
        onClick={() => attempt && onStore(attempt)}
      >
        {asked === '' ? `Store ${what}` : 'It is right: store it'}
      </Button>
    </div>
  );
}

const named = ({ title, seconds }: { readonly title: string; readonly seconds: number }): string =>
  `${title}, ${seconds} s`;
