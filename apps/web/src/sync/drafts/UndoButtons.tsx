import { Redo2, Undo2 } from 'lucide-react';
import { IconButton } from '../../ui/buttons/IconButton.tsx';
import type { Draft } from './useDraft.ts';
import { useShortcut } from '../../ui/focus/useShortcut.ts';

/** Undo and redo of a draft, by buttons, and by keys while no text is being written. */
export function UndoButtons({
  draft,
}: {
  draft: Pick<Draft<unknown>, 'undo' | 'redo' | 'canUndo' | 'canRedo'>;
}) {
  useShortcut('mod+z', draft.undo, 'not-in-text');
  useShortcut('mod+y', draft.redo, 'not-in-text');
  return (
    <div className="flex">
      <IconButton label="Undo" disabled={!draft.canUndo} onClick={draft.undo}>
        <Undo2 size={18} />
      </IconButton>
      <IconButton label="Redo" disabled={!draft.canRedo} onClick={draft.redo}>
        <Redo2 size={18} />
      </IconButton>
    </div>
  );
}
