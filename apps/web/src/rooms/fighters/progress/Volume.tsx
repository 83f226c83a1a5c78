import { useQuery } from '@tanstack/react-query';
import { Suspense, lazy, useState } from 'react';
import { WORK_LIMBS } from '@eurhythm/core/rounds';
import type { VolumeView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/Button.tsx';
import { Part, Plain } from '../../../ui/Panel.tsx';
import { LIMB_WORDS } from './limbWords.ts';

const VolumeChart = lazy(() =>
  import('./VolumeChart.tsx').then((module) => ({ default: module.VolumeChart })),
);

/** How much was struck, by limb and week. */
export function Volume({ fighterId }: { fighterId: string }) {
  const { data } = useQuery(queries.volume(fighterId));
  const [isTable, setTable] = useState(false);
  if (!data) return null;
  const { weeks, jump, neglected } = data;
  return (
    <Part title="How much" aside="strikes by week; of what goes by the beat or is counted">
      {weeks.length === 0 && <Plain>No round in the last half year.</Plain>}
      {weeks.length > 0 && (
        <>
          <Suspense fallback={<div className="h-52" />}>
            <VolumeChart weeks={weeks} />
          </Suspense>
          {jump !== null && (
            <p className="text-caution">
              This week is {jump.toFixed(1)} times the mean of the four before: joints and shins need more
              time than breath. Go on slowly.
            </p>
          )}
          {neglected && (
            <p>
              The {LIMB_WORDS[neglected]} gets {Math.round(100 * data.shares![neglected])} % of the strikes of
              the last four weeks.
            </p>
          )}
          <Button weight="bare" aria-expanded={isTable} onClick={() => setTable(!isTable)}>
            {isTable ? 'Hide the weeks' : 'Show the weeks as text'}
          </Button>
          {isTable && <Weeks weeks={weeks} />}
        </>
      )}
    </Part>
  );
}

function Weeks({ weeks }: Pick<VolumeView, 'weeks'>) {
  return (
    <table className="w-full text-left text-sm">
      <thead>
        <tr className="border-b border-ink">
          <th scope="col">Week of</th>
          {WORK_LIMBS.map((limb) => (
            <th key={limb} scope="col">
              {LIMB_WORDS[limb]}
            </th>
          ))}
          <th scope="col">done</th>
          <th scope="col">planned</th>
        </tr>
      </thead>
      <tbody className="tabular">
        {weeks.map(({ week, limbs, done, planned }) => (
          <tr key={week} className="border-b border-rule">
            <th scope="row" className="font-normal">
              {week}
            </th>
            {WORK_LIMBS.map((limb) => (
              <td key={limb}>{limbs[limb]}</td>
            ))}
            <td>{done}</td>
            <td>{planned}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
