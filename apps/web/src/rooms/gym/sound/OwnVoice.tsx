import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { CallGroup, OwnCallView, VoiceView } from '@eurhythm/contract';
import { sendForm } from '../../../server/api.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite, write } from '../../../sync/useSync.ts';
import { queries } from '../../../server/queries.ts';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';
import { useAudioOutput } from '../../../floor/output/useAudioOutput.ts';
import { ButtonLink } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { CallRecorder } from './CallRecorder.tsx';
import { withQuiet } from './recording.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

const GROUPS: readonly (readonly [CallGroup | '' | 'missing', string])[] = [
  ['missing', 'not recorded yet'],
  ['', 'all calls'],
  ['rounds', 'said in every round'],
  ['numbers', 'numbers'],
  ['moves', 'moves'],
  ['combos', 'combos'],
  ['prompts', 'prompts and titles'],
];

type Call = VoiceView['calls'][number];

/** The gym's calls in a row, to be recorded one after the other; what is missing is said by the bundled voice. */
export function OwnVoice() {
  const client = useQueryClient();
  const { data } = useQuery(queries.voice());
  const output = useAudioOutput();
  const [group, setGroup] = useState<(typeof GROUPS)[number][0]>('');
  const [search, setSearch] = useState('');
  const [chosen, setChosen] = useState<string | null>(null);
  const calls = useMemo(() => data?.calls ?? [], [data]);
  const shown = calls.filter(
    (call) =>
      (group === '' || (group === 'missing' ? !call.own : call.group === group)) &&
      call.text.includes(search.trim().toLowerCase()),
  );
  const open = calls.find((call) => call.text === chosen) ?? shown[0];
  const took = (own: OwnCallView | null, text: string): void => {
    client.setQueryData<VoiceView>(['voice'], (before) => before && withOwn(before, text, own));
  };
  const path = (text: string): string => `voice/own/${encodeURIComponent(text)}`;
  const record = useMutation({
    mutationFn: ({ text, wav }: { text: string; wav: Blob }) => sendSound(path(text), wav),
    onSuccess: (own, { text }) => took(own, text),
    onError: (error) => toast.error(error.message),
  });
  const setCentre = useWrite<OwnCallView, { text: string; centre: number }>(
    ({ text, centre }) =>
      putRequest(SUBJECTS.call, `${path(text)}/centre`, { centre }, { page: '/gym/voice' }),
    {
      onSuccess: (own, { text }) => took(own, text),
      onError: (error) => toast.error(error.message),
    },
  );
  const remove = useMutation({
    mutationFn: async ({ text, centre, clip }: OwnCallView) => {
      const wav = withQuiet(await (await fetch(`/api/voice/clips/${clip.id}.wav`)).arrayBuffer());
      await write(deleteRequest(SUBJECTS.call, path(text)));
      took(null, text);
      toastWithUndo(`“${text}” is said by the bundled voice again.`, async () => {
        await sendSound(path(text), wav);
        took(await write<OwnCallView>(putRequest(SUBJECTS.call, `${path(text)}/centre`, { centre })), text);
      });
    },
    onError: (error) => toast.error(error.message),
  });
  if (!data) return null;
  const recorded = calls.filter((call) => call.own).length;
  const next = (): void => {
    const at = shown.findIndex((call) => call.text === open?.text);
    const after = shown[at + 1];
    if (after) setChosen(after.text);
  };
  return (
    <div className="flex flex-1 flex-col lg:flex-row">
      <aside className="border-rule lg:w-[20rem] lg:shrink-0 lg:border-r">
        <div className="grid gap-2 px-5 pt-4">
          <TextField label="Find" value={search} onChange={(e) => setSearch(e.target.value)} />
          <ChoiceField
            label="Show"
            value={group}
            choices={GROUPS.map(([value, label]) => ({ value, label }))}
            onChange={(value) => setGroup(value)}
          />
        </div>
        <ul aria-label="Calls" tabIndex={0} className="mt-3 max-h-[calc(100vh-16rem)] overflow-y-auto pb-6">
          {shown.map((call) => (
            <CallRow
              key={call.text}
              call={call}
              isOpen={call.text === open?.text}
              onOpen={() => setChosen(call.text)}
            />
          ))}
        </ul>
      </aside>
      <div className="min-w-0 flex-1 px-8 py-5">
        <div className="mb-4 flex items-end justify-between">
          <div>
            <p className="text-sm text-quiet">
              {recorded} of {calls.length} calls recorded. The bundled voice says the other{' '}
              {calls.length - recorded}.
            </p>
            <Heading className="text-3xl">Our own voice</Heading>
          </div>
          <ButtonLink weight="bare" to="/gym/sound">
            Sound check
          </ButtonLink>
        </div>
        {open ? (
          <CallRecorder
            key={open.text}
            call={open}
            output={output}
            isSending={record.isPending}
            onSound={(wav) => record.mutate({ text: open.text, wav })}
            onCentre={(centre) => setCentre.mutate({ text: open.text, centre })}
            onRemove={() => open.own && remove.mutate(open.own)}
            onNext={next}
          />
        ) : (
          <p className="py-4 text-quiet">
            Every call that is shown here is recorded. Choose “all calls” to hear them.
          </p>
        )}
      </div>
    </div>
  );
}

function withOwn(view: VoiceView, text: string, own: OwnCallView | null): VoiceView {
  return { calls: view.calls.map((call) => (call.text === text ? { ...call, own } : call)) };
}

function sendSound(path: string, wav: Blob): Promise<OwnCallView> {
  const form = new FormData();
  form.append('sound', wav, 'call.wav');
  return sendForm<OwnCallView>('PUT', path, form);
}

function CallRow({ call, isOpen, onOpen }: { call: Call; isOpen: boolean; onOpen: () => void }) {
  return (
    <li>
      <button
        type="button"
        aria-current={isOpen}
        onClick={onOpen}
        className={`flex min-h-11 w-full items-center justify-between gap-3 border-l-[6px] px-4 text-left ${isOpen ? 'border-tape bg-paper' : 'border-transparent hover:bg-hint'}`}
      >
        <span>{call.text}</span>
        <span className={`text-sm ${call.own ? 'font-semibold text-fine' : 'text-quiet'}`}>
          {call.own ? `${call.own.seconds.toFixed(2)} s` : '–'}
        </span>
      </button>
    </li>
  );
}
