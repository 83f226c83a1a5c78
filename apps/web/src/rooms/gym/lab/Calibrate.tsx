import { useEffect, useState } from 'react';
import { QUIET_SECONDS, TEST_STRIKES, calibrate, type Calibration } from '@eurhythm/core/strikes';
import type { OnsetReport } from '@eurhythm/core/strikes';
import { forgetLearnt, keepLearnt, learntOf } from '../../../strikeInputs/inputSettings.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { useStable } from '../../../ui/useStable.ts';
import type { LabInput } from './useLabInput.ts';

/** Whoever does not strike ten times in so long has finished. */
const STRIKES_MS = 20_000;

type Step =
  | { readonly kind: 'idle' }
  | { readonly kind: 'quiet'; readonly since: number }
  | { readonly kind: 'strikes'; readonly quiet: readonly number[]; readonly strikes: readonly number[] };

interface CalibrateProps {
  readonly lab: LabInput;
  readonly place: string;
  onLearnt(): void;
}

/** Learns the hall: five seconds of quiet, ten test strikes, and from then on what is weaker than they were is doubtful. */
export function Calibrate({ lab, place, onLearnt }: CalibrateProps) {
  const [step, setStep] = useState<Step>({ kind: 'idle' });
  const [failure, setFailure] = useState('');
  const [left, setLeft] = useState(0);
  const { input } = lab;
  const known = input && learntOf(input.device)?.calibration;
  const done = useStable((quiet: readonly number[], strikes: readonly number[]): void => {
    setStep({ kind: 'idle' });
    const learnt = calibrate(quiet, strikes);
    if (!learnt.ok) return setFailure(learnt.message);
    keepLearnt(input!.device, { calibration: learnt.calibration });
    onLearnt();
  });
  const begin = (): void => {
    setFailure('');
    setStep({ kind: 'quiet', since: performance.now() / 1000 });
  };
  useEffect(() => {
    if (step.kind !== 'quiet') return;
    const timer = setInterval(() => {
      const passed = performance.now() / 1000 - step.since;
      setLeft(Math.max(0, Math.ceil(QUIET_SECONDS - passed)));
      if (passed < QUIET_SECONDS) return;
      if (lab.past.strikes.some(({ at, doubtful }) => at >= step.since && doubtful !== true)) {
        setStep({ kind: 'idle' });
        return setFailure('Something was struck in the quiet. Begin again when nobody strikes.');
      }
      const quiet = lab.past.levels.filter(({ at }) => at >= step.since).map(({ decibels }) => decibels);
      setStep({ kind: 'strikes', quiet, strikes: [] });
    }, 100);
    return () => clearInterval(timer);
  }, [step, lab]);
  const isStriking = step.kind === 'strikes';
  const { listen } = lab;
  const struck = useStable(({ strength, withdrawn }: OnsetReport): void => {
    if (step.kind !== 'strikes' || strength === undefined) return;
    const strikes = withdrawn
      ? step.strikes.filter((each) => each !== strength)
      : [...step.strikes, strength];
    if (strikes.length >= TEST_STRIKES) done(step.quiet, strikes);
    else setStep({ ...step, strikes });
  });
  const isLate = useStable(() => {
    if (step.kind === 'strikes') done(step.quiet, step.strikes);
  });
  useEffect(() => {
    if (!isStriking) return;
    const late = setTimeout(isLate, STRIKES_MS);
    const end = listen(struck);
    return () => {
      clearTimeout(late);
      end();
    };
  }, [isStriking, listen, struck, isLate]);
  if (!input || input.source !== 'microphone')
    return <p className="py-3 text-quiet">Open a microphone above; only that has a hall to learn.</p>;
  return (
    <div className="space-y-2 py-3">
      <p>
        Lay the device where it will lie. Five seconds of quiet, then ten strikes as they are struck in class.
        It is kept for <strong>{input.device}</strong> in <strong>{place}</strong>.
      </p>
      {step.kind === 'idle' ? (
        <div className="flex flex-wrap gap-3">
          <Button weight="main" onClick={begin}>
            {known ? 'Learn it anew' : 'Learn this hall'}
          </Button>
          {known && (
            <Button
              weight="bare"
              onClick={() => {
                forgetLearnt(input.device);
                onLearnt();
              }}
            >
              Forget it
            </Button>
          )}
        </div>
      ) : (
        <p role="status" className="board text-4xl">
          {step.kind === 'quiet' ? `Quiet: ${left}` : `Strike: ${step.strikes.length} of ${TEST_STRIKES}`}
        </p>
      )}
      {failure !== '' && (
        <p role="alert" className="font-semibold text-caution">
          {failure}
        </p>
      )}
      {known && <Learnt calibration={known} />}
    </div>
  );
}

function Learnt({ calibration }: { calibration: Calibration }) {
  const { quiet, loudestQuiet, strike, leastStrength, warning } = calibration;
  return (
    <>
      <dl className="tabular grid max-w-md grid-cols-[1fr_auto] gap-x-4" aria-label="What was learnt">
        {(
          [
            ['while nobody strikes', quiet],
            ['its loudest', loudestQuiet],
            ['the usual strike', strike],
            ['counts from', leastStrength],
          ] as const
        ).map(([name, decibels]) => (
          <div key={name} className="contents">
            <dt>{name}</dt>
            <dd className="text-right font-bold">{Math.round(decibels)} dB</dd>
          </div>
        ))}
      </dl>
      {warning !== '' && <p className="font-semibold text-caution">{warning}</p>}
    </>
  );
}
