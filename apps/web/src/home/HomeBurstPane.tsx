import { useEffect, useRef, useState } from 'react';
import { BURST_AT_HOME, HOME_LIMITS, type HomeBurst } from '@eurhythm/core/home';
import type { Lead } from '@eurhythm/core/moves';
import { Button } from '../ui/buttons/Button.tsx';
import { ChoiceField } from '../ui/fields/Field.tsx';
import type { RunController } from '../floor/run/RunController.ts';
import { BURST_SLEPT, type Burst } from '../floor/Burst.ts';
import { BurstCount } from '../rooms/floor/burst/BurstCount.tsx';
import { LEAD_CHOICES } from '../rooms/sessions/choices.ts';

interface HomeBurstProps {
  readonly lead: Lead;
  readonly controller: RunController;
  onCounted(burst: HomeBurst): void;
  onClose(): void;
}

/** Ten seconds, and every strike is one tap of whoever helps. What is tapped before the bell or after it does not count. */
export function HomeBurstPane({ lead: usual, controller, onCounted, onClose }: HomeBurstProps) {
  const [lead, setLead] = useState(usual);
  const [phase, setPhase] = useState<'choosing' | 'slept' | 'done'>('choosing');
  const [burst, setBurst] = useState<Burst | null>(null);
  const [count, setCount] = useState(0);
  const counted = useRef(0);
  useEffect(() => () => burst?.dispose(), [burst]);

  const start = async (): Promise<void> => {
    controller.touch();
    counted.current = 0;
    setCount(0);
    const next = await controller.burst(BURST_AT_HOME, (end) => {
      if (end === 'over') onCounted({ lead, count: counted.current });
      setPhase(end === 'over' ? 'done' : 'slept');
      setBurst(null);
    });
    setBurst(next);
    next.start();
  };
  const tap = (): void => {
    counted.current = Math.min(HOME_LIMITS.count, counted.current + 1);
    setCount(counted.current);
  };

  return (
    <main className="mat flex min-h-dvh flex-col gap-6 p-6">
      <h1 className="board text-5xl phone:text-3xl">Ten-second burst</h1>
      {burst ? (
        <BurstCount
          burst={burst}
          seconds={BURST_AT_HOME}
          name=""
          what={`${lead} lead`}
          count={count}
          hint="One tap, or one press of any key, for each strike."
          onTap={tap}
        />
      ) : (
        <div className="flex max-w-xl flex-col gap-4">
          {phase === 'done' && (
            <p role="status" className="text-3xl">
              <strong className="font-heading text-6xl">{count}</strong> in ten seconds
            </p>
          )}
          {phase === 'slept' && (
            <p role="alert" className="text-xl">
              {BURST_SLEPT}
            </p>
          )}
          <ChoiceField
            label="From which lead"
            value={lead}
            choices={LEAD_CHOICES}
            onChange={(chosen) => setLead(chosen as Lead)}
          />
          <Button weight="main" className="min-h-[64px] text-2xl" onClick={() => void start()}>
            {phase === 'done' ? 'Once more' : 'Start'}
          </Button>
          <Button className="min-h-[64px] text-xl" onClick={onClose}>
            Back
          </Button>
          <p className="text-quiet">
            Somebody beside you taps once for each strike. Straight into the air or on a bag, never at a
            person.
          </p>
        </div>
      )}
    </main>
  );
}
