import { useState } from 'react';
import type { SaveComboDto } from '@eurhythm/contract';
import type { Bpm } from '@eurhythm/core/units';
import type { Hearing, HearingWish } from '../../../floor/output/useHearing.ts';
import { UndoButtons } from '../../../sync/drafts/UndoButtons.tsx';
import type { Draft } from '../../../sync/drafts/useDraft.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { MovePalette } from '../line/MovePalette.tsx';
import { HearWays } from './Hear.tsx';

interface BenchToolsProps {
  readonly hearing: Hearing;
  readonly isReadable: boolean;
  readonly loops: boolean;
  /** Tempos from slow to fast. */
  readonly rungs: readonly Bpm[];
  readonly draft: Draft<SaveComboDto>;
  /** Whether the moves lie there from the start. */
  readonly showsMoves: boolean;
  onLoop(loops: boolean): void;
  onHear(wish: Partial<HearingWish>): void;
  onPut(word: string): void;
}

/** What is done with the line under its strip: other ways to hear it, undo, and moves to put on it. */
export function BenchTools(props: BenchToolsProps) {
  const { hearing, isReadable, loops, rungs, draft, showsMoves, onLoop, onHear, onPut } = props;
  const [palette, setPalette] = useState(showsMoves);
  return (
    <div className="mb-4">
      <div className="flex flex-wrap items-center gap-x-2">
        <HearWays
          disabled={!isReadable || hearing.state === 'loading'}
          loops={loops}
          slow={rungs[0]}
          fast={rungs.at(-1)}
          onLoop={onLoop}
          onHear={(bpm) => onHear({ bpm })}
        />
        <UndoButtons draft={draft} />
        <Button weight="bare" aria-expanded={palette} onClick={() => setPalette(!palette)}>
          {palette ? 'Put the moves away' : 'Moves to put on the strip'}
        </Button>
      </div>
      {palette && <MovePalette onPut={onPut} />}
    </div>
  );
}
