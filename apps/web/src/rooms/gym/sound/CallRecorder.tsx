import { Mic, Play, Square, Upload } from 'lucide-react';
import { useEffect, useState } from 'react';
import { LOUD_ROOM_DB, readWav, type CutOff } from '@eurhythm/core/sound';
import type { OwnCallView, VoiceView } from '@eurhythm/contract';
import { useShortcut } from '../../../ui/focus/useShortcut.ts';
import type { OpenOutput } from '../../../floor/output/useAudioOutput.ts';
import { Button, Key } from '../../../ui/buttons/Button.tsx';
import { NoMicrophone } from '../../../strikeInputs/microphone/microphone.ts';
import { startTake, type Take } from './recording.ts';
import { Waveform } from './Waveform.tsx';

interface CallRecorderProps {
  readonly call: VoiceView['calls'][number];
  readonly output: OpenOutput;
  readonly isSending: boolean;
  onSound(wav: Blob): void;
  onCentre(centre: number): void;
  onRemove(): void;
  onNext(): void;
}

/** Records one call, shows it, and lets the instant that lies on the beat be moved. */
export function CallRecorder({
  call,
  output,
  isSending,
  onSound,
  onCentre,
  onRemove,
  onNext,
}: CallRecorderProps) {
  const [take, setTake] = useState<Take | null>(null);
  const [message, setMessage] = useState('');
  // Moved by hand until another recording, or another centre of it, comes from the server.
  const [moved, setMoved] = useState<{ readonly from: number; readonly to: number } | null>(null);
  const kept = call.own?.centre ?? 0;
  const centre = moved?.from === kept ? moved.to : kept;
  const setCentre = (to: number): void => setMoved({ from: kept, to });
  useEffect(() => () => take?.stop(), [take]);
  const record = async (): Promise<void> => {
    if (take) {
      take.stop();
      return;
    }
    setMessage('');
    try {
      const begun = await startTake();
      setTake(begun);
      onSound(await begun.wav);
    } catch (error) {
      setMessage(
        error instanceof NoMicrophone ? error.message : 'The recording could not be read. Try again.',
      );
    }
    setTake(null);
  };
  const hear = (): void => {
    if (call.own) void output.hearClip(call.own.clip);
  };
  useShortcut('r', () => void record());
  useShortcut('h', hear);
  useShortcut('n', onNext);
  return (
    <div className="max-w-3xl">
      <p className="py-6 font-heading text-6xl leading-tight font-bold">{call.text}</p>
      <div className="flex flex-wrap items-center gap-3">
        <Button
          weight="main"
          className={take ? 'bg-caution!' : ''}
          disabled={isSending}
          onClick={() => void record()}
        >
          {take ? <Square size={18} aria-hidden /> : <Mic size={18} aria-hidden />}
          {take ? 'Stop' : call.own ? 'Record again' : 'Record'} <Key>R</Key>
        </Button>
        <label className="inline-flex min-h-11 cursor-pointer items-center gap-2 rounded-md border-2 border-ink bg-paper px-4 font-semibold focus-within:outline-3 hover:bg-hint">
          <Upload size={16} aria-hidden /> Take a WAV file
          <input
            type="file"
            accept=".wav,audio/wav"
            className="sr-only"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) onSound(file);
              e.target.value = '';
            }}
          />
        </label>
        {call.own && (
          <Button onClick={hear}>
            <Play size={16} aria-hidden /> Hear <Key>H</Key>
          </Button>
        )}
        <Button onClick={onNext}>
          Next call <Key>N</Key>
        </Button>
        {call.own && (
          <Button weight="bare" onClick={onRemove}>
            Leave it to the bundled voice
          </Button>
        )}
      </div>
      <p role="status" className="min-h-8 pt-2 font-semibold text-caution">
        {message}
      </p>
      {call.own ? (
        <Recorded
          key={call.own.clip.id}
          own={call.own}
          centre={centre}
          onMove={setCentre}
          onKeep={() => onCentre(centre)}
          isMoved={Math.abs(centre - call.own.centre) > 0.0005}
        />
      ) : (
        <p className="text-quiet">
          Say it as you call it on the floor, close to the microphone, once. It is trimmed and brought to the
          same loudness as the other calls by itself.
        </p>
      )}
    </div>
  );
}

const CUT_OFF: Readonly<Record<CutOff, string>> = {
  start: 'The recording begins within the call. Press Record, wait a moment, then speak.',
  end: 'The recording ends within the call. Wait a moment after speaking, then press Stop.',
};

interface RecordedProps {
  readonly own: OwnCallView;
  readonly centre: number;
  readonly isMoved: boolean;
  onMove(centre: number): void;
  onKeep(): void;
}

function Recorded({ own, centre, isMoved, onMove, onKeep }: RecordedProps) {
  const { seconds, overRoom, cutOff } = own;
  const clip = own.clip.id;
  const isLoud = overRoom !== null && overRoom < LOUD_ROOM_DB;
  const [samples, setSamples] = useState<Float32Array | null>(null);
  useEffect(() => {
    let isShown = true;
    void fetch(`/api/voice/clips/${clip}.wav`)
      .then((answer) => answer.arrayBuffer())
      .then((bytes) => {
        const read = readWav(new Uint8Array(bytes));
        if (isShown && read.ok) setSamples(read.sound.samples);
      });
    return () => {
      isShown = false;
    };
  }, [clip]);
  return (
    <>
      {samples && (
        <Waveform samples={samples} seconds={seconds} centre={centre} overRoom={overRoom} onCentre={onMove} />
      )}
      {isLoud && (
        <p role="status" className="pt-2 font-semibold text-caution">
          The room is loud: your voice stands {Math.max(0, Math.round(overRoom))} dB over it, the band in the
          picture shows how much that is; from {LOUD_ROOM_DB} on a call can be made out. Turn off what hums,
          come closer to the microphone, or record it again where it is quieter.
        </p>
      )}
      {cutOff && (
        <p role="status" className="pt-2 font-semibold text-caution">
          {CUT_OFF[cutOff]}
        </p>
      )}
      <div className="flex min-h-12 items-center gap-4 pt-1">
        <p className="text-quiet">
          {Math.round(centre * 1000)} ms into the call lies on the beat: where its first vowel begins. Drag
          the line, or use the arrow keys, if it is not right.
        </p>
        {isMoved && (
          <Button weight="main" onClick={onKeep}>
            Keep it there
          </Button>
        )}
      </div>
    </>
  );
}
