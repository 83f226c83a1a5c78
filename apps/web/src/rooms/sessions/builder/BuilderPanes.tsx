import type { ReactNode } from 'react';
import type { SessionWarning } from '@eurhythm/core/plan';
import type { MutedRule } from '@eurhythm/core/rounds';
import type { LibraryItem, RoundDto } from '@eurhythm/contract';
import { toast } from 'sonner';
import { useStable } from '../../../ui/useStable.ts';
import { Tabs } from '../../../ui/panels/Tabs.tsx';
import { LibraryPanel } from '../library/LibraryPanel.tsx';
import { FitPanel } from '../plan/FitPanel.tsx';
import { TotalsChart } from '../plan/TotalsChart.tsx';
import { usePlanned } from '../plan/usePlanned.ts';
import { WarningsPanel } from '../plan/WarningsPanel.tsx';
import { hearing, placeToAdd, withBlock, withMuted, withRounds } from './arrange.ts';
import { RoundCheck } from './rounds/RoundCheck.tsx';

export type Pane = 'round' | 'check' | 'library' | 'fit' | 'totals';

interface BuilderPanesProps {
  readonly seedKey: string;
  /** What the class is about. */
  readonly title: string;
  readonly lead: 'left' | 'right';
  readonly rounds: readonly RoundDto[];
  /** The round that is open. */
  readonly at: number;
  readonly pane: Pane;
  /** The settings of the open round. */
  readonly editor: ReactNode;
  onPane(pane: Pane): void;
  onChange(rounds: RoundDto[]): void;
  onChoose(round: number): void;
}

/** Everything beside the list of rounds, one pane at a time: the open round, what to look at, the library, the length, the sums. */
export function BuilderPanes(props: BuilderPanesProps) {
  const { seedKey, title, lead, rounds, at, pane, editor, onPane, onChange, onChoose } = props;
  const { warnings } = usePlanned();
  const open = rounds[at];
  const showRound = useStable((id: string): void => {
    onChoose(
      Math.max(
        0,
        rounds.findIndex((each) => id === each.id || id.startsWith(`${each.id}.`)),
      ),
    );
    onPane('round');
  });
  const mute = useStable(({ rule, place }: SessionWarning): void => {
    if (place) onChange(withMuted(rounds, place.round, rule as MutedRule));
  });
  const hearAll = useStable((): void => onChange(rounds.map(hearing)));
  const tabs = [
    { value: 'round' as const, label: 'Round', content: editor ?? <NoRound /> },
    {
      value: 'check' as const,
      label: 'Check',
      count: warnings.length,
      content: (
        <>
          <WarningsPanel
            muted={rounds.flatMap((round) => round.blocks.flatMap(({ muted = [] }) => muted)).length}
            onPlace={showRound}
            onMute={mute}
            onHearAll={hearAll}
          />
          {open && <RoundCheck seedKey={seedKey} round={open} lead={lead} />}
        </>
      ),
    },
    {
      value: 'library' as const,
      label: 'Library',
      content: <FromLibrary rounds={rounds} at={at} onChange={onChange} onChoose={onChoose} />,
    },
    {
      value: 'fit' as const,
      label: 'Fit',
      content: <FitPanel theme={title} rounds={rounds} onChange={onChange} />,
    },
    {
      value: 'totals' as const,
      label: 'Totals',
      content: (
        <>
          <p className="text-sm text-quiet">About, for one fighter.</p>
          <TotalsChart />
        </>
      ),
    },
  ];
  return <Tabs label="About the session" value={pane} tabs={tabs} onChange={onPane} />;
}

function NoRound() {
  return <p className="py-4 text-quiet">Add a round on the left, or take one from the library.</p>;
}

interface FromLibraryProps {
  readonly rounds: readonly RoundDto[];
  /** The round that is open. */
  readonly at: number;
  onChange(rounds: RoundDto[]): void;
  onChoose(round: number): void;
}

/** Pieces of the library, put at the end as rounds or into the open round as blocks. */
function FromLibrary({ rounds, at, onChange, onChoose }: FromLibraryProps) {
  const open = rounds[at];
  const putIn = useStable((item: LibraryItem): void => {
    onChange(withRounds(rounds, item.rounds));
    onChoose(rounds.length);
    toast(`“${item.title}” stands at the end.`);
  });
  const putBlocksIn = useStable((item: LibraryItem): void => {
    if (!open) return;
    const blocks = item.rounds.flatMap((round) => round.blocks);
    const filled = blocks.reduce((round, block) => withBlock(round, block, placeToAdd(round)), open);
    onChange(rounds.with(at, filled));
    toast(`${blocks.length} blocks are put into “${open.title}”.`);
  });
  return <LibraryPanel onRounds={putIn} onBlocks={open ? putBlocksIn : null} />;
}
