import { useMemo, useSyncExternalStore } from 'react';
import { useParams } from 'react-router';
import { moveBook } from '@eurhythm/core/moves';
import { HALL_VIEWS, type HallRunView, type HallViewName } from '@eurhythm/contract';
import type { FollowingController } from '../../hall/FollowingController.ts';
import type { HallMember, MemberState } from '../../hall/HallMember.ts';
import { deviceName } from '../../hall/deviceName.ts';
import { useMember } from '../../hall/useMember.ts';
import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { HallNote } from './HallNote.tsx';
import { HolderView } from './HolderView.tsx';
import { RemoteView } from './RemoteView.tsx';
import { StationView } from './StationView.tsx';
import { WallView } from './WallView.tsx';

const VIEWS = { wall: WallView, holder: HolderView, remote: RemoteView, station: StationView } as const;

/** A device that has joined a class. */
export function HallRoom() {
  const { code = '', view = 'wall' } = useParams();
  const known = HALL_VIEWS.find((each) => each === view);
  if (!known) return <HallNote title="There is no such view" />;
  return <Joined key={`${code}/${known}`} code={code} name={deviceName()} shown={known} />;
}

function Joined({ code, name, shown }: { code: string; name: string; shown: HallViewName }) {
  const [joined, member] = useMember(code, shown, name);
  const { kind, message, view, controller } = joined;
  if (kind === 'refused')
    return (
      <HallNote title={message}>
        <ButtonLink to="/join" className="min-h-[64px] text-xl">
          Join with another code
        </ButtonLink>
      </HallNote>
    );
  if (kind === 'joining' || !view || !controller) return <HallNote title="Joining the class" />;
  return <Shown joined={joined} member={member} view={view} controller={controller} shown={shown} />;
}

interface ShownProps {
  readonly joined: MemberState;
  readonly member: HallMember;
  readonly view: HallRunView;
  readonly controller: FollowingController;
  readonly shown: HallViewName;
}

function Shown({ joined, member, view, controller, shown }: ShownProps) {
  const state = useSyncExternalStore(controller.subscribe, controller.snapshot);
  const { items, numbers, sides } = view.plan.book;
  const book = useMemo(() => moveBook(items, numbers, sides), [items, numbers, sides]);
  if (state.phase === 'failed') return <HallNote title={state.failure} />;
  if (state.phase === 'loading') return <HallNote title="Joining the class" />;
  if (state.phase === 'over' && shown !== 'remote') return <HallNote title="That was the session" />;
  const View = VIEWS[shown];
  return (
    <>
      {!joined.isConnected && (
        <p
          role="status"
          className="fixed inset-x-0 top-0 z-10 bg-tape py-1 text-center font-semibold text-on-tape"
        >
          The server does not answer. This goes on by itself, and comes back by itself.
        </p>
      )}
      <View view={view} controller={controller} state={state} book={book} member={member} joined={joined} />
    </>
  );
}
