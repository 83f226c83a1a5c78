import { useState } from 'react';
import type { FighterView } from '@eurhythm/contract';
import { startingWith } from './startingWith.ts';

interface NameFinderProps {
  readonly fighters: readonly FighterView[];
  onFound(fighter: FighterView): void;
  onClose(): void;
}

/** First letters of a name, until one is left or Enter takes the first. */
export function NameFinder({ fighters, onFound, onClose }: NameFinderProps) {
  const [letters, setQueuedWrites] = useState('');
  const found = startingWith(fighters, letters);
  return (
    <span className="flex items-center gap-2">
      <input
        autoFocus
        aria-label="First letters of a name"
        value={letters}
        className="min-h-[44px] w-28 rounded border border-rule bg-paper px-2 text-lg pointer-coarse:min-h-[64px]"
        onChange={(event) => {
          const next = event.target.value;
          setQueuedWrites(next);
          const [only, another] = startingWith(fighters, next);
          if (only && !another) onFound(only);
        }}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Escape') onClose();
          if (event.key === 'Enter' && found[0]) onFound(found[0]);
        }}
        onBlur={onClose}
      />
      <span role="status" className="max-w-60 truncate text-quiet">
        {letters === '' ? '' : found.map(({ name }) => name).join(', ') || 'nobody here'}
      </span>
    </span>
  );
}
