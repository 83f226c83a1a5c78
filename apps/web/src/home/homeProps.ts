import type { RunDeck } from '../floor/RunDeck.ts';
import type { FloorDesk } from '../floor/SilentDesk.ts';
import type { HomeSession } from './homeSession.ts';
import type { HomeKeeper } from './keptAtHome.ts';

/** What the views of a session at home are given. */
export interface HomeProps {
  readonly session: HomeSession;
  readonly deck: RunDeck<FloorDesk>;
  readonly keeper: HomeKeeper;
}
