import { useQuery } from '@tanstack/react-query';
import { comboName } from '@eurhythm/core/plan';
import { kindOf } from '@eurhythm/core/rounds';
import type { FighterView, RunView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { AskCombo } from '../../fighters/memory/AskCombo.tsx';

/** The combos of the class, asked before everybody goes: who still has them without being shown. */
export function AskAfter({ run, fighters }: { run: RunView; fighters: readonly FighterView[] }) {
  const { data: combos = [] } = useQuery(queries.combos());
  const done = new Set(
    run.rounds
      .flatMap(({ blocks }) => blocks.flatMap((block) => kindOf(block).named(block)))
      .map((ref) => ref.comboId),
  );
  const asked = combos.filter(({ id }) => done.has(id));
  if (asked.length === 0 || fighters.length === 0) return null;
  return (
    <section aria-label="Who still has them?">
      <h2 className="text-lg font-semibold">
        Who still has them?{' '}
        <span className="font-normal text-quiet">without being shown; the log asks again in time</span>
      </h2>
      {asked.map((combo) => (
        <AskCombo
          key={combo.id}
          combo={{ id: combo.id, name: `${comboName(combo)} · ${combo.title}` }}
          who={fighters}
          runId={run.id}
          page={`/floor/${run.id}`}
        />
      ))}
    </section>
  );
}
