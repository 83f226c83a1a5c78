import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Play, Square } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { PACE_FACTORS, analyseCombo, findFindings, type Finding, type Rule } from '@eurhythm/core/body';
import { otherLead, type Lead, type MoveBook } from '@eurhythm/core/moves';
import { SaveComboDto, audienceOf, checkFields, type ComboView, type GymView } from '@eurhythm/contract';
import { put, send } from '../../app/api.ts';
import { putDraft, type Draft } from '../../app/useDraft.ts';
import { ComboHistory } from './ComboHistory.tsx';
import { editedLine } from './editedLine.ts';
import { useFieldErrors } from '../../app/useFieldErrors.ts';
import { useShortcut } from '../../app/useShortcut.ts';
import { useHearing } from '../../floor/useHearing.ts';
import { Button, Key } from '../../ui/Button.tsx';
import { Part, Plain } from '../../ui/Panel.tsx';
import { BodySays } from './BodySays.tsx';
import { ComboCard } from './ComboCard.tsx';
import { LineEditor } from './LineEditor.tsx';
import { LineStrip } from './LineStrip.tsx';
import { TeachIt } from './TeachIt.tsx';
import { useDrawnLine } from './useDrawnLine.ts';

const NO_FINDINGS: readonly Finding[] = [];

interface WorkbenchProps {
  readonly id: string;
  readonly isNew: boolean;
  readonly combo: SaveComboDto;
  readonly draft: Draft<SaveComboDto>;
  readonly gym: GymView;
  readonly book: MoveBook;
  /** The lowest number that the combo's grade has not given yet. */
  readonly freeNumber: number;
}

/** One combo: its line, its strip, what the body says to it, and its card. */
export function Workbench({ id, isNew, combo, draft, gym, book, freeNumber }: WorkbenchProps) {
  const { grades, school } = gym;
  const client = useQueryClient();
  const navigate = useNavigate();
  const errors = useFieldErrors();
  const hearing = useHearing();
  const [lead, setLead] = useState<Lead>('left');
  const [chosen, setChosen] = useState<{ index: number; from: number; to: number } | null>(null);
  const analysis = useMemo(() => analyseCombo(combo.line, book, lead), [combo.line, book, lead]);
  const report = useMemo(
    () =>
      analysis.ok
        ? findFindings(analysis.walk, book, {
            factor: PACE_FACTORS[school.pace],
            bpm: combo.bpm > 0 ? combo.bpm : null,
            audience: audienceOf(combo.gradeId, grades, school),
            school,
          })
        : null,
    [analysis, book, school, combo.bpm, combo.gradeId, grades],
  );
  const drawn = useDrawnLine(analysis, combo, lead, book);
  const grade = grades.find((each) => each.id === combo.gradeId);

  const change = (changes: Partial<SaveComboDto>): void => draft.change({ ...combo, ...changes });
  const save = useMutation({
    mutationFn: () => put<ComboView>(`combos/${id}`, combo),
    onSuccess: async (saved) => {
      await client.invalidateQueries({ queryKey: ['combos'] });
      draft.clear();
      errors.show([]);
      toast(`${saved.grade} ${saved.number} is saved.`);
      if (isNew) void navigate(`/combos/${id}`, { replace: true });
    },
    onError: errors.showFailure,
  });
  const remove = useMutation({
    mutationFn: () => send('DELETE', `combos/${id}`),
    onSuccess: async () => {
      draft.clear();
      await client.invalidateQueries({ queryKey: ['combos'] });
      toast(`“${combo.title}” is out of the book.`, {
        duration: 10_000,
        action: {
          label: 'Undo',
          onClick: () =>
            void put(`combos/${id}`, combo).then(() => client.invalidateQueries({ queryKey: ['combos'] })),
        },
      });
      void navigate('/combos');
    },
    onError: (error) => toast.error(error.message),
  });

  const copy = (): void => {
    putDraft('combo.new', { ...combo, title: `${combo.title}, again`.slice(0, 60), number: freeNumber });
    void navigate('/combos/new');
  };
  const trySave = (): void => {
    const wrong = checkFields(SaveComboDto, combo);
    errors.show(wrong);
    if (wrong.length === 0 && analysis.ok) save.mutate();
    else if (wrong.length === 0)
      toast.error('The line has a fault. Mend it, then save; nothing is lost meanwhile.');
  };
  useShortcut('mod+s', trySave);
  const mute = async (rule: Rule): Promise<void> => {
    const set = async (muted: readonly Rule[]): Promise<void> => {
      client.setQueryData(['gym'], await put<GymView>('gym/school', { ...school, muted }));
    };
    try {
      await set([...school.muted, rule]);
      toast('The gym does not hear of this any more. Gym turns it on again.', {
        duration: 10_000,
        action: { label: 'Undo', onClick: () => void set(school.muted) },
      });
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  };
  const take = (line: string, what: string): void => {
    const before = combo.line;
    change({ line });
    toast(`The line is now ${what}.`, {
      duration: 10_000,
      action: { label: 'Undo', onClick: () => change({ line: before }) },
    });
  };
  const hear = (): void => {
    if (hearing.state !== 'silent') hearing.stop();
    else if (analysis.ok && errors.of('bpm') === undefined) hearing.hear(combo.line, lead, combo.bpm);
  };

  return (
    <div className="min-w-0 flex-1 px-8 py-5">
      <header className="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div className="flex items-end gap-5">
          <span className="font-heading text-5xl leading-none font-bold">{combo.number || '–'}</span>
          <div>
            <p className="text-sm text-quiet">{grade?.name} grade</p>
            <h1 className="text-3xl">{combo.title || 'A new combo'}</h1>
          </div>
        </div>
        <div className="flex items-center gap-3">
          <p className="mr-2">
            <strong className="font-heading text-2xl">{combo.bpm || '–'}</strong>{' '}
            <span className="text-sm text-quiet">beats a minute</span>
          </p>
          <Button onClick={() => setLead(otherLead(lead))}>Other lead</Button>
          {(draft.isChanged || isNew) && (
            <Button onClick={trySave} disabled={save.isPending}>
              Save
            </Button>
          )}
          <Button weight="main" onClick={hear} disabled={!analysis.ok || hearing.state === 'loading'}>
            {hearing.state === 'playing' ? <Square size={16} aria-hidden /> : <Play size={16} aria-hidden />}
            {hearing.state === 'loading'
              ? 'Getting the voice'
              : hearing.state === 'playing'
                ? 'Stop'
                : 'Hear it'}{' '}
            <Key>Enter</Key>
          </Button>
        </div>
      </header>
      <LineEditor
        value={combo.line}
        analysis={analysis}
        findings={report?.findings ?? NO_FINDINGS}
        book={book}
        chosen={chosen}
        onChange={(line) => change({ line })}
        onHear={hear}
      />
      <LineStrip
        drawn={drawn}
        isStale={!analysis.ok}
        report={report}
        lead={lead}
        beat={hearing.beat}
        chosen={chosen?.index ?? null}
        onChoose={({ index, from, to }) => setChosen({ index, from, to })}
        onEdit={(pin, edit) => {
          const line = editedLine(combo.line, book, pin.from, edit);
          if (line !== null) change({ line });
        }}
      />
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <Part
          title="What the body says"
          aside={drawn ? `${drawn.walk.strokes.length} strokes · ${drawn.beats} beats a cycle` : ''}
        >
          <BodySays
            analysis={analysis}
            report={report}
            lead={lead}
            pace={school.pace}
            onPlace={({ from, to }) => setChosen({ index: -1, from, to })}
            onMute={(rule) => void mute(rule)}
          />
        </Part>
        <Part title="Teach it">
          {!analysis.ok && <Plain>Once the line can be read, its ways of teaching stand here.</Plain>}
          {analysis.ok && (
            <TeachIt
              combo={combo}
              lead={lead}
              fastestBpm={report?.fastestBpm ?? null}
              factor={PACE_FACTORS[school.pace]}
              book={book}
              grades={grades}
              school={school}
              onHear={(line, bpm) => hearing.hear(line, lead, bpm)}
              onTake={take}
            />
          )}
        </Part>
        <Part title="On the card" aside={draft.isChanged ? 'not saved yet' : isNew ? '' : 'saved'}>
          <ComboCard combo={combo} grades={grades} errors={errors} onChange={change} />
          <div className="mt-4 flex flex-wrap gap-3">
            {!isNew && <Button onClick={copy}>Copy</Button>}
            {draft.isChanged && !isNew && <Button onClick={draft.clear}>Put back</Button>}
            {!isNew && (
              <Button weight="bare" onClick={() => remove.mutate()}>
                Take out of the book
              </Button>
            )}
          </div>
        </Part>
        {!isNew && <ComboHistory id={id} onRestore={(before) => draft.change(before)} />}
      </div>
    </div>
  );
}
