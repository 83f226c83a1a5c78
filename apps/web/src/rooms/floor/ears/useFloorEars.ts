import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import type { MoveBook } from '@eurhythm/core/moves';
import type {
  LandedDto,
  RunView,
  SaveAttemptDto,
  StationHeardDto,
  StationKnownView,
} from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { KeptTakes } from '../../../floor/listening/KeptTakes.ts';
import { Listening, type Take } from '../../../floor/listening/Listening.ts';
import { landedOf, type Landed } from '../../../floor/listening/landed.ts';
import { testToCount, trialsOfTake, type RoundTests } from '../../../floor/listening/trials.ts';
import type { RunController } from '../../../floor/RunController.ts';
import type { HostDevice } from '../../../hall/HostDevice.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useStable } from '../../../ui/useStable.ts';
import { OWN_EAR, useOwnEar, type OwnEar } from './useOwnEar.ts';
import { useRoundWatch } from './useRoundWatch.ts';
import { burstsOf, callsOf } from './testsOfRound.ts';
import { workersIn } from './workers.ts';

/** What was struck before the end is known by then, also from stations. */
const KNOWN_MS = 1200;

export interface FloorEars {
  readonly own: OwnEar;
  readonly listening: Listening;
  /** What landed in the round that was told last: by whom, and as which listener heard it. */
  readonly landed: readonly Landed[];
  /** As everybody is shown it; of one who is heard twice it is what the better ear heard. */
  readonly shown: readonly LandedDto[];
  hear(heard: StationHeardDto): StationKnownView;
  /** It was somebody else, or it was they after all. */
  drop(take: Take, isDropped: boolean): void;
  /** What somebody counted of it by hand; null where nobody did. */
  countOf(landed: Landed): number | null;
  /** Whether there was anything to count in its round, of which a number could be kept. */
  canCount(landed: Landed): boolean;
  /** The number that somebody counted stands in place of what was heard. */
  count(landed: Landed, said: number): void;
}

interface FloorEarsProps {
  readonly run: RunView;
  readonly controller: RunController;
  readonly hall: HostDevice;
  readonly book: MoveBook;
}

interface Told {
  readonly round: number;
  readonly takes: readonly Take[];
  readonly landed: readonly Landed[];
  readonly items: readonly LandedDto[];
}

/** All that listens to a run, what it hears of each round against what was due, and what is kept of it when a round is over. */
export function useFloorEars({ run, controller, hall, book }: FloorEarsProps): FloorEars {
  const [listening] = useState(() => new Listening());
  const { round } = useSyncExternalStore(controller.subscribe, controller.snapshot);
  /** How far each round was gone through. */
  const reached = useRef(new Map<number, number>());
  /** Rounds that are over; what is told of them from then on puts right what is kept. */
  const over = useRef(new Set<number>());
  const [kept] = useState(
    () =>
      new KeptTakes({
        newId,
        put: ({ id, attempt }) =>
          void sync.put(putRequest(SUBJECTS.trial, `attempts/${id}`, attempt, { page: `/floor/${run.id}` })),
        takeOut: (id) => void sync.put(deleteRequest(SUBJECTS.trial, `attempts/${id}`)),
      }),
  );
  const [told, setTold] = useState<Told>({ round: -1, takes: [], landed: [], items: [] });

  const workersOf = (of: number) => workersIn(run, of, controller.rounds[of]!, book);
  const place = {
    position: () => (controller.state.phase === 'running' ? controller.position : null),
    round,
    compiled: controller.rounds[round]!,
    due: (fighterIds: readonly string[]) => {
      const { dueOf, workerAt } = workersOf(round)(fighterIds);
      return fighterIds
        .flatMap((id) => dueOf(id).filter(({ at }) => workerAt(at) === id))
        .sort((a, b) => a.at - b.at);
    },
  };
  const known = (of: number): number => listening.knownOf(OWN_EAR, of);
  const own = useOwnEar(
    place,
    null,
    (of, strike) => void listening.hears(OWN_EAR, of, known(of), [strike]),
    ({ source, device, latency, detector, leastStrength }, { told: what, from, fighterIds }) => {
      listening.comes({
        id: OWN_EAR,
        name: 'this device',
        fighterIds,
        source,
        device,
        latency,
        detector,
        leastStrength,
        told: what,
      });
      listening.hears(OWN_EAR, round, known(round), [], from);
    },
    () => listening.leaves(OWN_EAR),
  );

  const landedIn = (of: number): Landed[] => {
    const compiled = controller.rounds[of];
    if (!compiled) return [];
    const until =
      of === controller.state.round
        ? Math.max(reached.current.get(of) ?? 0, controller.position - 0.3)
        : (reached.current.get(of) ?? 0);
    return listening.of(of).flatMap((take) => landedOf(take, compiled, until, workersOf(of)));
  };

  const testsOf = (of: number): RoundTests => {
    const until = reached.current.get(of) ?? 0;
    return { bursts: burstsOf(run, of, until), calls: callsOf(run, of, controller.rounds[of]!, until) };
  };
  const trialsOf = (take: Take): SaveAttemptDto[] => {
    const { round: of, listener } = take;
    const theirs = bestEars(landedIn(of)).filter((landed) => landed.take.listener.id === listener.id);
    const where = { lead: run.lead, runId: run.id, at: new Date().toISOString() };
    const workers = workersOf(of)(listener.fighterIds);
    return trialsOfTake(
      take,
      theirs,
      controller.rounds[of]!,
      testsOf(of),
      workers,
      where,
      kept.countsOf(take),
    );
  };
  const keep = useStable((): void => {
    for (const of of over.current) kept.keep(of, listening.of(of), trialsOf);
  });
  /** Works out what landed, and tells everybody. */
  const tell = useStable((of: number): void => {
    const landed = landedIn(of);
    const items = bestEars(landed).map((each) => shown(each, of));
    setTold({ round: of, takes: listening.of(of), landed, items });
    for (const each of items) hall.landed(each);
  });
  useRoundWatch(run, controller, {
    reached: (of, position) => reached.current.set(of, position),
    again: (of) => {
      over.current.delete(of);
      listening.again(of);
    },
    rests: (of) => {
      // Some rounds begin with a rest.
      if (listening.of(of).some(({ onsets }) => onsets.length > 0)) listening.settle(of);
      setTimeout(() => tell(of), KNOWN_MS);
    },
    ends: (of) => {
      listening.settle(of);
      setTimeout(() => {
        // It was begun anew before this was known.
        if (of === controller.state.round && controller.state.phase !== 'over') return;
        over.current.add(of);
        keep();
        tell(of);
      }, KNOWN_MS);
    },
  });
  // What comes late, or is dropped, is told anew.
  const tellAgain = useStable(() => {
    keep();
    // What comes of the round that runs now changes nothing of that one.
    const takes = listening.of(told.round);
    const isSame = takes.length === told.takes.length && takes.every((take, i) => take === told.takes[i]);
    if (told.round >= 0 && !isSame) tell(told.round);
  });
  useEffect(() => listening.subscribe(tellAgain), [listening, tellAgain]);

  return {
    own,
    listening,
    landed: told.landed,
    shown: told.items,
    hear: ({ station, name, round: of, since, strikes, from, isGone, ...ear }) => {
      if (isGone) listening.leaves(station);
      else {
        const { source, device, latency, fighterIds, told } = ear;
        const { detector, leastStrength } = ear;
        listening.comes({
          id: station,
          name: name === '' ? 'a station' : name,
          fighterIds,
          source,
          device,
          latency,
          detector: detector ?? null,
          leastStrength: leastStrength ?? null,
          told,
        });
      }
      return { known: listening.hears(station, of, since, strikes, from) };
    },
    drop: (take, isDropped) => listening.drop(take.listener.id, take.round, isDropped),
    countOf: ({ take, fighterId }) => kept.countsOf(take).get(fighterId) ?? null,
    canCount: (landed) => {
      const { listener, round: of } = landed.take;
      return (
        listener.source !== null && testToCount(landed, controller.rounds[of]!, testsOf(of), run) !== null
      );
    },
    count: ({ take, fighterId }, said) => {
      kept.count(take, fighterId, said);
      keep();
      tell(take.round);
    },
  };
}

/** Of one fighter who is heard by two, what the better ear heard. */
function bestEars(all: readonly Landed[]): Landed[] {
  const counts = ({ heard, take }: Landed): number => (take.isDropped ? -1 : heard.match.hits.length);
  return all.filter(
    (one) =>
      !one.take.isDropped &&
      all.every(
        (other) =>
          other === one ||
          other.fighterId !== one.fighterId ||
          counts(other) < counts(one) ||
          (counts(other) === counts(one) && all.indexOf(other) > all.indexOf(one)),
      ),
  );
}

function shown({ fighterId, heard }: Landed, round: number): LandedDto {
  const { hits, misses, extras, bias } = heard.match;
  return {
    round,
    fighterId,
    hits: hits.length,
    misses: misses.length,
    extras: extras.length,
    bias: Math.max(-5, Math.min(5, bias)),
    combos: heard.combos.map(({ combo, lead, strokes }) => ({ combo, lead, strokes: [...strokes] })),
  };
}
