import type { PlacedScene, SceneLane } from '@eurhythm/core/rounds';

interface ScenePictureProps {
  /** What stands large above it already. */
  readonly large: string;
  readonly scene: PlacedScene | null;
  readonly at: number;
}

/** What is done where there is no line on a beat: the exercise, how, how far everybody is, and what the coach says about it. */
export function ScenePicture({ scene, at, large }: ScenePictureProps) {
  if (!scene) return null;
  const { what, how = [], count, lanes = [], notes = '' } = scene;
  const isSaid = what.toLowerCase() === large.toLowerCase();
  if (isSaid && how.length === 0 && notes === '' && lanes.length === 0) return null;
  return (
    <div className="flex max-h-[18rem] shrink-0 items-center gap-10 px-10 py-4 phone:flex-col phone:items-stretch phone:gap-3 phone:px-4 flat:hidden">
      <section aria-label="What is done now" className="min-w-0 flex-1">
        {!isSaid && <p className="board text-[4.5rem] leading-none break-words phone:text-4xl">{what}</p>}
        {how.length > 0 && (
          <p className="mt-3 text-[2.1rem] leading-tight phone:mt-1 phone:text-lg">{how.join(' · ')}</p>
        )}
        {notes !== '' && (
          <p className="mt-3 line-clamp-4 text-[1.75rem] leading-tight text-quiet phone:text-base">{notes}</p>
        )}
        {count && <Counting n={count.n} of={count.of} />}
      </section>
      {lanes.length > 0 && (
        <ul aria-label="Groups" className="min-w-0 flex-1">
          {lanes.map((lane) => (
            <Lane key={lane.group} lane={lane} />
          ))}
        </ul>
      )}
      {scene.until !== undefined && lanes.length === 0 && <Draining scene={scene} at={at} />}
    </div>
  );
}

/** Repetitions as notches in the tape, those that are done laid over. */
function Counting({ n, of }: { n: number; of: number }) {
  return (
    <div className="mt-4 flex items-center gap-4 phone:mt-2">
      <div
        className="h-6 flex-1 border-2 border-tape"
        role="progressbar"
        aria-label="Counted"
        aria-valuenow={n}
        aria-valuemin={0}
        aria-valuemax={of}
      >
        <div className="h-full bg-tape" style={{ width: `${(100 * Math.min(n, of)) / of}%` }} />
      </div>
      <span className="board shrink-0 text-[2.2rem] leading-none">of {of}</span>
    </div>
  );
}

function Lane({ lane: { group, what, count, isDone } }: { lane: SceneLane }) {
  return (
    <li className="flex items-baseline gap-4 border-b border-rule py-1.5 text-[1.9rem] leading-tight phone:text-base">
      <strong className="min-w-0 shrink-0">{group}</strong>
      <span className="min-w-0 flex-1 truncate text-quiet">{what}</span>
      {count && (
        <span className={`board shrink-0 text-[2.4rem] leading-none ${isDone ? 'text-fine' : ''}`}>
          {isDone ? 'done' : `${count.n} of ${count.of}`}
        </span>
      )}
    </li>
  );
}

/** What is held or breathed, as a disc that empties toward its end. */
function Draining({ scene, at }: { scene: PlacedScene; at: number }) {
  const whole = Math.max(0.1, scene.until! - scene.at);
  const left = Math.min(1, Math.max(0, (scene.until! - at) / whole));
  return (
    <svg viewBox="-50 -50 100 100" className="h-56 w-56 shrink-0 phone:hidden" aria-hidden="true">
      <circle r="46" className="fill-none stroke-rule" strokeWidth="4" />
      <circle r={44 * Math.sqrt(left)} className="fill-tape" />
    </svg>
  );
}
