import type { RunController } from '../floor/RunController.ts';
import type { FloorOutput } from '../floor/SilentOutput.ts';
import type { HomeSession } from './homeSession.ts';
import type { HomeKeeper } from './keptAtHome.ts';

/** What the views of a session at home are given. */
export interface HomeProps {
  readonly session: HomeSession;
  readonly controller: RunController<FloorOutput>;
  readonly keeper: HomeKeeper;
}
