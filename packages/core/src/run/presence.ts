/** Rounds in which somebody is there: from the end bell of `from` on, up to but without that of `until`; null while he is still there. */
export interface Stay {
  readonly from: number;
  readonly until: number | null;
}

/** The stays of everybody who came late or left early, in the order of time. Whoever is not in it is there all the time. */
export type Presence = ReadonlyMap<string, readonly Stay[]>;

/**
 * The presence after somebody came or left in a round. Coming while there, or leaving while away, changes nothing.
 *
 * @param presence what was known before
 * @param move who, which way, and in which round, counted from 0
 * @returns a new presence; the one before stays as it is
 *
 * @example
 * afterMove(new Map(), { kind: 'leaves', fighterId: 'ines', round: 2 }).get('ines') // [{ from: 0, until: 2 }]
 */
export function afterMove(
  presence: Presence,
  {
    kind,
    fighterId,
    round,
  }: { readonly kind: 'comes' | 'leaves'; readonly fighterId: string; readonly round: number },
): Presence {
  const stays = presence.get(fighterId) ?? (kind === 'leaves' ? [{ from: 0, until: null }] : []);
  const last = stays.at(-1);
  const isThere = last !== undefined && last.until === null;
  if (isThere === (kind === 'comes')) return presence;
  const next =
    kind === 'comes' ? [...stays, { from: round, until: null }] : stays.with(-1, { ...last!, until: round });
  return new Map(presence).set(fighterId, next);
}

/**
 * Whether somebody is there for the end bell of a round.
 *
 * @param round counted from 0
 *
 * @example
 * isPresent(new Map([['ines', [{ from: 0, until: 2 }, { from: 4, until: null }]]]), 'ines', 1) // true
 */
export function isPresent(presence: Presence, fighterId: string, round: number): boolean {
  const stays = presence.get(fighterId);
  return !stays || stays.some(({ from, until }) => round >= from && (until === null || round < until));
}

/**
 * Whether somebody is there now: never moved, or came back last.
 *
 * @example
 * isHereNow(new Map([['ines', [{ from: 0, until: 2 }]]]), 'ines') // false
 */
export function isHereNow(presence: Presence, fighterId: string): boolean {
  const stays = presence.get(fighterId);
  return !stays || stays.at(-1)?.until === null;
}
