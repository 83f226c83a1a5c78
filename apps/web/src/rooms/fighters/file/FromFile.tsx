import { howMany } from '@eurhythm/core/units';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState, type DragEvent } from 'react';
import { toast } from 'sonner';
import type { AttemptView, SaveAttemptDto } from '@eurhythm/contract';
import { queries, queryClient } from '../../../server/queries.ts';
import { deleteRequest, putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { write } from '../../../sync/useSync.ts';
import { newId } from '../../../server/api.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';
import { usePlayback } from '../replay/usePlayback.ts';
import { exportOnsets } from './exports.ts';
import { readFile, type FileOnset, type HeardFile } from './readSound.ts';
import { SoundStrip } from './SoundStrip.tsx';
import { StoreTrial } from './StoreTrial.tsx';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** Strikes of a recording, of a film's sound or of a table of times: looked at, put right, and stored as a trial of a fighter. */
export function FromFile() {
  const { data: fighters = [] } = useQuery(queries.fighters());
  const [file, setFile] = useState<HeardFile | null>(null);
  const [onsets, setOnsets] = useState<readonly FileOnset[]>([]);
  const [due, setDue] = useState<readonly number[]>([]);
  const [message, setMessage] = useState('');
  const [share, setShare] = useState<number | null>(null);
  const playback = usePlayback();
  const store = useStoredTrials();
  const take = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    playback.stop();
    setMessage('');
    setShare(0);
    try {
      const heard = await readFile(chosen, setShare);
      setFile(heard);
      setOnsets(heard.onsets);
      setDue([]);
      if (heard.hasMusic)
        setMessage('Music plays in this file: its drum may be among the strikes. Take out what is none.');
      if (heard.onsets.length === 0)
        setMessage('No strike was heard in this file. Add them by double clicks, or count by hand.');
    } catch (error) {
      setMessage(error instanceof Error ? error.message : String(error));
    }
    setShare(null);
  };
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    void take(event.dataTransfer.files[0]);
  };
  const doubtful = onsets.filter((onset) => onset.doubtful).length;
  return (
    <div
      className="mx-auto w-full max-w-6xl px-6 pt-6"
      onDragOver={(event) => event.preventDefault()}
      onDrop={drop}
    >
      <div className="mb-5 flex flex-wrap items-end justify-between gap-3">
        <Heading className="text-3xl">Strikes from a file</Heading>
        <ButtonLink weight="bare" to="/fighters">
          Fighters
        </ButtonLink>
      </div>
      <FileChoice name={file?.name ?? null} share={share} onTake={(chosen) => void take(chosen)} />
      <p role="status" className={message === '' ? 'min-h-6' : 'min-h-6 py-2 font-semibold text-caution'}>
        {message}
      </p>
      {file && (
        <div className="space-y-7">
          <Part
            title={`${howMany(onsets.length - doubtful, 'strike')}${doubtful > 0 ? ` and ${doubtful} doubtful` : ''}`}
            aside={<Exports file={file} onsets={onsets} onAsHeard={() => setOnsets(file.onsets)} />}
          >
            <div className="pt-3">
              <SoundStrip
                file={file}
                onsets={onsets}
                due={due}
                now={playback.at}
                onChange={setOnsets}
                onPlay={(from) =>
                  playback.play(
                    {
                      sound: file.sound && { ...file.sound, from: 0 },
                      onsets: onsets.map(({ at }) => at),
                      due,
                      seconds: file.seconds,
                    },
                    from,
                  )
                }
              />
              {playback.at !== null && (
                <Button className="mt-2" onClick={playback.stop}>
                  Stop
                </Button>
              )}
            </div>
          </Part>
          <StoreTrial
            file={file}
            onsets={onsets}
            fighters={fighters}
            onDue={setDue}
            onStore={(attempt, what) => store(file, attempt, what)}
          />
        </div>
      )}
    </div>
  );
}

interface FileChoiceProps {
  /** Of the file that is looked at. */
  readonly name: string | null;
  /** So much of it has been listened to; null while nothing is. */
  readonly share: number | null;
  onTake(file: File | undefined): void;
}

function FileChoice({ name, share, onTake }: FileChoiceProps) {
  return (
    <label className="flex min-h-20 cursor-pointer items-center justify-center rounded-md border-2 border-dashed border-rule bg-paper px-6 text-center focus-within:outline-2">
      {share !== null
        ? `Listening to it: ${Math.round(100 * share)} %`
        : name !== null
          ? `${name} · drop another one, or press to choose`
          : 'Drop a WAV file, a film, or a table of times here, or press to choose. It stays on this device.'}
      <input
        type="file"
        accept=".wav,.csv,.txt,.tsv,audio/*,video/*"
        className="sr-only"
        aria-label="Recording, film or table of times"
        onChange={(event) => {
          onTake(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </label>
  );
}

interface ExportsProps {
  readonly file: HeardFile;
  readonly onsets: readonly FileOnset[];
  onAsHeard(): void;
}

function Exports({ file, onsets, onAsHeard }: ExportsProps) {
  return (
    <span className="flex flex-wrap gap-4">
      {onsets.length !== file.onsets.length && (
        <button type="button" className="underline" onClick={onAsHeard}>
          as heard
        </button>
      )}
      {(['csv', 'wav', 'midi'] as const).map((as) => (
        <button
          key={as}
          type="button"
          className="underline"
          onClick={() => void exportOnsets(as, file, onsets)}
        >
          {as === 'wav' ? 'WAV with regions' : as.toUpperCase()}
        </button>
      ))}
    </span>
  );
}

interface StoredTrial {
  readonly id: string;
  readonly attempt: SaveAttemptDto;
}

/** Stores a file's strikes as a trial; stored again after its pins were put right, it is the same trial. Each can be taken back. */
function useStoredTrials() {
  const stored = useRef(new Map<string, StoredTrial>());
  return async (file: HeardFile, attempt: SaveAttemptDto, what: string): Promise<void> => {
    const place = JSON.stringify([file.name, file.at, attempt.fighterId, attempt.lead, what]);
    const before = stored.current.get(place);
    const id = before?.id ?? newId();
    const page = { page: '/fighters/from-file' };
    const keep = async (kept: SaveAttemptDto): Promise<void> => {
      await write<AttemptView>(putRequest(SUBJECTS.trial, `attempts/${id}`, kept, page));
      stored.current.set(place, { id, attempt: kept });
      await queryClient.invalidateQueries({ queryKey: ['fighters', kept.fighterId] });
    };
    const takeBack = async (): Promise<void> => {
      if (before) return keep(before.attempt);
      await write(deleteRequest(SUBJECTS.trial, `attempts/${id}`));
      stored.current.delete(place);
      await queryClient.invalidateQueries({ queryKey: ['fighters', attempt.fighterId] });
    };
    try {
      await keep(attempt);
      toastWithUndo(before ? 'Stored in place of what was stored before.' : 'Stored as a trial.', takeBack);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
}
