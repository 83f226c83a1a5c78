import { Play, Repeat, Square } from 'lucide-react';
import { Button, Key } from '../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../ui/buttons/IconButton.tsx';
import type { Hearing } from '../../../floor/output/useHearing.ts';

interface HearButtonProps {
  readonly hearing: Hearing;
  readonly disabled: boolean;
  onPress(): void;
}

/** Lets the line be heard at its tempo; pressed again it stops. */
export function HearButton({ hearing, disabled, onPress }: HearButtonProps) {
  const isPlaying = hearing.state === 'playing';
  return (
    <Button weight="main" onClick={onPress} disabled={disabled || hearing.state === 'loading'}>
      {isPlaying ? <Square size={16} aria-hidden /> : <Play size={16} aria-hidden />}
      {hearing.state === 'loading' ? 'Getting the voice' : isPlaying ? 'Stop' : 'Hear it'} <Key>Enter</Key>
    </Button>
  );
}

interface HearWaysProps {
  readonly disabled: boolean;
  readonly loops: boolean;
  /** Tempos for slow practice and for the fastest clean one, beats a minute; none while the combo has no tempo. */
  readonly slow: number | undefined;
  readonly fast: number | undefined;
  onLoop(loops: boolean): void;
  onHear(bpm: number): void;
}

/** Other ways to hear it: slow, fast, and in a loop. */
export function HearWays({ disabled, loops, slow, fast, onLoop, onHear }: HearWaysProps) {
  return (
    <div className="flex items-center gap-2" role="group" aria-label="Other ways to hear it">
      {(
        [
          ['Slow', slow],
          ['Fast', fast],
        ] as const
      ).map(([name, bpm]) => (
        <Button
          key={name}
          className="border! px-3"
          onClick={() => bpm !== undefined && onHear(bpm)}
          disabled={disabled || bpm === undefined}
        >
          {name} {bpm}
        </Button>
      ))}
      <IconButton
        label={loops ? 'Loop is on' : 'Loop is off'}
        aria-pressed={loops}
        className={loops ? 'bg-tape text-on-tape!' : ''}
        onClick={() => onLoop(!loops)}
      >
        <Repeat size={18} />
      </IconButton>
    </div>
  );
}
