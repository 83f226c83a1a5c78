import { Slider } from 'radix-ui';
import { drawnOnChange } from '../panels/drawnOnChange.tsx';

interface SliderFieldProps {
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly value: number;
  readonly valueText?: string;
  readonly className?: string;
  onChange(value: number): void;
}

/** A value along a line, moved by pointer or arrows. */
export const SliderField = drawnOnChange(function SliderField({
  label,
  min,
  max,
  step,
  value,
  valueText,
  className = '',
  onChange,
}: SliderFieldProps) {
  return (
    <Slider.Root
      min={min}
      max={max}
      step={step}
      value={[value]}
      onValueChange={([next]) => next !== undefined && onChange(next)}
      className={`relative flex h-11 touch-none items-center select-none ${className}`}
    >
      <Slider.Track className="relative h-1.5 grow rounded bg-rule">
        <Slider.Range className="absolute h-full rounded bg-ink" />
      </Slider.Track>
      <Slider.Thumb
        aria-label={label}
        aria-valuetext={valueText}
        className="finger block size-5 rounded-full border-2 border-ink bg-paper"
      />
    </Slider.Root>
  );
});
