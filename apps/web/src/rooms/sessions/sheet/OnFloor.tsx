import type { FighterView, PresentDto } from '@eurhythm/contract';
import { howMany } from '@eurhythm/core/units';
import { Button } from '../../../ui/buttons/Button.tsx';
import { justCame } from './sheetOf.ts';

interface OnFloorProps {
  /** Who is in the class that was begun today. */
  readonly onFloor: readonly string[];
  readonly fighters: readonly FighterView[];
  readonly present: readonly PresentDto[];
  onTake(present: PresentDto[]): void;
}

/** Once the class is on the Floor, its list is the one that counts: where the sheet says something else, both are told and one press makes them one. */
export function OnFloor({ onFloor, fighters, present, onTake }: OnFloorProps) {
  const ticked = new Set(present.map(({ fighterId }) => fighterId));
  const nameOf = (id: string): string =>
    fighters.find((each) => each.id === id)?.name ?? 'somebody who is gone';
  const onlyThere = onFloor.filter((id) => !ticked.has(id));
  const onlyHere = [...ticked].filter((id) => !onFloor.includes(id));
  if (onlyThere.length + onlyHere.length === 0)
    return <p className="py-2 text-quiet">The class is on the Floor with the same {onFloor.length}.</p>;
  return (
    <div className="py-2">
      <p className="font-semibold text-caution">
        The class is on the Floor with {howMany(onFloor.length, 'fighter')}, and that list goes into the log.
        {onlyThere.length > 0 && ` Not ticked here: ${onlyThere.map(nameOf).join(', ')}.`}
        {onlyHere.length > 0 && ` Ticked here, and not there: ${onlyHere.map(nameOf).join(', ')}.`}
      </p>
      <Button
        className="mt-1"
        onClick={() =>
          onTake(
            onFloor.map(
              (fighterId) => present.find((each) => each.fighterId === fighterId) ?? justCame(fighterId),
            ),
          )
        }
      >
        Tick those on the Floor
      </Button>
    </div>
  );
}
