import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Play } from 'lucide-react';
import { RadioGroup } from 'radix-ui';
import { useState } from 'react';
import { toast } from 'sonner';
import { VOICE_RATES } from '@eurhythm/core/calls';
import { VOICE_SOUNDS, type SynthSound } from '@eurhythm/core/sound';
import {
  VOICES,
  VOICE_NAMES,
  VOICE_SOUND_NAMES,
  type GymView,
  type SchoolDto,
  type VoiceId,
} from '@eurhythm/contract';
import { changeSchool } from '../../../sync/changeSchool.ts';
import { queries } from '../../../server/queries.ts';
import { Mixer } from '../../../floor/output/Mixer.tsx';
import { useAudioOutput, type OpenOutput } from '../../../floor/output/useAudioOutput.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { LatencyCheck } from './LatencyCheck.tsx';
import { MisheardCalls } from './MisheardCalls.tsx';
import { clipOf } from './clipOf.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

const SOUNDS: readonly (readonly [SynthSound, string])[] = [
  ['tick-bar', 'first beat'],
  ['tick-beat', 'beat'],
  ['tick-half', 'half beat'],
  ['count-in', 'count-in'],
  ['last-five', 'last five'],
  ['bell-start', 'start bell'],
  ['bell-end', 'end bell'],
];

/** How the gym sounds in its own hall: the voices side by side, the levels, the loudspeaker, and calls that are misheard. */
export function SoundCheck() {
  const { data: gym } = useQuery(queries.gym());
  const output = useAudioOutput();
  if (!gym) return null;
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-6">
      <div className="mb-5 flex flex-wrap items-end justify-between gap-3">
        <Heading className="text-3xl">Sound check</Heading>
        <div className="flex flex-wrap gap-3">
          <ButtonLink to="/gym/voice">Record our own calls</ButtonLink>
          <ButtonLink weight="bare" to="/gym">
            Gym
          </ButtonLink>
        </div>
      </div>
      <div className="grid items-start gap-x-12 gap-y-7 lg:grid-cols-2">
        <Voices gym={gym} output={output} />
        <Part title="Levels" aside="kept on this device">
          <div className="pt-2">
            <Mixer output={output.output} />
          </div>
          <div className="flex flex-wrap gap-2 pt-2">
            {SOUNDS.map(([sound, name]) => (
              <Button key={sound} className="border! px-3" onClick={() => output.hearSound(sound)}>
                {name}
              </Button>
            ))}
          </div>
        </Part>
        <MisheardCalls gym={gym} output={output} />
        <LatencyCheck output={output} />
      </div>
    </div>
  );
}

/** Both bundled voices and the own one say the same words; one of them is the gym's. */
function Voices({ gym, output }: { gym: GymView; output: OpenOutput }) {
  const client = useQueryClient();
  const [text, setText] = useState('one, two, round kick');
  const { school } = gym;
  /** Chosen, and on its way to the server. */
  const [wanted, setWanted] = useState<VoiceId | null>(null);
  const save = useMutation<GymView, Error, Partial<SchoolDto>>({
    networkMode: 'always',
    mutationFn: (changes) => changeSchool(client, gym, () => changes, '/gym/sound'),
    onSuccess: ({ school: { voice, voiceRate, voiceSound } }) =>
      toast(
        `${VOICE_NAMES[voice]} calls in this gym, at ${voiceRate} times its speed, ${VOICE_SOUND_NAMES[voiceSound]}.`,
      ),
    onError: (error) => toast.error(error.message),
  });
  const chosen = wanted ?? school.voice;
  const hear = async (voice: VoiceId): Promise<void> => {
    try {
      await output.hearClip(await clipOf(text, voice, school.voiceRate));
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <Part title="Voices side by side">
      <TextField
        label="Words to try"
        className="pt-3"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <RadioGroup.Root
        aria-label="Voices"
        className="pt-1"
        value={chosen}
        onValueChange={(value) => {
          const voice = VOICES.find((each) => each === value);
          if (!voice) return;
          setWanted(voice);
          save.mutate({ voice }, { onSettled: () => setWanted(null) });
        }}
      >
        {VOICES.map((voice) => (
          <div key={voice} className="flex min-h-14 items-center gap-3 border-b border-rule">
            <RadioGroup.Item
              id={`voice-${voice}`}
              value={voice}
              className="finger flex size-5 items-center justify-center rounded-full border-2 border-quiet bg-paper data-[state=checked]:border-rear"
            >
              <RadioGroup.Indicator className="size-2.5 rounded-full bg-rear" />
            </RadioGroup.Item>
            <label
              htmlFor={`voice-${voice}`}
              className={`flex min-h-11 flex-1 items-center ${chosen === voice ? 'font-bold' : ''}`}
            >
              {VOICE_NAMES[voice]}
            </label>
            <Button className="border! px-3" onClick={() => void hear(voice)}>
              <Play size={16} aria-hidden /> Hear
            </Button>
          </div>
        ))}
      </RadioGroup.Root>
      <ChoiceField
        label="Speed of the voice"
        className="w-56 pt-3"
        hint="it speaks faster where a call would not fit"
        value={String(school.voiceRate)}
        choices={VOICE_RATES.map((rate) => ({
          value: String(rate),
          label: rate === 1 ? 'its own' : `${rate} times`,
        }))}
        onChange={(value) => save.mutate({ voiceRate: Number(value) })}
      />
      <ChoiceField
        label="Sound of the voice"
        className="w-72 pt-3"
        hint="a hall and small loudspeakers swallow what is low; headphones do not"
        value={school.voiceSound}
        choices={VOICE_SOUNDS.map((sound) => ({ value: sound, label: VOICE_SOUND_NAMES[sound] }))}
        onChange={(voiceSound) => save.mutate({ voiceSound })}
      />
    </Part>
  );
}
