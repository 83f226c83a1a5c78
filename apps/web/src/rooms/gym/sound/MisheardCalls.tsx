import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import type { GymView } from '@eurhythm/contract';
import type { OpenOutput } from '../../../floor/output/useAudioOutput.ts';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { clipOf } from './clipOf.ts';

/** Milliseconds between two calls that are compared. */
const BETWEEN = 250;

/** Calls that a listener takes for others when a hall is loud. */
export function MisheardCalls({ gym, output }: { gym: GymView; output: OpenOutput }) {
  const { data, error } = useQuery(queries.misheard());
  const hearBoth = async (texts: readonly string[]): Promise<void> => {
    try {
      const { voice, voiceRate } = gym.school;
      const clips = await Promise.all(texts.map((text) => clipOf(text, voice, voiceRate)));
      let after = 0;
      for (const clip of clips) {
        setTimeout(() => void output.hearClip(clip), after);
        after += 1000 * clip.seconds + BETWEEN;
      }
    } catch (failed) {
      toast.error(failed instanceof Error ? failed.message : String(failed));
    }
  };
  const isDone = data?.isDone ?? false;
  return (
    <Part
      title="Mistaken for each other in a loud hall"
      aside={isDone ? `${data!.misheard.length} of ${data!.calls} calls` : ''}
    >
      <p className="pt-2 text-sm text-quiet">
        A speech recogniser listens to everything that your gym calls, twice each, in noise that is 5 dB
        softer than the voice.
      </p>
      {error && (
        <p role="alert" className="py-3 font-semibold text-caution">
          {error.message}
        </p>
      )}
      {!isDone && !error && (
        <p className="flex flex-wrap items-center gap-3 py-3 text-quiet" role="status">
          Listening{data && data.listened > 0 ? ` to call ${data.listened} of ${data.of}` : ''}…
          <progress className="h-2 w-40 accent-rear" value={data?.listened ?? 0} max={data?.of ?? 1} />
        </p>
      )}
      {isDone && data!.misheard.length === 0 && <p className="py-3">Every call is understood.</p>}
      <ul className="max-h-80 overflow-y-auto" aria-label="Calls that are misheard" tabIndex={0}>
        {data?.misheard.map(({ said, heard, times, of, instead }) => (
          <li
            key={said}
            className="flex min-h-11 items-center justify-between gap-3 border-b border-rule py-1"
          >
            <span>
              <strong>{said}</strong> {heard === '' ? 'was not made out' : <>was taken for “{heard}”</>},{' '}
              {times} of {of} times
              {instead !== null && (
                <span className="block text-sm text-quiet">“{instead}” is understood</span>
              )}
            </span>
            {heard !== '' && (
              <Button weight="bare" onClick={() => void hearBoth([said, heard])}>
                Hear both
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Part>
  );
}
