import type { SaveAttemptDto } from '@eurhythm/contract';

/** A trial of a take, as it was sent. */
export interface KeptTrial {
  readonly id: string;
  readonly attempt: SaveAttemptDto;
}

/** What is to be sent where a take was put right, or was told late, after its trials were kept. */
export interface KeptAnew {
  /** All that stands now; what stands for the same is put in its place. */
  readonly all: readonly KeptTrial[];
  readonly changed: readonly KeptTrial[];
  readonly gone: readonly KeptTrial[];
}

/** Somebody counted instead of what was heard. */
const isCounted = ({ attempt }: KeptTrial): boolean => attempt.measured === 'by-hand';

/** The trials of a take as it stands now, under the ids of those that were kept of it; what somebody counted by hand stands. */
export function keptAnew(
  before: readonly KeptTrial[],
  now: readonly SaveAttemptDto[],
  newId: () => string,
): KeptAnew {
  const counted = before.filter(isCounted);
  const isTheirs = ({ fighterId }: SaveAttemptDto): boolean =>
    counted.some(({ attempt }) => attempt.fighterId === fighterId);
  const left = before.filter((kept) => !isCounted(kept));
  const changed: KeptTrial[] = [];
  const all: KeptTrial[] = [...counted];
  for (const attempt of now.filter((each) => !isTheirs(each))) {
    const same = left.find((kept) => sameTest(kept.attempt, attempt));
    if (same) left.splice(left.indexOf(same), 1);
    const kept = { id: same?.id ?? newId(), attempt: { ...attempt, at: same?.attempt.at ?? attempt.at } };
    all.push(kept);
    if (!same || JSON.stringify(same) !== JSON.stringify(kept)) changed.push(kept);
  }
  return { all, changed, gone: left };
}

const sameTest = (one: SaveAttemptDto, other: SaveAttemptDto): boolean =>
  (['fighterId', 'kind', 'title', 'line', 'lead', 'seconds'] as const).every(
    (key) => one[key] === other[key],
  );
