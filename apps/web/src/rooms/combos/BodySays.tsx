import type { ReactNode } from 'react';
import type { ComboAnalysis } from '@eurhythm/core/body';
import type { Lead } from '@eurhythm/core/moves';
import { Marked } from '../../ui/Marked.tsx';

interface BodySaysProps {
  readonly analysis: ComboAnalysis;
  readonly lead: Lead;
  onPlace(place: { from: number; to: number }): void;
}

/** Faults of the line, or what the walk through it found. */
export function BodySays({ analysis, lead, onPlace }: BodySaysProps) {
  if (!analysis.ok) {
    return (
      <ul aria-label="Faults">
        {analysis.errors.map((error) => (
          <li key={`${error.from}-${error.message}`} className="border-b border-rule">
            <button
              type="button"
              className="min-h-11 w-full py-2 text-left hover:bg-hint"
              onClick={() => onPlace({ from: error.from, to: error.to })}
            >
              <Marked className="font-semibold text-caution" text={error.message} />{' '}
              <Marked text={`Here can stand ${error.expected}.`} />
            </button>
          </li>
        ))}
      </ul>
    );
  }
  const { end, comesHome, floor, leadChanges } = analysis.walk;
  const away = end.lead === lead ? '' : `Add sw or a step at the end to come home to ${lead} lead.`;
  const room = Object.entries(floor).filter(([, steps]) => steps > 0);
  return (
    <dl>
      <Row sign={end.lead === 'left' ? 'L' : 'R'}>
        {comesHome
          ? `Comes home: ends in ${end.lead} lead, facing in.`
          : `Ends in ${end.lead} lead${end.facing === 0 ? '' : `, turned ${Math.abs(end.facing)}° away`}. ${away}`}
      </Row>
      <Row sign={String(leadChanges.length)}>
        {leadChanges.length === 0
          ? 'No change of lead on the way.'
          : `Lead changes to ${leadChanges.map((change) => change.to).join(', then ')}.`}{' '}
      </Row>
      <Row sign={room.length === 0 ? '0' : String(Math.max(...room.map(([, steps]) => steps)))}>
        {room.length === 0
          ? 'Done on the spot.'
          : `Steps of room: ${room.map(([way, steps]) => `${steps} ${way}`).join(', ')}.`}
      </Row>
    </dl>
  );
}

function Row({ sign, children }: { sign: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[4.5rem_1fr] items-baseline border-b border-rule py-2.5">
      <dt className="font-heading text-2xl font-bold">{sign}</dt>
      <dd>{children}</dd>
    </div>
  );
}
