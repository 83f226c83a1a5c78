import { memo, type ReactNode } from 'react';
import {
  cleanTempo,
  type BodyReport,
  type ClockLimit,
  type ComboAnalysis,
  type Finding,
} from '@eurhythm/core/body';
import type { Lead } from '@eurhythm/core/moves';
import { Tip } from '../../../ui/panels/Tip.tsx';
import { Marked } from '../../../ui/panels/Marked.tsx';

interface BodySaysProps {
  readonly analysis: ComboAnalysis;
  readonly report: BodyReport | null;
  readonly lead: Lead;
  readonly pace: string;
  onPlace(place: { from: number; to: number }): void;
  /** Tells the gym not to hear of a rule any more. */
  onMute(finding: Finding): void;
}

const MARKS = { cannot: '×', caution: '!', note: '·' } as const;
const WEIGHTS = { cannot: 'Cannot be done', caution: 'Caution', note: 'Note' } as const;

/** Faults of the line, or what the walk through it found. */
export const BodySays = memo(function BodySays({
  analysis,
  report,
  lead,
  pace,
  onPlace,
  onMute,
}: BodySaysProps) {
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
  const { end, comesHome, floor } = analysis.walk;
  const room = Object.entries(floor).filter(([, steps]) => steps > 0);
  return (
    <>
      <dl>
        {report && <Row sign={String(cleanTempo(report)?.bpm ?? '–')}>{tempoText(report, pace)}</Row>}
        <Row sign={end.lead === 'left' ? 'L' : 'R'}>
          {comesHome
            ? `Comes home: ends in ${end.lead} lead, facing in.`
            : `Ends in ${end.lead} lead${end.facing === 0 ? '' : `, turned ${Math.abs(end.facing)}° away`}${end.place.forward === 0 && end.place.right === 0 ? '' : ', elsewhere than it began'}.${end.lead === lead ? '' : ' The voice calls the change back.'}`}
        </Row>
        <Row sign={room.length === 0 ? '0' : String(Math.max(...room.map(([, steps]) => steps)))}>
          {room.length === 0
            ? 'Done on the spot.'
            : `Steps of room: ${room.map(([way, steps]) => `${steps} ${way}`).join(', ')}.`}
        </Row>
      </dl>
      {report && report.findings.length > 0 && (
        <ul aria-label="Findings">
          {report.findings.map((finding) => (
            <li
              key={`${finding.rule}-${finding.from}-${finding.message}`}
              className="grid grid-cols-[2rem_1fr_auto] items-start border-b border-rule"
            >
              <Tip text={WEIGHTS[finding.severity]}>
                <span
                  className={`pt-2 font-heading text-xl font-bold ${finding.severity === 'note' ? 'text-quiet' : 'text-caution'}`}
                >
                  {MARKS[finding.severity]}
                </span>
              </Tip>
              <button
                type="button"
                className="min-h-11 py-2 text-left hover:bg-hint"
                onClick={() => onPlace(finding)}
              >
                <span className="sr-only">{WEIGHTS[finding.severity]}: </span>
                <Marked text={finding.message} />
              </button>
              <button
                type="button"
                className="min-h-11 px-2 text-sm text-quiet underline underline-offset-2"
                onClick={() => onMute(finding)}
              >
                Mute
                <span className="sr-only">
                  {' '}
                  “{finding.risk ? finding.message : finding.rule}” for the gym
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
});

/** The fastest clean tempo, and whether the line itself or its repeat holds it back. */
function tempoText(report: BodyReport, pace: string): string {
  const { limit, repeat } = report;
  const clean = cleanTempo(report);
  if (!clean) return limit ? `No tempo helps: ${limit.reason}.` : 'There is nothing to time here.';
  const why = (held: ClockLimit, next: string): string =>
    `Stroke ${held.fromStroke + 1} to ${next}${held.toStroke + 1} is the limit, ${held.seconds.toFixed(2)} s: ${held.reason}.`;
  if (clean.by === 'line') return `Fastest clean tempo at ${pace} pace. ${why(limit!, '')}`;
  const beats = Number(repeat!.beats.toFixed(2));
  return `Fastest clean tempo at ${pace} pace, when it is repeated every ${beats === 1 ? 'beat' : `${beats} beats`}. ${why(repeat!.limit!, 'the next ')}`;
}

function Row({ sign, children }: { sign: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[4.5rem_1fr] items-baseline border-b border-rule py-2.5">
      <dt className="font-heading text-2xl font-bold">{sign}</dt>
      <dd>{children}</dd>
    </div>
  );
}
