import { useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import { Sheet } from '../ui/panels/Panel.tsx';
import { queries } from '../server/queries.ts';

const ITEM =
  'cursor-pointer rounded px-3 py-2 data-[selected=true]:bg-tape data-[selected=true]:text-on-tape';

/** Goes anywhere by its name: rooms, combos, sessions, fighters. */
export function CommandBox({ open, onClose }: { open: boolean; onClose: () => void }) {
  const navigate = useNavigate();
  const { data: combos = [] } = useQuery({ ...queries.combos(), enabled: open });
  const { data: sessions = [] } = useQuery({ ...queries.sessions(), enabled: open });
  const { data: fighters = [] } = useQuery({ ...queries.fighters(), enabled: open });
  const places = [
    ...['Today', 'Moves', 'Combos', 'Sessions', 'Floor', 'Fighters', 'Gym'].map((name) => ({
      name,
      to: name === 'Today' ? '/' : `/${name.toLowerCase()}`,
    })),
    { name: 'Class progress', to: '/fighters/class' },
    { name: 'Review combos due', to: '/fighters/memory' },
    { name: 'Tests', to: '/fighters/tests' },
    { name: 'Test day', to: '/fighters/test-day' },
    { name: 'What grades ask for', to: '/gym/requirements' },
    { name: 'Devices of the hall', to: '/gym/devices' },
    { name: 'Backup and export', to: '/gym/keep' },
    ...combos.map((combo) => ({
      name: `${combo.grade} ${combo.number} · ${combo.title}`,
      to: `/combos/${combo.id}`,
    })),
    ...sessions.map((session) => ({ name: session.title, to: `/sessions/${session.id}` })),
    ...fighters.map((fighter) => ({ name: fighter.name, to: `/fighters/${fighter.id}` })),
  ];
  return (
    <Sheet open={open} title="Go to" onClose={onClose}>
      <Command label="Go to">
        <Command.Input
          placeholder="a room, combo, session or fighter"
          className="mb-3 min-h-11 w-full rounded-md border border-quiet bg-paper px-3"
        />
        <Command.List className="max-h-80 overflow-y-auto">
          <Command.Empty className="px-3 py-2 text-quiet">Nothing is called that.</Command.Empty>
          {places.map(({ name, to }) => (
            <Command.Item
              key={to}
              value={`${name} ${to}`}
              className={ITEM}
              onSelect={() => {
                onClose();
                void navigate(to);
              }}
            >
              {name}
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Sheet>
  );
}
