import { memo, useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { parseLine, type BeatLine } from '@eurhythm/core/line';
import { otherLead, type Lead } from '@eurhythm/core/moves';
import {
  even,
  grow,
  ladder,
  leadAdvice,
  light,
  opposite,
  openingFamily,
  orders,
  parts,
  power,
  wordsOf,
  type RecipeKind,
} from '@eurhythm/core/teach';
import type { SaveComboDto } from '@eurhythm/contract';
import type { HearingWish } from '../../../floor/output/useHearing.ts';
import type { KeptForm } from '../workbench/useSavedCombo.ts';
import { EasierAndHarder } from './EasierAndHarder.tsx';
import { Lines, Press, Way } from './Way.tsx';
import { useBook, useCombos, useGym } from '../../../server/gymData.ts';

interface TeachItProps {
  readonly combo: SaveComboDto;
  readonly lead: Lead;
  readonly fastestBpm: number | null;
  readonly factor: number;
  /** Its own id, which no other combo has. */
  readonly id: string;
  onHear(wish: Partial<HearingWish>): void;
  onLead(lead: Lead): void;
  /** Puts the line of a variant in place of the combo's own; undo brings it back. */
  onTake(line: string, what: string): void;
  /** Begins a combo of its own that follows this one. Without it the combo is not in the book yet. */
  onKeep?: ((form: KeptForm) => void) | undefined;
}

/** The combo turned into the ways in which it is taught. */
export const TeachIt = memo(function TeachIt(props: TeachItProps) {
  const book = useBook();
  const { combo } = props;
  const line = useMemo(() => {
    const parsed = parseLine(combo.line, book);
    return parsed.ok ? parsed.line : null;
  }, [combo.line, book]);
  return line && <Ways {...props} line={line} />;
});

function Ways(props: TeachItProps & { line: BeatLine }) {
  const { id, combo, line, lead, fastestBpm, factor, onHear, onLead, onTake, onKeep } = props;
  const book = useBook();
  const { school } = useGym();
  const [open, setOpen] = useState<string | null>(null);
  const counted = useMemo(() => parts(line, book, lead), [line, book, lead]);
  const grown = useMemo(() => grow(line), [line]);
  const rungs = ladder(combo.bpm, fastestBpm, school.speed);
  const slow = even(line);
  const soft = light(line, book);
  const hard = power(line, book);
  const other = opposite(line, book);
  const advice = leadAdvice(line, book, lead === 'left' ? 'right' : 'left');
  const toggle = (what: string): ReactNode => (
    <Press onPress={() => setOpen(open === what ? null : what)}>{open === what ? 'Close' : 'Open'}</Press>
  );
  const form = (
    kind: RecipeKind,
    step: number | null,
    text: string,
    what: string,
    gradeId?: string,
  ): ReactNode => (
    <>
      <Press onPress={() => onHear({ line: text })}>Hear</Press>
      <Press onPress={() => onTake(text, what)}>Take</Press>
      {onKeep && (
        <Press
          onPress={() => onKeep({ kind, step, line: text, ...(gradeId === undefined ? {} : { gradeId }) })}
        >
          Keep
        </Press>
      )}
    </>
  );
  return (
    <div>
      <Way name="By parts" what={`${counted.length} counts, each with its cue`} actions={toggle('parts')}>
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
        actions={toggle('grow')}
      >
        {open === 'grow' && (
          <Lines lines={grown} actions={(text, i) => form('grow', i + 1, text, 'the start of it')} />
        )}
      </Way>
      <Way
        name="Even"
        what={slow === combo.line ? 'already a stroke on every beat' : slow}
        actions={slow !== combo.line && form('even', null, slow, 'even')}
      />
      <Way
        name="Joined"
        what="one count for the whole combo"
        actions={<Press onPress={() => onHear({ calls: 'one-count' })}>Hear</Press>}
      />
      <Way
        name="Ladder"
        what={`${rungs.length > 0 ? `${rungs.join(' → ')} a minute` : 'needs a tempo'}${fastestBpm === null ? '' : `, clean up to ${fastestBpm}`}`}
        actions={rungs.map((bpm) => (
          <Press key={bpm} onPress={() => onHear({ bpm })}>
            {bpm}
          </Press>
        ))}
      />
      <Way
        name="Mirror"
        what={`the same from the ${otherLead(lead)} lead`}
        actions={
          <>
            <Press onPress={() => onHear({ lead: otherLead(lead) })}>Hear</Press>
            <Press onPress={() => onLead(otherLead(lead))}>Show</Press>
          </>
        }
      />
      <Way name="Light" what="every strike a touch" actions={form('light', null, soft, 'light')} />
      <Way
        name="Power"
        what="only the last strike with full power"
        actions={form('power', null, hard, 'power')}
      />
      <Way
        name="Silent"
        what="the holder shows, nobody calls"
        actions={<Press onPress={() => onHear({ calls: 'silent' })}>Hear</Press>}
      />
      <EasierAndHarder combo={combo} line={line} form={form} />
      <Way
        name="Opposite"
        what={[other.line, ...other.changes].join(' · ')}
        actions={form('opposite', null, other.line, 'by the other side')}
      />
      <Orders
        line={line}
        lead={lead}
        factor={factor}
        form={(text, i) => form('order', i, text, 'in another order')}
      />
      <OpensLike id={id} line={combo.line} />
      {advice && <Way name="Lead" what={advice.message} actions={null} />}
    </div>
  );
}

interface OrdersProps {
  readonly line: BeatLine;
  readonly lead: Lead;
  readonly factor: number;
  form(text: string, place: number): ReactNode;
}

/** The same strokes in other orders, the one that flows best first. */
function Orders({ line, lead, factor, form }: OrdersProps) {
  const book = useBook();
  const [isOpen, setOpen] = useState(false);
  const ranked = useMemo(
    () => orders(wordsOf(line), book, lead, factor).slice(0, 6),
    [line, book, lead, factor],
  );
  if (ranked.length < 2) return null;
  return (
    <Way
      name="Orders"
      what={`${ranked[0]!.line} flows best`}
      actions={<Press onPress={() => setOpen(!isOpen)}>{isOpen ? 'Close' : 'Open'}</Press>}
    >
      {isOpen && (
        <Lines
          lines={ranked.map((order) => order.line)}
          note={(i) => `clean up to ${ranked[i]!.fastestBpm ?? '–'}`}
          actions={form}
        />
      )}
    </Way>
  );
}

/** Other combos of the gym that begin with the same strokes. */
function OpensLike({ id, line }: { id: string; line: string }) {
  const book = useBook();
  const combos = useCombos();
  const family = useMemo(
    () =>
      openingFamily(
        line,
        combos.filter((other) => other.id !== id),
        book,
      ),
    [line, combos, id, book],
  );
  if (family.length === 0) return null;
  return (
    <Way
      name="Opens like"
      what={family.slice(0, 4).map(({ combo: other, strokes }) => (
        <span key={other.id} className="mr-3 whitespace-nowrap">
          <Link to={`/combos/${other.id}`} className="underline underline-offset-4">
            {other.grade} {other.number}
          </Link>{' '}
          <span className="text-sm text-quiet">{strokes} strokes</span>
        </span>
      ))}
      actions={null}
    />
  );
}
