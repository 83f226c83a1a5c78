import { useState } from 'react';
import { EFFORT, MOST_NOTE, type RunView } from '@eurhythm/contract';
import { PlainButton } from '../../../ui/buttons/PlainButton.tsx';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';

const EFFORTS = Array.from({ length: EFFORT.max - EFFORT.min + 1 }, (_, i) => EFFORT.min + i);

/** What the coach says of the class as a whole: how hard it was, and a note. Kept with each press. */
export function SaidOfClass({ run }: { run: RunView }) {
  const [effort, setEffort] = useState(run.effort);
  const [note, setNote] = useState(run.note ?? '');
  const keep = (said: { effort: number | null; note: string }): void =>
    void sync.put(
      putRequest(
        SUBJECTS.run,
        `runs/${run.id}/note`,
        { effort: said.effort, note: said.note.trim() === '' ? null : said.note.trim() },
        { page: `/floor/${run.id}` },
      ),
    );
  return (
    <section aria-label="The class as a whole" className="flex flex-wrap items-start gap-x-10 gap-y-3">
      <div>
        <p id="effort" className="text-lg font-semibold">
          How hard was it? <span className="font-normal text-quiet">1 easy, 10 all they had</span>
        </p>
        <div role="group" aria-labelledby="effort" className="flex flex-wrap gap-1.5">
          {EFFORTS.map((each) => (
            <PlainButton
              key={each}
              isOn={effort === each}
              className="min-w-[44px]"
              onPress={() => {
                const next = effort === each ? null : each;
                setEffort(next);
                keep({ effort: next, note });
              }}
            >
              {each}
            </PlainButton>
          ))}
        </div>
      </div>
      <label className="flex min-w-0 flex-1 basis-80 flex-col text-lg font-semibold">
        Note
        <textarea
          rows={2}
          maxLength={MOST_NOTE}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          onBlur={() => note.trim() !== (run.note ?? '') && keep({ effort, note })}
          className="rounded border-2 border-rule bg-paper px-3 py-2 font-normal"
        />
      </label>
    </section>
  );
}
