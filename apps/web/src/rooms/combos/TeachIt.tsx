import { useMemo, useState, type ReactNode } from 'react';
import { parseLine, type BeatLine } from '@eurhythm/core/line';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import {
  easier,
  even,
  grow,
  ladder,
  leadAdvice,
  light,
  orders,
  parts,
  power,
  writtenStrokes,
} from '@eurhythm/core/teach';
import { audienceOf, type GradeView, type SaveComboDto, type SchoolDto } from '@eurhythm/contract';
import { ChoiceField } from '../../ui/Field.tsx';

interface TeachItProps {
  readonly combo: SaveComboDto;
  readonly lead: Lead;
  readonly fastestBpm: number | null;
  readonly factor: number;
  readonly book: MoveBook;
  readonly grades: readonly GradeView[];
  readonly school: SchoolDto;
  onHear(line: string, bpm: number): void;
  /** Puts the line of a variant in place of the combo's own; undo brings it back. */
  onTake(line: string, what: string): void;
}

/** The combo turned into the ways in which it is taught. */
export function TeachIt(props: TeachItProps) {
  const { combo, book } = props;
  const line = useMemo(() => {
    const parsed = parseLine(combo.line, book);
    return parsed.ok ? parsed.line : null;
  }, [combo.line, book]);
  return line && <Ways {...props} line={line} />;
}

function Ways({
  combo,
  line,
  lead,
  fastestBpm,
  factor,
  book,
  grades,
  school,
  onHear,
  onTake,
}: TeachItProps & { line: BeatLine }) {
  const [open, setOpen] = useState<string | null>(null);
  const [forGrade, setForGrade] = useState(grades[0]?.id ?? '');
  const counted = useMemo(() => parts(line, book, lead), [line, book, lead]);
  const grown = useMemo(() => grow(line), [line]);
  const rungs = ladder(combo.bpm, fastestBpm);
  const slow = even(line);
  const made = useMemo(
    () => easier(line, book, audienceOf(forGrade, grades, school)),
    [line, book, forGrade, grades, school],
  );
  const words = writtenStrokes(line).map((stroke) => combo.line.slice(stroke.from, stroke.to));
  const ranked = useMemo(
    () =>
      words.length <= 5 && words.every((word) => !/[?^]/.test(word))
        ? orders(words, book, lead, factor).slice(0, 6)
        : [],
    // The words are those of the line.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [combo.line, book, lead, factor],
  );
  const advice = leadAdvice(line, book, lead === 'left' ? 'right' : 'left');
  const toggle = (what: string) => () => setOpen(open === what ? null : what);
  const hear = (text: string, bpm = combo.bpm) => <Press onPress={() => onHear(text, bpm)}>Hear</Press>;
  const take = (text: string, what: string) => <Press onPress={() => onTake(text, what)}>Take</Press>;
  return (
    <div>
      <Way
        name="By parts"
        what={`${counted.length} counts, each with its cue`}
        actions={<Press onPress={toggle('parts')}>{open === 'parts' ? 'Close' : 'Open'}</Press>}
      >
        {open === 'parts' && (
          <ol className="list-decimal pl-6 text-sm">
            {counted.map((count, i) => (
              <li key={i} className="py-0.5">
                <strong>
                  {count.move}, {count.part.toLowerCase()}
                </strong>
                : {count.cue}
              </li>
            ))}
          </ol>
        )}
      </Way>
      <Way
        name="Grow"
        what={`${grown.slice(0, 3).join(' · ')}${grown.length > 3 ? ' · …' : ''}`}
        actions={<Press onPress={toggle('grow')}>{open === 'grow' ? 'Close' : 'Open'}</Press>}
      >
        {open === 'grow' && <Lines lines={grown} actions={(text) => hear(text)} />}
      </Way>
      <Way
        name="Even"
        what={slow === combo.line ? 'already a stroke on every beat' : slow}
        actions={
          slow !== combo.line && (
            <>
              {hear(slow)}
              {take(slow, 'even')}
            </>
          )
        }
      />
      <Way
        name="Ladder"
        what={`${rungs.join(' → ')} a minute${fastestBpm === null ? '' : `, clean up to ${fastestBpm}`}`}
        actions={rungs.map((bpm) => (
          <Press key={bpm} onPress={() => onHear(combo.line, bpm)}>
            {bpm}
          </Press>
        ))}
      />
      <Way name="Light" what="every strike a touch" actions={take(light(line, book), 'light')} />
      <Way
        name="Power"
        what="only the last strike with full power"
        actions={take(power(line, book), 'power')}
      />
      <Way
        name="Easier"
        what={
          made.changes.length === 0
            ? 'nothing is too hard for this grade'
            : made.line === ''
              ? `nothing is left: ${made.changes.join(' ')}`
              : made.changes.join(' ')
        }
        actions={
          made.line !== '' &&
          made.changes.length > 0 && (
            <>
              {hear(made.line)}
              {take(made.line, 'easier')}
            </>
          )
        }
      >
        <ChoiceField
          label="for"
          className="mt-1 w-40"
          value={forGrade}
          choices={grades.map((grade) => ({ value: grade.id, label: grade.name }))}
          onChange={(e) => setForGrade(e.target.value)}
        />
      </Way>
      {ranked.length > 1 && (
        <Way
          name="Orders"
          what={`${ranked[0]!.line} flows best`}
          actions={<Press onPress={toggle('orders')}>{open === 'orders' ? 'Close' : 'Open'}</Press>}
        >
          {open === 'orders' && (
            <Lines
              lines={ranked.map((order) => order.line)}
              note={(i) => `clean up to ${ranked[i]!.fastestBpm ?? '–'}`}
              actions={(text) => (
                <>
                  {hear(text)}
                  {take(text, 'in another order')}
                </>
              )}
            />
          )}
        </Way>
      )}
      {advice && <Way name="Lead" what={advice.message} actions={null} />}
    </div>
  );
}

function Way({
  name,
  what,
  actions,
  children,
}: {
  name: string;
  what: string;
  actions: ReactNode;
  children?: ReactNode;
}) {
  return (
    <div className="border-b border-rule py-1">
      <div className="grid min-h-11 grid-cols-[5.5rem_1fr_auto] items-center gap-2">
        <span className="font-semibold">{name}</span>
        <span className="min-w-0 break-words">{what}</span>
        <span className="flex gap-1">{actions}</span>
      </div>
      {children}
    </div>
  );
}

function Press({ onPress, children }: { onPress: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      onClick={onPress}
      className="min-h-11 rounded px-2.5 text-quiet underline underline-offset-4 hover:bg-hint hover:text-ink"
    >
      {children}
    </button>
  );
}

function Lines({
  lines,
  note,
  actions,
}: {
  lines: readonly string[];
  note?: (place: number) => string;
  actions: (line: string) => ReactNode;
}) {
  return (
    <ul>
      {lines.map((line, i) => (
        <li key={line} className="flex items-center gap-3 pl-4">
          <code className="min-w-0 flex-1 break-words font-line">{line}</code>
          {note && <span className="text-sm text-quiet">{note(i)}</span>}
          {actions(line)}
        </li>
      ))}
    </ul>
  );
}
