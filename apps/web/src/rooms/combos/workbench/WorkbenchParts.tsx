import type { ComponentProps } from 'react';
import { PACE_FACTORS, cleanTempo, type BodyReport, type ComboAnalysis } from '@eurhythm/core/body';
import type { Lead } from '@eurhythm/core/moves';
import { comboName } from '@eurhythm/core/plan';
import type { ComboView, GymView, SaveComboDto } from '@eurhythm/contract';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { WhereUsed } from '../../uses/WhereUsed.tsx';
import { TeachIt } from '../teach/TeachIt.tsx';
import { BodySays } from './BodySays.tsx';
import { ComboHistory } from './ComboHistory.tsx';
import { Listener } from './Listener.tsx';

export const cleanBpmOf = (report: BodyReport | null): number | null =>
  report && (cleanTempo(report)?.bpm ?? null);

/** A combo as what is worked out from it shows it. */
interface ShownCombo {
  readonly combo: SaveComboDto;
  readonly analysis: ComboAnalysis;
  readonly report: BodyReport | null;
  readonly lead: Lead;
}

interface LineSaysProps {
  readonly shown: ShownCombo;
  readonly aside: string;
  /** It is written in words, and not taken over yet. */
  readonly isWords: boolean;
  readonly school: GymView['school'];
  readonly onPlace: ComponentProps<typeof BodySays>['onPlace'];
  readonly onMute: ComponentProps<typeof BodySays>['onMute'];
}

/** What the body says to the line, and what a listener hears of it. */
export function LineSays({
  shown: { combo, analysis, report, lead },
  aside,
  isWords,
  school,
  onPlace,
  onMute,
}: LineSaysProps) {
  return (
    <>
      <Part title="What limits the speed" aside={aside}>
        {isWords ? (
          <Plain>Once it is clear which moves are meant, this is worked out.</Plain>
        ) : (
          <BodySays
            analysis={analysis}
            report={report}
            lead={lead}
            pace={school.pace}
            onPlace={onPlace}
            onMute={onMute}
          />
        )}
      </Part>
      <Part
        title="What a listener hears"
        aside={combo.bpm > 0 ? `on the beat, at ${combo.bpm} a minute` : 'needs a tempo'}
      >
        <Listener line={analysis.ok ? combo.line : ''} lead={lead} bpm={combo.bpm} words={school.words} />
      </Part>
    </>
  );
}

interface TaughtLineProps extends Pick<
  ComponentProps<typeof TeachIt>,
  'id' | 'onHear' | 'onLead' | 'onTake' | 'onKeep'
> {
  readonly shown: ShownCombo;
  readonly pace: GymView['school']['pace'];
}

export function TaughtLine({ shown: { combo, analysis, report, lead }, pace, ...rest }: TaughtLineProps) {
  return (
    <Part title="Teach it">
      {analysis.ok ? (
        <TeachIt
          combo={combo}
          lead={lead}
          fastestBpm={cleanBpmOf(report)}
          factor={PACE_FACTORS[pace]}
          {...rest}
        />
      ) : (
        <Plain>Once the line can be read, its ways of teaching stand here.</Plain>
      )}
    </Part>
  );
}

interface InTheBookProps {
  readonly id: string;
  readonly all: readonly ComboView[];
  onRestore(before: SaveComboDto): void;
}

/** Where a saved combo is used, and what it was before. */
export function InTheBook({ id, all, onRestore }: InTheBookProps) {
  const others = all
    .filter((other) => other.id !== id)
    .map((other) => ({ value: other.id, label: comboName(other) }));
  return (
    <>
      <WhereUsed address={`combos/${id}`} subject={SUBJECTS.combo} others={others} />
      <ComboHistory id={id} onRestore={onRestore} />
    </>
  );
}
