import type { RunController } from '../floor/run/RunController.ts';
import type { FloorOutput } from '../floor/output/SilentOutput.ts';
import type { HomeSession } from './homeSession.ts';
import type { HomeKeeper } from './keptAtHome.ts';

/** What the views of a session at home are given. */
export interface HomeProps {
  readonly session: HomeSession;
  readonly controller: RunController<FloorOutput>;
  readonly keeper: HomeKeeper;
}
