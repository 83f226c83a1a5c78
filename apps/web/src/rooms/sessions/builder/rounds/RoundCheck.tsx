import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { groupBy, howMany } from '@eurhythm/core/units';
import { PlanBlocksDto, checkFields, type RoundDto } from '@eurhythm/contract';
import { compileHere } from '../../../../floor/run/compileHere.ts';
import { Part } from '../../../../ui/panels/Panel.tsx';
import { useDebounced } from '../../../../ui/useDebounced.ts';
import { isAboutCall } from '@eurhythm/core/rounds';

/** Milliseconds without a change before the round is compiled. */
const RESTS_FOR = 300;

/** Compiles the round as it stands and tells what would be heard, and which calls found no room. */
export function RoundCheck({
  seedKey,
  round: { id, blocks, timeCalls },
  lead,
}: {
  /** The session, whose chances are drawn as when it is heard. */
  seedKey: string;
  round: RoundDto;
  lead: 'left' | 'right';
}) {
  const asked = useMemo(() => ({ blocks, ...(timeCalls ? { timeCalls } : {}) }), [blocks, timeCalls]);
  const request = useDebounced(asked, RESTS_FOR);
  const isSound = useMemo(() => checkFields(PlanBlocksDto, request).length === 0, [request]);
  const { data, error } = useQuery({
    queryKey: ['check', seedKey, id, lead, request],
    queryFn: () => compileHere({ seedKey, id, lead, ...request }),
    enabled: isSound,
    placeholderData: (before) => before,
    meta: { reportedHere: true },
  });
  const [open, setOpen] = useState(false);
  if (!isSound) return null;
  if (error) return <p className="pt-4 font-semibold text-caution">{error.message}</p>;
  if (!data) return <p className="pt-4 text-quiet">Listening to the round…</p>;
  const strikes = data.cues.filter((cue) => cue.kind === 'strike').length;
  const calls = data.cues.filter((cue) => cue.clip).length;
  const dropped = data.findings.filter(isAboutCall);
  const others = data.findings.filter((finding) => !isAboutCall(finding));
  const byWord = groupBy(dropped, (finding) => finding.message.split(' at ')[0]!);
  return (
    <Part title="Heard in this round" className="mt-6">
      <p className="pt-2 text-quiet">
        {howMany(data.cycles.length, 'time')} through, {howMany(strikes, 'stroke')} due,{' '}
        {howMany(calls, 'call')}.
      </p>
      {others.map((finding) => (
        <p key={`${finding.rule} ${finding.at} ${finding.message}`} className="font-semibold text-caution">
          {finding.message}
        </p>
      ))}
      {dropped.length > 0 && (
        <p>
          {howMany(dropped.length, 'call')} did not fit:{' '}
          <button
            type="button"
            className="min-h-11 font-semibold underline"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            {open ? 'hide' : 'show'}
          </button>
        </p>
      )}
      {open && (
        <ul className="text-sm">
          {[...byWord].map(([word, same]) => (
            <li key={word} className="border-b border-rule py-1">
              {same.length === 1 ? same[0]!.message : `${same[0]!.message} ${same.length} times in all.`}
            </li>
          ))}
        </ul>
      )}
    </Part>
  );
}
