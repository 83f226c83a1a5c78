import type { HostDevice } from '../../hall/HostDevice.ts';
import { deskId } from '../../hall/useHostDevice.ts';
import { Button, ButtonLink } from '../../ui/buttons/Button.tsx';
import { Heading } from '../../ui/panels/Heading.tsx';

/** Two devices that play one class would be heard twice. */
export function PlayedElsewhere({ hall }: { hall: HostDevice }) {
  return (
    <main className="mat flex h-screen flex-col items-center justify-center gap-6 p-6 text-center">
      <Heading className="board text-5xl phone:text-3xl">This class is played elsewhere</Heading>
      <p className="text-2xl phone:text-lg">
        Another tab or another device plays it and takes the presses. If you take it over, that one falls
        silent.
      </p>
      <Button
        weight="main"
        className="min-h-[64px] px-8 text-2xl"
        onClick={() => void hall.takeOver(deskId()).then(() => window.location.reload())}
      >
        Play it here
      </Button>
      <ButtonLink weight="bare" to="/floor">
        Leave the Floor
      </ButtonLink>
    </main>
  );
}

interface FloorNoteProps {
  readonly title: string;
  /** How much of it is there, 0 to 1. */
  readonly share?: number;
  readonly starts?: boolean;
  readonly isFailure?: boolean;
}

/** What is waited for, or why nothing can be played. */
export function FloorNote({ title, share, starts = false, isFailure = false }: FloorNoteProps) {
  return (
    <main className="mat flex h-screen flex-col items-center justify-center gap-6 p-6 text-center">
      <Heading className="board text-5xl phone:text-3xl">
        <span role="status">{title}</span>
      </Heading>
      {starts && (
        <p role="status" className="text-2xl">
          Starts when the voice is there. Space takes it back.
        </p>
      )}
      {share !== undefined && (
        <div
          className="h-5 w-96 max-w-full bg-paper"
          role="progressbar"
          aria-label={title}
          aria-valuenow={Math.round(share * 100)}
          aria-valuemin={0}
          aria-valuemax={100}
        >
          <div className="h-full bg-tape" style={{ width: `${share * 100}%` }} />
        </div>
      )}
      {isFailure && (
        <Button weight="main" onClick={() => window.location.reload()}>
          Try again
        </Button>
      )}
      <ButtonLink weight="bare" to="/floor">
        Leave the Floor
      </ButtonLink>
    </main>
  );
}
