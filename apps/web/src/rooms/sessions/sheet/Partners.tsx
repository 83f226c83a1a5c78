import { useMemo } from 'react';
import {
  partnerPlan,
  countRoles,
  unequalHeights,
  type Attendee,
  type PartnerGroup,
  type RolesSoFar,
} from '@eurhythm/core/plan';
import type { FighterView, SaveSheetDto } from '@eurhythm/contract';
import { ChoiceField, TickField } from '../../../ui/fields/Field.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';

const SIZES = [
  { value: '2', label: 'By two: work, hold' },
  { value: '3', label: 'By three: work, hold, watch' },
  { value: '1', label: 'Alone: work, rest' },
] as const;

interface PartnersProps {
  readonly sheet: SaveSheetDto;
  readonly fighters: readonly FighterView[];
  readonly ranks: readonly string[];
  onChange(changes: Partial<SaveSheetDto>): void;
}

/** Who works with whom in each rotation, and in which order the roles go round. */
export function Partners({ sheet, fighters, ranks, onChange }: PartnersProps) {
  const { present, size, rotations, callsNames = false } = sheet;
  const byId = useMemo(() => new Map(fighters.map((fighter) => [fighter.id, fighter])), [fighters]);
  const plan = useMemo(() => {
    const people = present.flatMap(({ fighterId, from, until }): Attendee[] => {
      const fighter = byId.get(fighterId);
      if (!fighter) return [];
      const { id, gradeId, height = null, apart = [] } = fighter;
      return [{ id, rank: ranks.indexOf(gradeId), size: height, apart, from, until }];
    });
    return partnerPlan(people, rotations, size);
  }, [present, byId, ranks, rotations, size]);
  const heights = useMemo(() => new Map(fighters.map(({ id, height = null }) => [id, height])), [fighters]);
  const nameOf = (id: string): string => byId.get(id)?.name ?? 'somebody';
  const done: RolesSoFar = new Map();
  for (const { groups } of plan) countRoles(done, groups);
  const work = [...done.values()].map((each) => each.work);
  return (
    <Part
      title="Partners"
      aside={
        work.length > 0
          ? `everybody works ${Math.min(...work)}${Math.max(...work) > Math.min(...work) ? ` to ${Math.max(...work)}` : ''} times`
          : ''
      }
    >
      <div className="no-print flex flex-wrap gap-4 pt-3">
        <ChoiceField
          label="They work"
          className="w-60"
          value={String(size)}
          choices={SIZES}
          onChange={(value) => onChange({ size: Number(value) as SaveSheetDto['size'] })}
        />
        <ChoiceField
          label="Rotations"
          className="w-28"
          value={String(rotations)}
          choices={Array.from({ length: 30 }, (_, i) => ({ value: String(i + 1), label: String(i + 1) }))}
          onChange={(value) => onChange({ rotations: Number(value) })}
        />
        <TickField
          label="Call who works with whom"
          className="self-end"
          checked={callsNames}
          onChange={(callsNames) => onChange({ callsNames })}
        />
      </div>
      {present.length === 0 && (
        <Plain>
          Tick who is here, and the pairs stand here. Late arrivals change only what is still to come.
        </Plain>
      )}
      {present.length > 0 && size > 1 && (
        <p className="pt-3 text-sm text-quiet">
          They work in this order, and another one of the group holds. Who works less often than the others
          comes first next time.
        </p>
      )}
      {present.length > 0 && (
        <ol aria-label="Rotations" className="mt-3 grid gap-x-6 gap-y-4 md:grid-cols-2">
          {plan.map(({ groups }, i) => (
            <li key={i} className="break-inside-avoid">
              <h3 className="border-b border-ink text-base">Rotation {i + 1}</h3>
              <ul>
                {groups.map((group) => (
                  <GroupRow key={group.members.join()} group={group} heights={heights} nameOf={nameOf} />
                ))}
              </ul>
            </li>
          ))}
        </ol>
      )}
    </Part>
  );
}

/** The members in the order in which they work, and who does not work this time. */
function GroupRow({
  group,
  heights,
  nameOf,
}: {
  group: PartnerGroup;
  heights: ReadonlyMap<string, number | null>;
  nameOf: (id: string) => string;
}) {
  const { members, turns } = group;
  const unequal = unequalHeights(members, heights);
  const order = turns.flatMap((turn) => {
    const at = turn.indexOf('work');
    return at === -1 ? [] : [members[at]!];
  });
  const waiting = members.filter((id) => !order.includes(id));
  const roles =
    members.length === 1 ? 'works, then rests 30 to 40 s' : members.length === 2 ? '' : 'by three';
  return (
    <li className="flex items-baseline justify-between gap-2 border-b border-rule py-1">
      <span>
        {order.map((id, i) => (
          <span key={`${i} ${id}`}>
            {i > 0 && <span className="text-quiet"> then </span>}
            <span className={i === 0 ? 'font-semibold' : ''}>{nameOf(id)}</span>
          </span>
        ))}
        {waiting.length > 0 && (
          <span className="text-quiet">, {waiting.map(nameOf).join(' and ')} holds and watches</span>
        )}
        {unequal && (
          <span className="block text-sm font-semibold text-caution">
            {unequal.join(' and ')} cm: pads and air only, or another partner
          </span>
        )}
      </span>
      <span className="text-sm whitespace-nowrap text-quiet">{roles}</span>
    </li>
  );
}
