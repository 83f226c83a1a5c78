import type { MoveBook } from '@eurhythm/core/moves';
import type { HallRunView } from '@eurhythm/contract';
import type { DeckState } from '../../floor/RunDeck.ts';
import type { FollowingDeck } from '../../hall/FollowingDeck.ts';
import type { HallMember, MemberState } from '../../hall/HallMember.ts';

/** What every view of a joined device is drawn from. */
export interface HallProps {
  readonly view: HallRunView;
  readonly deck: FollowingDeck;
  readonly state: DeckState;
  readonly book: MoveBook;
  readonly member: HallMember;
  readonly joined: MemberState;
}
