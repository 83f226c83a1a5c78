import { Music4 } from 'lucide-react';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { RhythmQuery, RhythmView } from '@eurhythm/contract';
import { sendForm } from '../../../server/api.ts';
import { useCombos, useGym } from '../../../server/gymData.ts';
import { putDraft } from '../../../sync/drafts/useDraft.ts';
import { emptyCombo } from '../list/newCombo.ts';
import { RhythmSheet, asksSomething } from './RhythmSheet.tsx';

/** A file that was chosen, and what it was read as. */
interface Taken {
  readonly file: File;
  readonly how: RhythmQuery;
  readonly rhythm: RhythmView;
}

/** Takes the rhythm of a MIDI file as an empty line: a guard on each note, to be replaced by moves from the palette. */
export function RhythmImport() {
  const combos = useCombos();
  const { grades } = useGym();
  const navigate = useNavigate();
  const [taken, setTaken] = useState<Taken | null>(null);
  const asked = useRef<RhythmQuery>({});
  const begin = ({ file, rhythm: { line, bpm, left } }: Taken): void => {
    setTaken(null);
    const title = file.name
      .replace(/\.midi?$/i, '')
      .replace(/[<>]/g, '')
      .slice(0, 60);
    putDraft('combo.new', { ...emptyCombo(combos, grades), title, line, bpm });
    void navigate('/combos/new', { replace: true });
    toast(
      left === 0
        ? 'The rhythm is here as an empty line. Choose a pin and put a move there.'
        : `The line holds the first notes; ${left} more did not fit.`,
    );
  };
  const read = async (file: File, how: RhythmQuery): Promise<Taken | null> => {
    const form = new FormData();
    form.append('file', file);
    const asked = new URLSearchParams(
      Object.entries(how).flatMap(([name, value]) => (value === undefined ? [] : [[name, String(value)]])),
    );
    try {
      return { file, how, rhythm: await sendForm<RhythmView>('POST', `combos/rhythm?${asked}`, form) };
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
      return null;
    }
  };
  const choose = async (file: File): Promise<void> => {
    asked.current = {};
    const first = await read(file, {});
    if (!first) return;
    if (asksSomething(first.rhythm)) setTaken(first);
    else begin(first);
  };
  const change = async (changes: RhythmQuery): Promise<void> => {
    if (!taken) return;
    // What was chosen before and is not answered yet holds as well; an answer to less than what is chosen now says nothing.
    const how = { ...asked.current, ...changes };
    asked.current = how;
    const next = await read(taken.file, how);
    if (next && asked.current === how) setTaken(next);
  };
  return (
    <>
      <label className="mt-1 inline-flex min-h-11 cursor-pointer items-center gap-2 text-sm text-quiet underline underline-offset-4 focus-within:outline-2 hover:text-ink">
        <Music4 size={16} aria-hidden /> Begin from a MIDI rhythm
        <input
          type="file"
          accept=".mid,.midi,audio/midi"
          className="sr-only"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) void choose(file);
            e.target.value = '';
          }}
        />
      </label>
      {taken && (
        <RhythmSheet
          rhythm={taken.rhythm}
          tempo={taken.how.tempo ?? 'as-fast'}
          onChange={(changes) => void change(changes)}
          onBegin={() => begin(taken)}
          onClose={() => setTaken(null)}
        />
      )}
    </>
  );
}
