import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { autocompletion, type CompletionContext, type CompletionResult } from '@codemirror/autocomplete';
import { setDiagnostics, type Diagnostic } from '@codemirror/lint';
import { EditorState, RangeSetBuilder, StateEffect, StateField } from '@codemirror/state';
import { Decoration, EditorView, keymap, placeholder, type DecorationSet } from '@codemirror/view';
import { useStable } from '../../../ui/useStable.ts';
import { useEffect, useRef } from 'react';
import { flushSync } from 'react-dom';
import type { ComboAnalysis, Finding } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { pinColour } from '../../../strip/PinHead.tsx';
import { useBook } from '../../../server/gymData.ts';
import { LINE_BOX, type LineTextProps } from './lineBox.ts';

/** How an underline looks for the weight of a finding. */
const SEVERITIES = { cannot: 'error', caution: 'warning', note: 'info' } as const;

const setColours = StateEffect.define<DecorationSet>();
const colours = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update: (now, transaction) =>
    transaction.effects.reduce(
      (set, effect) => (effect.is(setColours) ? effect.value : set),
      now.map(transaction.changes),
    ),
  provide: (field) => EditorView.decorations.from(field),
});

const look = EditorView.theme({
  '&': { fontSize: '1.5rem', backgroundColor: 'transparent', color: 'var(--color-ink)' },
  '&.cm-focused': { outline: 'none' },
  '.cm-content': { fontFamily: 'var(--font-line)', padding: '0.55rem 0', caretColor: 'var(--color-ink)' },
  '.cm-line': { padding: '0 0.9rem' },
  '.cm-cursor': { borderLeftWidth: '2px' },
  '.cm-tooltip': { backgroundColor: 'var(--color-paper)', border: '1px solid var(--color-ink)' },
  '.cm-diagnostic': { fontFamily: 'var(--font-text)', fontSize: '1rem' },
});

/** The beat line as text: coloured by side, faults underlined where they are. Enter lets it be heard. */
export function LineText({ value, analysis, findings, takesFocus, onChange, onHear, chosen }: LineTextProps) {
  const book = useBook();
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const now = useStable(() => ({ onChange, onHear, book }));

  useEffect(() => {
    const editor = new EditorView({
      parent: host.current!,
      state: EditorState.create({
        doc: value,
        extensions: [
          keymap.of([
            { key: 'Enter', run: () => (now().onHear(), true) },
            ...historyKeymap,
            ...defaultKeymap,
          ]),
          history(),
          // Nothing is chosen until an arrow chooses it, so that Enter goes on to mean: hear it.
          autocompletion({
            override: [(context) => completions(context, now().book)],
            selectOnOpen: false,
            interactionDelay: 0,
            icons: false,
          }),
          EditorView.lineWrapping,
          placeholder('1 2 for two beats, 1-2 for half a beat'),
          EditorView.contentAttributes.of({
            'aria-label': 'Beat line',
            spellcheck: 'false',
            autocapitalize: 'off',
          }),
          EditorView.updateListener.of((update) => {
            // Drawn in the task of the key itself, behind the editor's own update: the strip is there in the next frame.
            if (update.docChanged)
              queueMicrotask(() => flushSync(() => now().onChange(update.state.doc.toString())));
          }),
          colours,
          look,
        ],
      }),
    });
    view.current = editor;
    // Never away from where somebody is typing already.
    const { activeElement } = document;
    if (takesFocus && (activeElement === document.body || activeElement?.closest('a, button')))
      editor.focus();
    return () => editor.destroy();
    // The editor is made once; later values are brought in below.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  useEffect(() => {
    const editor = view.current!;
    const now = editor.state.doc.toString();
    if (now !== value) editor.dispatch({ changes: { from: 0, to: now.length, insert: value } });
  }, [value]);

  useEffect(() => {
    const editor = view.current!;
    const length = editor.state.doc.length;
    editor.dispatch(
      { effects: setColours.of(colourStrokes(analysis, length)) },
      setDiagnostics(editor.state, diagnosticsOf(analysis, findings, length)),
    );
  }, [analysis, findings]);

  useEffect(() => {
    const editor = view.current!;
    if (chosen && chosen.to <= editor.state.doc.length)
      editor.dispatch({ selection: { anchor: chosen.from, head: chosen.to } });
  }, [chosen]);

  return <div ref={host} className={LINE_BOX} />;
}

/** Codes by their code, name or another word for them; numbers with what they call. */
function completions(context: CompletionContext, book: MoveBook): CompletionResult | null {
  const word = context.matchBefore(/[\p{L}\d]+/u);
  if (!word) return null;
  const typed = word.text.toLocaleLowerCase();
  const numbers = [...book.numbers.values()].map(({ number, code, side }) => ({
    label: String(number),
    detail: `${side ?? ''} ${book.moves.get(code)?.name.toLowerCase() ?? code}`.trim(),
  }));
  const codes = [...book.moves.values()]
    .filter((move) =>
      [move.code, move.name, ...move.aliases].some((name) => name.toLocaleLowerCase().includes(typed)),
    )
    .map((move) => ({ label: move.code, detail: move.name.toLowerCase() }));
  const options = /^\d/.test(typed) ? numbers.filter((each) => each.label.startsWith(typed)) : codes;
  const isSettled = options.length === 1 && options[0]!.label === typed;
  if (options.length === 0 || isSettled) return null;
  // Updated in the key's own task: a list that came later would take back what an arrow has chosen.
  const update: CompletionResult['update'] = (_now, _from, _to, next) => completions(next, book);
  return { from: word.from, options, filter: false, update };
}

function colourStrokes(analysis: ComboAnalysis | null, length: number): DecorationSet {
  const builder = new RangeSetBuilder<Decoration>();
  if (analysis?.ok) {
    // The strokes of a repeated group come once for each copy; the text is coloured once.
    const spans = new Map(analysis.walk.strokes.map((walked) => [walked.stroke.from, walked]));
    for (const { stroke, side } of [...spans.values()].sort((a, b) => a.stroke.from - b.stroke.from)) {
      if (stroke.to > length) continue;
      const colour = pinColour({ by: stroke.by, side, shape: 'round' });
      builder.add(stroke.from, stroke.to, Decoration.mark({ attributes: { style: `color: ${colour}` } }));
    }
  }
  return builder.finish();
}

function diagnosticsOf(
  analysis: ComboAnalysis | null,
  findings: readonly Finding[],
  length: number,
): Diagnostic[] {
  const clipped = ({ from, to }: { from: number; to: number }) => ({
    from,
    to: Math.min(length, Math.max(to, from)),
  });
  if (!analysis) return [];
  if (!analysis.ok) {
    return analysis.errors
      .filter((error) => error.from <= length)
      .map((error) => ({ ...clipped(error), message: error.message, severity: 'error' as const }));
  }
  return findings
    .filter((finding) => finding.from <= length)
    .map((finding) => ({
      ...clipped(finding),
      message: finding.message,
      severity: SEVERITIES[finding.severity],
    }));
}
