import { howMany } from '@eurhythm/core/units';
import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { FighterView, VolumeView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { attendanceOption, attendanceTable } from '../pictures/attendanceOption.ts';
import type { Draw } from '../pictures/ChartFigure.tsx';
import { LIMB_WORDS } from '../pictures/limbWords.ts';
import { Picture } from '../pictures/Picture.tsx';
import { volumeOption, volumeTable } from '../pictures/volumeOption.ts';

/** How much was struck, by limb and week, and in how many classes. */
export function Volume({ fighter }: { fighter: FighterView }) {
  const { data } = useQuery(queries.volume(fighter.id));
  if (!data) return null;
  const { weeks, jump, neglected } = data;
  if (weeks.length === 0)
    return (
      <Fold title="How much">
        <Plain>No round in the last half year.</Plain>
      </Fold>
    );
  return (
    <>
      <Fold
        title="How much"
        aside={jump !== null ? `this week ${jump.toFixed(1)} times the usual` : undefined}
      >
        <p className="pt-1 text-sm text-quiet">Strikes by week, of what goes by the beat or is counted.</p>
        <Weeks weeks={weeks} name={fighter.name} />
        {jump !== null && (
          <p className="text-caution">
            This week is {jump.toFixed(1)} times the mean of the four before: joints and shins need more time
            than breath. Go on slowly.
          </p>
        )}
        {neglected && (
          <p>
            The {LIMB_WORDS[neglected]} gets {Math.round(100 * data.shares![neglected])} % of the strikes of
            the last four weeks.
          </p>
        )}
      </Fold>
      <Attended weeks={weeks} name={fighter.name} />
    </>
  );
}

interface WeeksProps {
  readonly weeks: VolumeView['weeks'];
  readonly name: string;
}

function Weeks({ weeks, name }: WeeksProps) {
  const draw = useCallback<Draw>((inks, tellDay) => volumeOption(weeks, inks, tellDay), [weeks]);
  const done = weeks.reduce((sum, week) => sum + week.done, 0);
  return (
    <Picture
      draw={draw}
      label={`Strikes by limb: ${howMany(weeks.length, 'week')}, ${done} in all.`}
      name={`${name} strikes`}
      className="h-52"
      table={() => volumeTable(weeks)}
      of="the weeks"
    />
  );
}

function Attended({ weeks, name }: WeeksProps) {
  const came = weeks.map(({ week, classes }) => ({ week, count: classes }));
  const draw = useCallback<Draw>(
    (inks, tellDay) =>
      attendanceOption(
        weeks.map(({ week, classes }) => ({ week, count: classes })),
        inks,
        tellDay,
      ),
    [weeks],
  );
  const classes = weeks.reduce((sum, week) => sum + week.classes, 0);
  const empty = weeks.filter((week) => week.classes === 0).length;
  return (
    <Fold
      title="Came"
      aside={`${howMany(classes, 'class', 'classes')} in ${howMany(weeks.length, 'week')}${empty > 0 ? `, ${empty} of them without one` : ''}`}
    >
      <Picture
        draw={draw}
        label={`Classes by week: ${classes} in ${howMany(weeks.length, 'week')}.`}
        name={`${name} classes`}
        className="h-36"
        table={() => attendanceTable(came, 'classes')}
        of="the classes"
      />
    </Fold>
  );
}
