import { useDeferredValue, useMemo, useState } from 'react';
import type { Finding } from '@eurhythm/core/body';
import { parseLine } from '@eurhythm/core/line';
import { otherLead, type Lead } from '@eurhythm/core/moves';
import { ladder } from '@eurhythm/core/teach';
import { BPM_LIMITS } from '@eurhythm/core/units';
import type { SaveComboDto } from '@eurhythm/contract';
import { StaleNotice } from '../../../sync/StaleNotice.tsx';
import type { Draft } from '../../../sync/drafts/useDraft.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { useStable } from '../../../ui/useStable.ts';
import { useShortcut } from '../../../ui/focus/useShortcut.ts';
import { toastWithUndo } from '../../../ui/toastWithUndo.ts';
import { useHearing, type HearingWish } from '../../../floor/output/useHearing.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { ComboCard } from '../list/ComboCard.tsx';
import { freeNumber } from '../list/newCombo.ts';
import { BenchTools } from './BenchTools.tsx';
import { HearButton } from './Hear.tsx';
import { ReadAs } from '../line/ReadAs.tsx';
import { useWordsRead } from '../line/useWordsRead.ts';
import { LineEditor } from '../line/LineEditor.tsx';
import { LineStrip } from '../line/LineStrip.tsx';
import { useBodyReport } from './useBodyReport.ts';
import { useDrawnLine } from '../line/useDrawnLine.ts';
import { useLineEdits } from '../line/useLineEdits.ts';
import { useMutedRule } from './useMutedRule.ts';
import { useSavedCombo } from './useSavedCombo.ts';
import { WorkbenchHead } from './WorkbenchHead.tsx';
import { InTheBook, LineSays, TaughtLine, cleanBpmOf } from './WorkbenchParts.tsx';
import { useBook, useCombos, useGym } from '../../../server/gymData.ts';

/** What of a combo two coaches may have written differently. */
const COMBO_FIELDS = {
  title: 'Title',
  line: 'Line',
  bpm: 'Beats a minute',
  number: 'Number',
  notes: 'Notes',
  focus: 'Focus',
  bothLeads: 'Both leads',
  cycleBeats: 'Beats a cycle',
  contact: 'Contact',
} as const;

const NO_FINDINGS: readonly Finding[] = [];

interface WorkbenchProps {
  readonly id: string;
  readonly isNew: boolean;
  readonly combo: SaveComboDto;
  readonly draft: Draft<SaveComboDto>;
}

/** One combo: its line, its strip, what the body says to it, and its card. */
export function Workbench({ id, isNew, combo, draft }: WorkbenchProps) {
  const book = useBook();
  const all = useCombos();
  const gym = useGym();
  const { school } = gym;
  const errors = useFieldErrors();
  const hearing = useHearing();
  const [lead, setLead] = useState<Lead>('left');
  const [loops, setLoops] = useState(false);
  const words = useWordsRead(combo.line, book, lead);
  // Words that are no notation are drawn, heard and saved as they are read.
  const asRead = useMemo(
    () => (words?.line && !parseLine(combo.line, book).ok ? { ...combo, line: words.line } : combo),
    [combo, words, book],
  );
  const { analysis, report } = useBodyReport(asRead, lead);
  const drawn = useDrawnLine(analysis, asRead, lead, book);

  // The strip follows the keys within a frame; what is worked out from the line comes after it.
  const shown = useMemo(() => ({ combo: asRead, analysis, report, lead }), [asRead, analysis, report, lead]);
  const later = useDeferredValue(shown);

  const change = useStable((changes: Partial<SaveComboDto>): void => {
    // A new combo takes the next free number of the grade that is chosen for it.
    const numbered =
      isNew && changes.gradeId !== undefined ? { number: freeNumber(all, changes.gradeId) } : {};
    draft.change({ ...combo, ...numbered, ...changes });
  });
  const saved = useSavedCombo({ id, isNew, combo: asRead, isReadable: analysis.ok, all, draft, errors });
  useShortcut('mod+s', saved.trySave);
  const { chosen, choosePlace, choosePin, put, editPin } = useLineEdits(asRead.line, (line) =>
    change({ line }),
  );
  const mute = useStable(useMutedRule(gym));
  const keepForm = useStable(saved.keepForm);
  const take = useStable((line: string, what: string): void => {
    const before = combo.line;
    change({ line });
    toastWithUndo(`The line is now ${what}.`, () => change({ line: before }));
  });
  const takeWords = (line: string): void => change({ line });
  const { hear, hearOrStop } = useHearLine(hearing, asRead, { lead, loops, isReadable: analysis.ok });
  const rungs = ladder(combo.bpm, cleanBpmOf(report), school.speed);

  return (
    <div className="min-w-0 flex-1 px-8 py-5">
      <WorkbenchHead combo={combo}>
        <Button onClick={() => setLead(otherLead(lead))}>Other lead</Button>
        {(draft.isChanged || isNew) && <Button onClick={saved.trySave}>Save</Button>}
        <HearButton hearing={hearing} disabled={!analysis.ok} onPress={hearOrStop} />
      </WorkbenchHead>
      {saved.stale && (
        <StaleNotice
          stale={saved.stale}
          fields={COMBO_FIELDS}
          onMine={saved.saveMine}
          onTheirs={() => void saved.takeTheirs()}
        />
      )}
      <LineEditor
        value={combo.line}
        takesFocus={isNew}
        analysis={words ? null : later.analysis}
        findings={words ? NO_FINDINGS : (later.report?.findings ?? NO_FINDINGS)}
        chosen={chosen}
        onChange={(line) => change({ line })}
        onHear={words?.line ? () => takeWords(words.line!) : hearOrStop}
      />
      {words && (
        <ReadAs text={combo.line} read={words} onTake={takeWords} onMean={(line) => change({ line })} />
      )}
      <LineStrip
        drawn={drawn}
        isStale={!analysis.ok}
        report={report}
        lead={lead}
        beat={hearing.beat}
        chosen={chosen?.index ?? null}
        onChoose={choosePin}
        onEdit={editPin}
      />
      <BenchTools
        hearing={hearing}
        isReadable={analysis.ok}
        loops={loops}
        rungs={rungs}
        draft={draft}
        showsMoves={isNew}
        onLoop={setLoops}
        onHear={hear}
        onPut={put}
      />
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-2">
        <div className="grid gap-y-6">
          <LineSays
            shown={later}
            isWords={words !== null && words.line === null}
            aside={drawn ? `${drawn.walk.strokes.length} strokes · ${drawn.beats} beats a cycle` : ''}
            school={school}
            onPlace={choosePlace}
            onMute={mute}
          />
          <Part title="On the card" aside={draft.isChanged ? 'not saved yet' : isNew ? '' : 'saved'}>
            <ComboCard combo={combo} errors={errors} onChange={change} />
            <CardButtons isNew={isNew} draft={draft} saved={saved} />
          </Part>
        </div>
        <div className="grid gap-y-6">
          <TaughtLine
            id={id}
            shown={later}
            pace={school.pace}
            onHear={hear}
            onLead={setLead}
            onTake={take}
            onKeep={isNew ? undefined : keepForm}
          />
          {!isNew && <InTheBook id={id} all={all} onRestore={(before) => draft.change(before)} />}
        </div>
      </div>
    </div>
  );
}

/** What may be done with the card as a whole. */
function CardButtons({
  isNew,
  draft,
  saved,
}: Pick<WorkbenchProps, 'isNew' | 'draft'> & { saved: ReturnType<typeof useSavedCombo> }) {
  return (
    <div className="mt-4 flex flex-wrap gap-3">
      {!isNew && <Button onClick={saved.copy}>Copy</Button>}
      {draft.isChanged && !isNew && <Button onClick={draft.clear}>Put back</Button>}
      {!isNew && (
        <Button weight="bare" onClick={saved.remove}>
          Take out of the book
        </Button>
      )}
    </div>
  );
}

interface HowToHear {
  readonly lead: Lead;
  readonly loops: boolean;
  readonly isReadable: boolean;
}

/** The line as a voice calls it, heard or stopped. */
function useHearLine(
  hearing: ReturnType<typeof useHearing>,
  { line, bpm }: SaveComboDto,
  { lead, loops, isReadable }: HowToHear,
) {
  const { words } = useGym().school;
  const hear = useStable((wish: Partial<HearingWish> = {}): void =>
    hearing.hear({ line, lead, bpm, words, times: loops ? 'loop' : 'once', ...wish }),
  );
  const isTempo = bpm >= BPM_LIMITS.min && bpm <= BPM_LIMITS.max;
  const hearOrStop = (): void => {
    if (hearing.state !== 'silent') hearing.stop();
    else if (isReadable && isTempo) hear();
  };
  return { hear, hearOrStop };
}
