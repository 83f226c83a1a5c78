import { measuredBy } from '@eurhythm/core/rounds';
import { useQuery } from '@tanstack/react-query';
import { useState, useSyncExternalStore } from 'react';
import { BURST_READY } from '@eurhythm/core/run';
import type { RunView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { USUAL_BURSTS } from '../../../floor/usualBursts.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { TapeClock } from '../board/TapeClock.tsx';
import { BurstChoice, type BurstWish, type Timed } from './BurstChoice.tsx';
import { BurstCount } from './BurstCount.tsx';
import { ClassNumbers } from './numbers/ClassNumbers.tsx';
import { Outcome } from './Outcome.tsx';
import { useBurst, type BurstPlace } from './useBurst.ts';
import { askLater, keepBurst, tellTrial, useKeptBurst } from './numbers/keptBurst.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

type CountedBy = BurstWish['by'];

/** What is reported while one counts, and before. */
const COUNTS: Readonly<Record<CountedBy, string>> = {
  taps: 'tap anywhere or press any key for each clean one',
  microphone: 'the microphone counts',
  motion: 'the motion of this phone counts',
  sensor: 'the sensor counts',
  pretend: 'nobody strikes: this is only tried',
};
const HOW: Readonly<Record<CountedBy, string>> = {
  taps: 'Count with taps or any key; clean ones only.',
  microphone:
    'The microphone of this device counts: lay it within two steps of the bag. Nothing ticks meanwhile.',
  motion: 'The motion of this phone counts: tape it to the bag, or put it into the pouch of the pad.',
  sensor: 'The strike sensor counts, the one that is switched on first.',
  pretend: 'A virtual fighter strikes, so that you see what comes of it. Nothing is kept.',
};
const HOW_CLASS = {
  partners: 'Partners count, clean ones only; the numbers are asked for after the bell.',
  stations:
    'Stations that listen tell their numbers; partners count for all others, and are asked after the bell.',
};

interface BurstPaneProps extends BurstPlace {
  onClose(): void;
}

/** As many as fit: of one fighter, whose strikes are tapped along, or of the whole class, whose numbers are reported after the bell. */
export function BurstPane({ onClose, ...place }: BurstPaneProps) {
  const { run, fighters, listening } = place;
  useSyncExternalStore(listening.subscribe, listening.snapshot);
  const timed = useTimed(run);
  const [wish, setWish] = useState<BurstWish>({
    who: fighters[0]?.id ?? '',
    title: timed[0]!.title,
    lead: 'own',
    by: 'taps',
    keepsSound: false,
  });
  const what = timed.find((each) => each.title === wish.title) ?? timed[0]!;
  const { seconds } = what;
  const burst = useBurst(place, wish, what);
  const { phase, isClass } = burst;
  const fighter = fighters.find((each) => each.id === wish.who);
  const ofClass = useKeptBurst(run.id);
  const tell = (place: number, count: number): void => void tellTrial(run.id, ofClass!, place, count);
  const closeClass = (): void => {
    if (ofClass?.trials.every(({ count }) => count !== null)) keepBurst(run.id, null);
    else askLater(run.id);
    onClose();
  };

  return (
    <main className="mat hall flex h-dvh flex-col phone:h-auto phone:min-h-dvh">
      <Heading className="sr-only">{what.title}</Heading>
      {burst.burst === null && !ofClass && <TapeClock left={BURST_READY} of={BURST_READY} isRest />}
      {burst.burst ? (
        <BurstCount
          burst={burst.burst}
          seconds={seconds}
          name={isClass ? 'Everybody' : (fighter?.name ?? '')}
          what={isClass ? what.title : `${what.title}, ${burst.lead} lead`}
          count={isClass ? null : burst.counted}
          hint={isClass ? 'partners count aloud' : burst.inputStatus || COUNTS[burst.by]}
          onTap={burst.tap}
        />
      ) : ofClass ? (
        <ClassNumbers burst={ofClass} fighters={fighters} onCount={tell} onClose={closeClass} />
      ) : (
        <div className="flex flex-1 flex-col items-center justify-center gap-6 p-8 phone:gap-3 phone:p-4">
          {phase.kind === 'done' && (
            <Outcome
              summary={phase.summary}
              name={fighter?.name ?? ''}
              title={what.title}
              lead={burst.lead}
              doubtful={phase.doubtful}
              isKept={phase.kept !== null || isClass}
              onCount={phase.kept && burst.by !== 'taps' ? burst.countAgain : null}
            />
          )}
          <BurstChoice fighters={fighters} timed={timed} value={wish} onChange={setWish} />
          {burst.failure !== '' && (
            <p role="alert" className="text-xl font-semibold text-caution">
              {burst.failure}
            </p>
          )}
          {fighters.length === 0 && (
            <p className="text-xl">Nobody is in this run, so there is nobody to time.</p>
          )}
          <div className="flex flex-wrap justify-center gap-4">
            <Button
              weight="main"
              className="min-h-[64px] px-8 text-2xl"
              onClick={() => void burst.start()}
              disabled={!fighter && !isClass}
            >
              {phase.kind === 'done' ? 'Again' : 'Start'}
            </Button>
            <Button className="min-h-[64px] px-6 text-xl" onClick={onClose}>
              Back to the round
            </Button>
          </div>
          <HowItGoes
            seconds={seconds}
            by={burst.by}
            isClass={isClass}
            hasStations={listening.listeners.length > 0}
          />
        </div>
      )}
    </main>
  );
}

interface HowItGoesProps {
  readonly seconds: number;
  readonly by: CountedBy;
  readonly isClass: boolean;
  /** Stations listen. */
  readonly hasStations: boolean;
}

function HowItGoes({ seconds, by, isClass, hasStations }: HowItGoesProps) {
  return (
    <p className="text-quiet">
      Get ready for {BURST_READY} seconds, then the bell, {seconds} seconds, and the bell again.{' '}
      {isClass ? HOW_CLASS[hasStations ? 'stations' : 'partners'] : HOW[by]}
    </p>
  );
}

/** What may be timed: the bursts of the session, the gym's tests, and what a gym that has none may begin with. */
function useTimed(run: RunView): readonly Timed[] {
  const { data: tests = [] } = useQuery(queries.tests());
  const known: readonly Timed[] = tests.filter(({ kind }) => kind === 'burst');
  const own = run.rounds.flatMap(({ blocks }) =>
    blocks.flatMap((block) => {
      const measured = measuredBy(block);
      return measured?.kind === 'burst' ? [measured] : [];
    }),
  );
  const all = [...own.map((each) => known.find(isSame(each)) ?? each), ...known, ...USUAL_BURSTS];
  return all.filter((each, i) => all.findIndex((other) => other.title === each.title) === i);
}

const isSame =
  (one: Timed) =>
  (other: Timed): boolean =>
    one.title === other.title && one.seconds === other.seconds;
