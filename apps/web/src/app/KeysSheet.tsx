import { useLocation } from 'react-router';
import { Key } from '../ui/buttons/Button.tsx';
import { Sheet } from '../ui/panels/Panel.tsx';

const EVERYWHERE = [
  ['Ctrl K', 'command box: go anywhere'],
  ['?', 'these keys'],
  ['Esc', 'put away what is open'],
] as const;

const OF_ROOM: Readonly<Record<string, readonly (readonly [string, string])[]>> = {
  '/combos': [
    ['Enter', 'hear the line, in the line'],
    ['Ctrl S', 'save the combo'],
    ['Tab', 'from the line to the strip; arrows go from pin to pin'],
    ['Alt ← →', 'move the pin by a quarter beat'],
    ['Alt ↑ ↓', 'aim the pin higher or lower'],
    ['Delete', 'take the pin out'],
    ['Ctrl Z · Ctrl Y', 'undo, redo; in the line it undoes what was typed there'],
    ['Space, arrows', 'on the grip of a combo in the list: give it another number'],
  ],
  '/sessions': [['Ctrl S', 'save the session']],
  '/floor': [['Enter', 'take the chosen session to the Floor']],
};

/** Keys of the room that is open. The Floor shows its own on its lower edge. */
export function KeysSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  const room = `/${useLocation().pathname.split('/')[1] ?? ''}`;
  const rows = [...(OF_ROOM[room] ?? []), ...EVERYWHERE];
  return (
    <Sheet open={open} title="Keys" onClose={onClose}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {rows.map(([key, what]) => (
          <div key={key} className="contents">
            <dt>
              <Key>{key}</Key>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
