import type { MoveBook } from '@eurhythm/core/moves';
import type { HallRunView } from '@eurhythm/contract';
import type { ControllerState } from '../../floor/run/RunController.ts';
import type { FollowingController } from '../../hall/FollowingController.ts';
import type { HallMember, MemberState } from '../../hall/HallMember.ts';

/** What every view of a joined device is drawn from. */
export interface HallProps {
  readonly view: HallRunView;
  readonly controller: FollowingController;
  readonly state: ControllerState;
  readonly book: MoveBook;
  readonly member: HallMember;
  readonly joined: MemberState;
}
