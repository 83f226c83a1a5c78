import { useState } from 'react';
import { readOutputSettings } from '../../../floor/output/outputSettings.ts';
import { keepLearnt } from '../../../strikeInputs/inputSettings.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { chirpLatency, type ChirpLatency } from './chirpLatency.ts';

const ms = (seconds: number): string => `${Math.round(1000 * seconds)} ms`;

/** From the loudspeaker to the microphone: chirps are played and heard again. */
export function Latency({ device, onLearnt }: { device: string | null; onLearnt: () => void }) {
  const [found, setFound] = useState<ChirpLatency | null>(null);
  const [message, setMessage] = useState('');
  const [isRunning, setRunning] = useState(false);
  const measure = async (): Promise<void> => {
    setRunning(true);
    setMessage('Four chirps; keep quiet for five seconds.');
    try {
      const way = await chirpLatency(readOutputSettings().latency);
      setFound(way);
      setMessage(
        way
          ? ''
          : 'No chirp came back. Turn the loudspeaker up, lay the microphone nearer, and see that it is the one that is open.',
      );
      if (way && device !== null) {
        keepLearnt(device, { latency: way.microphone });
        onLearnt();
      }
    } catch (error) {
      setMessage((error as Error).message);
    }
    setRunning(false);
  };
  return (
    <div className="space-y-2 py-3">
      <p>
        The device plays chirps and hears them come back. What the microphone itself is late is then taken off
        every strike, so that late and early are the fighter’s own.
      </p>
      <Button disabled={isRunning || device === null} onClick={() => void measure()}>
        Play the chirps
      </Button>
      <p role="status" className="min-h-6 text-quiet">
        {message}
        {found &&
          `${ms(found.whole)} from loudspeaker to microphone, within ${ms(found.spread)}, from ${found.heard} chirps: ${ms(found.loudspeaker)} the loudspeaker as the browser knows it, ${ms(found.microphone)} the microphone. Kept.`}
      </p>
    </div>
  );
}
