import { useQuery } from '@tanstack/react-query';
import type { SaveComboDto } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { Part } from '../../../ui/panels/Panel.tsx';
import { useDates } from '../../../ui/fields/dates.ts';

/** Every state in which the combo was saved. Bringing one back makes a draft of it, which Save keeps. */
export function ComboHistory({ id, onRestore }: { id: string; onRestore: (combo: SaveComboDto) => void }) {
  const dates = useDates();
  const { data: versions } = useQuery(queries.comboVersions(id));
  if (!versions || versions.length < 2) return null;
  return (
    <Part title="Before now" aside={`${versions.length} versions`}>
      <ul>
        {versions.slice(1).map(({ at, combo }) => (
          <li key={at} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="whitespace-nowrap text-quiet">{dates.tell(at, 'short time')}</span>
            <code className="min-w-0 flex-1 font-line break-words">{combo.line}</code>
            <span className="whitespace-nowrap text-quiet">{combo.bpm} a minute</span>
            <button
              type="button"
              onClick={() => onRestore(combo)}
              className="min-h-11 rounded px-2.5 text-quiet underline underline-offset-4 hover:bg-hint hover:text-ink"
            >
              Bring back
            </button>
          </li>
        ))}
      </ul>
    </Part>
  );
}
