import { useEffect, useState } from 'react';
import { simulateBurst } from '@eurhythm/core/simulation';
import { seededRandom } from '@eurhythm/core/units';
import { INPUT_KINDS, INPUT_NAMES, type InputKind } from '../../../strikeInputs/StrikeInput.ts';
import { keepPlace, learntOf, readInputSettings } from '../../../strikeInputs/inputSettings.ts';
import { startSimulatedSensor } from '../../../strikeInputs/simulatedSensor.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { Calibrate } from './Calibrate.tsx';
import { Compare } from './Compare.tsx';
import { Latency } from './Latency.tsx';
import { LevelPicture } from './LevelPicture.tsx';
import { useLabInput } from './useLabInput.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

type Choice = InputKind | 'nothing';
const CHOICES = [
  { value: 'nothing' as Choice, label: 'nothing' },
  ...INPUT_KINDS.map((value) => ({ value: value as Choice, label: INPUT_NAMES[value] })),
];

/** Where devices are tried out before they count anything: what they hear, how loud a strike is here, and how late they are. */
export function LabRoom() {
  const [choice, setChoice] = useState<Choice>('nothing');
  const [place, setPlace] = useState(() => readInputSettings().place);
  const [learnt, setLearnt] = useState(0);
  const [count, setCount] = useState(0);
  const kind = choice === 'nothing' ? null : choice;
  const lab = useLabInput(kind, learnt);
  const { listen } = lab;
  useEffect(() => listen(({ withdrawn }) => setCount((n) => n + (withdrawn ? -1 : 1))), [listen]);
  const again = (): void => setLearnt((n) => n + 1);
  const known = (lab.input && learntOf(lab.input.device)?.calibration) ?? null;
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-6">
      <div className="mb-5 flex flex-wrap items-end justify-between gap-3">
        <Heading className="text-3xl">Strike sensors and microphone</Heading>
        <div className="flex flex-wrap gap-3">
          <PretendSensorButton />
          <ButtonLink weight="bare" to="/gym">
            Gym
          </ButtonLink>
        </div>
      </div>
      <div className="grid items-start gap-x-12 gap-y-7 lg:grid-cols-2">
        <Part title="Now" aside={lab.input ? lab.input.device : 'nothing is open'} className="lg:col-span-2">
          <div className="flex flex-wrap items-start gap-4 pt-3">
            <ChoiceField
              label="Hear with"
              className="w-64"
              value={choice}
              choices={CHOICES}
              onChange={(value) => {
                setCount(0);
                setChoice(value);
              }}
            />
            <TextField
              label="Where it stands"
              className="w-64"
              hint="what is learnt is kept for this place"
              value={place}
              onChange={({ target }) => {
                setPlace(target.value);
                keepPlace(target.value);
                again();
              }}
            />
            <p className="board ml-auto text-7xl leading-none" data-testid="lab-count">
              {count}
            </p>
          </div>
          <LevelPicture
            past={lab.past}
            isLive={lab.input !== null}
            least={known?.leastStrength ?? null}
            quiet={known?.quiet ?? null}
          />
          <p
            role="status"
            className={lab.status === '' ? 'min-h-6 pt-1 text-quiet' : 'pt-1 font-semibold text-caution'}
          >
            {lab.status !== ''
              ? lab.status
              : lab.input
                ? 'A pin is a strike; a ring is a sound that may have been one and does not count.'
                : 'Nothing is heard and nothing is sent anywhere until you choose.'}
          </p>
        </Part>
        <Part title="Learn the hall">
          <Calibrate lab={lab} place={place} onLearnt={again} />
        </Part>
        <div className="grid gap-y-7">
          <Part title="How late it hears">
            <Latency device={lab.input?.source === 'microphone' ? lab.input.device : null} onLearnt={again} />
          </Part>
          <Part title="Two at once">
            <Compare first={kind} lab={lab} />
          </Part>
        </div>
      </div>
    </div>
  );
}

/** Strikes of the simulated sensor go on for so long, in seconds. */
const SENSOR_SECONDS = 600;

/** Switches a simulated strike sensor on, which sends as a real one would. */
function PretendSensorButton() {
  const [isOn, setOn] = useState(false);
  useEffect(() => {
    if (!isOn) return;
    const started = performance.now() / 1000;
    const impacts = simulateBurst({ rate: 1.5, spread: 0.2, fading: 0 }, SENSOR_SECONDS, seededRandom(3));
    return startSimulatedSensor(
      { impacts, position: () => performance.now() / 1000 - started },
      SENSOR_SECONDS,
      null,
    );
  }, [isOn]);
  return (
    <Button aria-pressed={isOn} onClick={() => setOn(!isOn)}>
      {isOn ? 'Switch the simulated sensor off' : 'Simulated strike sensor'}
    </Button>
  );
}
