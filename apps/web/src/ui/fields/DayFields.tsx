import { format, isThisYear, isValid, parse } from 'date-fns';
import { CalendarDays } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useId, useState } from 'react';
import { DayPicker } from 'react-day-picker';
import 'react-day-picker/style.css';
import { Button } from '../buttons/Button.tsx';
import { useDates } from './dates.ts';
import { FieldFrame, TextField, described, type Labelled } from './Field.tsx';

/** How a day is kept. */
const DAY = 'yyyy-MM-dd';

/** The month takes the colours of the page, and its days are as large as a finger. */
const LOOK: Readonly<Record<`--${string}`, string>> = {
  '--rdp-accent-color': 'var(--color-ink)',
  '--rdp-today-color': 'var(--color-rear)',
  '--rdp-day_button-width': '44px',
  '--rdp-day_button-height': '44px',
};

interface OpenerProps extends Labelled {
  readonly shown: string;
  readonly day: Date | undefined;
  /** What stands under the month; with it the month stays open when a day is chosen. */
  readonly children?: React.ReactNode;
  onDay(day: Date): void;
}

/** A field that opens a month to choose a day from, with what else belongs to it. */
function DayOpener({ shown, day, children, onDay, ...frame }: OpenerProps) {
  const id = useId();
  const { week, tell } = useDates();
  const [isOpen, setOpen] = useState(false);
  return (
    <FieldFrame {...frame} id={id}>
      <Popover.Root open={isOpen} onOpenChange={setOpen}>
        <Popover.Trigger
          className="flex min-h-11 w-full items-center justify-between gap-2 rounded-md border border-quiet/60 bg-paper px-3 py-1.5 text-left aria-invalid:border-2 aria-invalid:border-caution"
          {...described(id, frame)}
        >
          <span className="tabular truncate">{shown}</span>
          <CalendarDays size={16} aria-hidden />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            sideOffset={4}
            aria-label={frame.label}
            className="z-60 rounded-md border-2 border-ink bg-paper p-3 text-ink"
          >
            <DayPicker
              mode="single"
              style={LOOK}
              required
              weekStartsOn={week.weekStartsOn}
              labels={{ labelDayButton: (each) => tell(each, 'd, EEEE dated') }}
              selected={day}
              defaultMonth={day}
              onSelect={(chosen) => {
                onDay(chosen);
                if (!children) setOpen(false);
              }}
            />
            {children}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </FieldFrame>
  );
}

/** A day, kept as 2026-03-05. */
export function DayField({
  value,
  onChange,
  ...frame
}: Labelled & { readonly value: string; onChange: (day: string) => void }) {
  const dates = useDates();
  const read = parse(value, DAY, new Date());
  const day = isValid(read) ? read : undefined;
  return (
    <DayOpener
      {...frame}
      shown={day ? dates.tell(day, 'EEE dated') : 'choose a day'}
      day={day}
      onDay={(chosen) => onChange(format(chosen, DAY))}
    />
  );
}

/** Half past six: when a class begins that nobody gave a time. */
const USUAL: readonly [hour: number, minute: number] = [18, 30];

/** An instant, kept as an ISO date and time, or none. */
export function WhenField({
  value,
  onChange,
  ...frame
}: Labelled & { readonly value: string | null; onChange: (instant: string | null) => void }) {
  const at = value === null ? undefined : new Date(value);
  const dates = useDates();
  const usual = (day: Date): Date => new Date(new Date(day).setHours(...USUAL, 0, 0));
  const known = dates.tell(at ?? usual(new Date()), 'time');
  const [typed, setTyped] = useState(known);
  const [lastKnown, setLastKnown] = useState(known);
  if (known !== lastKnown) {
    setLastKnown(known);
    setTyped(known);
  }
  const put = (day: Date, time: string): void => {
    onChange((dates.typed(time, day) ?? usual(day)).toISOString());
  };
  const isTime = dates.typed(typed, new Date()) !== null;
  return (
    <DayOpener
      {...frame}
      shown={at ? dates.tell(at, isThisYear(at) ? 'EEE short, time' : 'dated, time') : 'no date yet'}
      day={at}
      onDay={(day) => put(day, typed)}
    >
      <div className="mt-2 flex items-end gap-3 border-t border-rule pt-2">
        <TextField
          label="Time"
          className="w-28"
          inputMode="numeric"
          placeholder={dates.tell(usual(new Date()), 'time')}
          value={typed}
          error={isTime ? undefined : `Write it like ${dates.tell(usual(new Date()), 'time')}.`}
          onChange={(e) => {
            setTyped(e.target.value);
            if (at && dates.typed(e.target.value, at)) put(at, e.target.value);
          }}
        />
        <Button weight="bare" className="px-2!" onClick={() => onChange(null)}>
          No date
        </Button>
      </div>
    </DayOpener>
  );
}
