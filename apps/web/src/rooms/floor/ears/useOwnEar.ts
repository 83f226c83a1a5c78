import { useEffect, useRef, useState } from 'react';
import { simulateRound } from '@eurhythm/core/simulation';
import type { DueInRound } from '@eurhythm/core/strikes';
import { seededRandom } from '@eurhythm/core/units';
import type { Ear, EarKind, EarStrike } from '../../../ears/Ear.ts';
import { NOBODY_IN_ROUND } from '../../../ears/nobody.ts';
import { openEar } from '../../../ears/openEar.ts';
import { Passage } from '../../../floor/listening/Passage.ts';
import type { ToldOnset } from '../../../floor/listening/Listening.ts';
import type { RoundToPlay } from '@eurhythm/core/run';
import { useStable } from '../../../ui/useStable.ts';

/** This device among those that listen. */
export const OWN_EAR = 'here';

const LOOK_MS = 250;

/** What plays the round and where it stands. */
export interface EarPlace {
  /** Null while it stands still. */
  position(): number | null;
  readonly round: number;
  readonly compiled: RoundToPlay;
  /** What is due of those whose strikes are heard. */
  due(fighterIds: readonly string[]): readonly DueInRound[];
}

export interface OwnEarWish {
  readonly kind: EarKind | 'nothing';
  readonly fighterIds: readonly string[];
}

export interface OwnEar {
  readonly wish: OwnEarWish;
  readonly isOpen: boolean;
  /** Why it does not hear; empty while it does. */
  readonly failure: string;
  change(wish: OwnEarWish): void;
}

/** Listens to rounds with this device itself, for as long as the page shows the run. */
export function useOwnEar(
  place: EarPlace,
  code: string | null,
  onHeard: (round: number, strike: ToldOnset) => void,
  onComes: (ear: Ear, comes: { told: string; from: number; fighterIds: readonly string[] }) => void,
  onLeaves: () => void,
): OwnEar {
  const [wish, setWish] = useState<OwnEarWish>({ kind: 'nothing', fighterIds: [] });
  const [failure, setFailure] = useState('');
  const [isOpen, setOpen] = useState(false);
  const { kind } = wish;
  const position = useStable(() => place.position());
  const [passage] = useState(() => new Passage());
  const look = useStable(() => passage.stands(place.round, position(), performance.now() / 1000));
  useEffect(() => {
    if (!isOpen) return;
    look();
    const timer = setInterval(look, LOOK_MS);
    return () => clearInterval(timer);
  }, [isOpen, look]);
  const hear = useStable(({ at, ...strike }: EarStrike): void => {
    look();
    const struck = passage.at(at);
    if (struck) onHeard(struck.round, { ...strike, at: struck.at });
  });
  const impactsOf = useStable(() => {
    const due = place.due(wish.fighterIds).map(({ at }) => at);
    return simulateRound(due, NOBODY_IN_ROUND, seededRandom(place.round + 1));
  });
  const comes = useStable((opened: Ear, told: string, from: number) =>
    onComes(opened, { told, from, fighterIds: wish.fighterIds }),
  );
  const leaves = useStable(onLeaves);
  const ear = useRef<Ear | null>(null);
  // A virtual fighter learns each round anew.
  const tried = kind === 'pretend' ? place.compiled : null;
  useEffect(() => {
    if (kind === 'nothing') return;
    let isGone = false;
    const onTold = (told: string): void => {
      if (ear.current) comes(ear.current, told, 0);
    };
    openEar(
      { kind, keepsSound: false, code, pretends: { impacts: impactsOf(), position } },
      { onStrike: hear, onEnd: onTold, onTold },
    ).then(
      (opened) => {
        if (isGone) return opened.close();
        ear.current = opened;
        setFailure('');
        setOpen(true);
        comes(opened, '', Math.max(0, position() ?? 0));
      },
      (error: Error) => !isGone && setFailure(error.message),
    );
    return () => {
      isGone = true;
      ear.current?.close();
      ear.current = null;
      setOpen(false);
      leaves();
    };
  }, [kind, tried, code, hear, position, comes, leaves, impactsOf]);
  // Other people: the same ear, and what it hears from now on is theirs.
  const who = wish.fighterIds.join();
  useEffect(() => {
    if (ear.current) comes(ear.current, '', 0);
  }, [who, comes, place.round]);
  return {
    wish,
    isOpen,
    failure,
    change: (next) => {
      setFailure('');
      setWish(next);
    },
  };
}
