import { Music4 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { RhythmView } from '@eurhythm/contract';
import { sendForm } from '../../../server/api.ts';
import { putDraft } from '../../../sync/drafts/useDraft.ts';
import { emptyCombo } from '../list/newCombo.ts';
import { useCombos, useGym } from '../../../server/gymData.ts';

/** Takes the rhythm of a MIDI file as an empty line: a guard on each note, to be replaced by moves from the palette. */
export function RhythmImport() {
  const combos = useCombos();
  const { grades } = useGym();
  const navigate = useNavigate();
  const take = async (file: File): Promise<void> => {
    const form = new FormData();
    form.append('file', file);
    try {
      const { line, bpm, left } = await sendForm<RhythmView>('POST', 'combos/rhythm', form);
      putDraft('combo.new', {
        ...emptyCombo(combos, grades),
        title: file.name
          .replace(/\.midi?$/i, '')
          .replace(/[<>]/g, '')
          .slice(0, 60),
        line,
        bpm,
      });
      void navigate('/combos/new', { replace: true });
      toast(
        left === 0
          ? 'The rhythm is here as an empty line. Choose a pin and put a move there.'
          : `The line holds the first notes; ${left} more did not fit.`,
      );
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <label className="mt-1 inline-flex min-h-11 cursor-pointer items-center gap-2 text-sm text-quiet underline underline-offset-4 focus-within:outline-2 hover:text-ink">
      <Music4 size={16} aria-hidden /> Begin from a MIDI rhythm
      <input
        type="file"
        accept=".mid,.midi,audio/midi"
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) void take(file);
          e.target.value = '';
        }}
      />
    </label>
  );
}
