import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { PACE_FACTORS } from '@eurhythm/core/body';
import { readWav } from '@eurhythm/core/sound';
import { evaluateTrial, matchOfTrial, summariseTrials, withoutLatency } from '@eurhythm/core/speed';
import { sureOnsets, type Onset } from '@eurhythm/core/strikes';
import { ofSide } from '@eurhythm/core/speed';
import type { AttemptView } from '@eurhythm/contract';
import { send } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Sheet } from '../../../ui/panels/Panel.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { landedText } from '../../floor/listening/landedText.ts';
import { comboGaps } from '../pictures/comboGaps.ts';
import { trialSpan } from './trialSpan.ts';
import { TrialPicture } from './TrialPicture.tsx';
import { MEASURED_WORDS, trialText } from './trialWords.ts';
import { usePlayback, type Played } from './usePlayback.ts';

/** One trial: how it was measured, what it came to, its strikes against the line, and all of it to be heard again. */
export function TrialSheet({ attempt, onClose }: { attempt: AttemptView; onClose: () => void }) {
  const client = useQueryClient();
  const dates = useDates();
  const playback = usePlayback();
  const [sound, setSound] = useState<Played['sound']>(null);
  const { id, heard, recorded } = attempt;
  useEffect(() => {
    if (recorded === null) return;
    let isGone = false;
    fetchSound(id).then(
      (fetched) => !isGone && setSound(fetched),
      (error: Error) => !isGone && toast.error(error.message),
    );
    return () => {
      isGone = true;
    };
  }, [id, recorded]);
  const onsets = useMemo(
    (): readonly Onset[] => (heard ? withoutLatency(heard).onsets : attempt.instants.map((at) => ({ at }))),
    [heard, attempt],
  );
  const due = attempt.kind === 'reaction' ? [] : (heard?.due ?? []);
  const { from, to } = trialSpan(
    attempt,
    onsets.map(({ at }) => at),
    heard?.due ?? [],
  );
  const play = (): void =>
    playback.play(
      {
        // Sound that was kept with a trial of before is as late as the device was.
        sound: sound && { ...sound, from: sound.from - (heard?.latency ?? 0) },
        onsets: sureOnsets(onsets).map(({ at }) => at),
        due,
        seconds: to,
      },
      from,
    );
  const again = async (): Promise<void> => {
    try {
      const now = await send<AttemptView>('POST', `attempts/${id}/again`, {});
      await client.invalidateQueries({ queryKey: ['fighters', attempt.fighterId] });
      toast(
        now.value === attempt.value
          ? 'Worked out again: it is the same.'
          : `Worked out again: ${trialText(now)}.`,
      );
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  const forget = async (): Promise<void> => {
    try {
      await send('DELETE', `attempts/${id}/recording`);
      setSound(null);
      await client.invalidateQueries({ queryKey: ['fighters', attempt.fighterId] });
      toast('The sound is taken out; the trial stays.');
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  return (
    <Sheet
      open
      title={`${ofSide(attempt.title, attempt.lead, attempt.sides)}: ${trialText(attempt)}`}
      onClose={onClose}
    >
      <p className="text-quiet">
        {dates.tell(attempt.at, 'short time')} · {MEASURED_WORDS[attempt.measured]}
        {heard && ` · ${heard.device}`}
        {heard?.detector && ` · ${heard.detector}`}
        {attempt.first !== null && ` · first reported as ${attempt.first}`}
      </p>
      <TrialPicture onsets={onsets} due={heard?.due ?? []} from={from} to={to} now={playback.at} />
      {heard && <Numbers attempt={attempt} />}
      <div className="mt-4 flex flex-wrap gap-3">
        <Button
          weight="main"
          disabled={onsets.length === 0}
          onClick={playback.at === null ? play : playback.stop}
        >
          {playback.at !== null
            ? 'Stop'
            : sound
              ? 'Play its sound'
              : due.length > 0
                ? 'Play against the line'
                : 'Play as ticks'}
        </Button>
        {heard && attempt.measured !== 'by-hand' && (
          <Button onClick={() => void again()}>Work it out again</Button>
        )}
        {recorded !== null && (
          <Button weight="bare" onClick={() => void forget()}>
            Take the sound out
          </Button>
        )}
      </div>
    </Sheet>
  );
}

async function fetchSound(id: string): Promise<Played['sound']> {
  const answer = await fetch(`/api/attempts/${id}/recording.wav`);
  if (!answer.ok) throw new Error('The sound of this trial could not be fetched.');
  const read = readWav(new Uint8Array(await answer.arrayBuffer()));
  if (!read.ok) throw new Error(read.message);
  const { sampleRate, samples } = read.sound;
  return {
    sampleRate,
    samples: new Float32Array(samples),
    from: Number(answer.headers.get('x-recorded-from') ?? 0),
  };
}

/** What a trial of a combo or of answers is made of. */
function Numbers({ attempt }: { attempt: AttemptView }) {
  const { data: book } = useQuery(queries.book());
  const { data: tests } = useQuery(queries.tests());
  const { heard, kind, lead } = attempt;
  if (!heard || kind === 'burst') return null;
  const { times } = evaluateTrial(attempt, heard);
  const summed = summariseTrials(times, 'lower');
  const summary =
    summed === null
      ? 'No whole time through was heard.'
      : `${kind === 'reaction' ? 'Answers' : 'Whole times through'}: ${summed.trials}; best ${summed.best.toFixed(2)} s, median ${summed.median.toFixed(2)} s.`;
  if (kind === 'reaction') return <p className="mt-3">{summary}</p>;
  const line = tests?.find(({ id }) => id === attempt.testId)?.line;
  const { hits, misses, extras, bias } = matchOfTrial(heard);
  const { gaps, costliest } = comboGaps([heard], { line, lead, book, factor: PACE_FACTORS.club });
  return (
    <div className="mt-3">
      <p>
        {summary} {landedText({ hits: hits.length, misses: misses.length, extras: extras.length, bias })}.
      </p>
      <table className="tabular mt-2 w-full text-left">
        <thead className="text-sm text-quiet">
          <tr>
            <th scope="col">Gap</th>
            <th scope="col">usual</th>
            <th scope="col">as the line</th>
            <th scope="col">least of a body</th>
          </tr>
        </thead>
        <tbody>
          {gaps.map(({ from, name, seconds, line: wanted, least }, i) => (
            <tr key={from} className={i === costliest ? 'font-bold text-caution' : ''}>
              <th scope="row" className="font-normal">
                {name}
                {i === costliest && ', costs most'}
              </th>
              <td>{seconds.toFixed(2)} s</td>
              <td>{wanted.toFixed(2)} s</td>
              <td>{least === null ? '–' : `${least.toFixed(2)} s`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
