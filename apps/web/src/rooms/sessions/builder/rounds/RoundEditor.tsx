import { memo, useState } from 'react';
import { BLOCK_KINDS, kindOf, isRest } from '@eurhythm/core/rounds';
import { PACE_FACTORS } from '@eurhythm/core/body';
import { inTurns, oneTurn } from '@eurhythm/core/plan';
import { withRightLength, type AnyBlockDto, type RoundDto } from '@eurhythm/contract';
import { useBook, useCombos, useGym } from '../../../../server/gymData.ts';
import type { FieldErrors } from '../../../../server/useFieldErrors.ts';
import { ChoiceField, TextField } from '../../../../ui/fields/Field.tsx';
import { Part } from '../../../../ui/panels/Panel.tsx';
import { BlockRow } from '../blocks/BlockRow.tsx';
import { BlockSettings } from '../blocks/BlockSettings.tsx';
import { newBlock, pageOf } from '../../kinds/kinds.ts';
import { blockPlace, placeToAdd, withBlock } from '../arrange.ts';
import { firstComboOf, useCombosById } from '../../useComboNames.ts';
import { SortableList, SortableRow } from '../Sortable.tsx';
import { FromGradeList } from './FromGradeList.tsx';
import { KIND_CHOICES } from '../../choices.ts';
import { freeBlockId } from '../newRound.ts';
import { usePlanned } from '../../plan/usePlanned.ts';
import { TimeCalls } from './TimeCalls.tsx';

const TURN_CHOICES = [
  { value: '', label: 'all at once' },
  { value: '1', label: 'alone: work, rest' },
  { value: '2', label: 'by two: work, hold' },
  { value: '3', label: 'by three: work, hold, watch' },
] as const;
const TURNS = { '': null, '1': 1, '2': 2, '3': 3 } as const;
const TURNS_TOLD = {
  1: 'a rest of 35 s follows the work, unless you write one',
  2: 'done twice, with 15 s to change roles',
  3: 'done three times, with 15 s to change roles',
} as const;

interface RoundEditorProps {
  readonly round: RoundDto;
  /** Where the round stands in the session, as in the errors: "rounds.2". */
  readonly path: string;
  readonly errors: FieldErrors;
  /** Names of the groups of the class. */
  readonly groups: readonly string[];
  onChange(round: RoundDto): void;
  /** Keeps a round in the library; a block alone is kept as a round of one block. */
  onKeep(round: RoundDto): void;
}

/** One round: its blocks in order, and the settings of the one that is open. */
export const RoundEditor = memo(function RoundEditor({
  round,
  path,
  errors,
  groups,
  onChange,
  onKeep,
}: RoundEditorProps) {
  const book = useBook();
  const combos = useCombos();
  const byId = useCombosById();
  const { grades, school } = useGym();
  const [openId, setOpenId] = useState(round.blocks.find((block) => !isRest(block))?.id ?? null);
  const planned = usePlanned();
  // What is done again for the others follows from the first turn.
  const blocks = oneTurn(round.blocks);
  const openAt = blocks.findIndex((block) => block.id === openId);
  const setBlocks = (next: AnyBlockDto[]): void => onChange(inTurns({ ...round, blocks: next }));
  const exact = (block: AnyBlockDto): AnyBlockDto =>
    withRightLength(block, book, PACE_FACTORS[school.pace], byId);
  const changeBlock = (at: number, block: AnyBlockDto): void => setBlocks(blocks.with(at, exact(block)));
  const add = (block: AnyBlockDto, at = placeToAdd({ ...round, blocks })): void => {
    const own = { ...block, id: freeBlockId(round) };
    onChange(inTurns(withBlock({ ...round, blocks }, exact(own), at)));
    setOpenId(own.id);
  };
  const swap = (i: number, j: number): void => setBlocks(blocks.with(i, blocks[j]!).with(j, blocks[i]!));
  return (
    <Part title={round.title || 'No title yet'}>
      <div className="grid grid-cols-6 gap-3 pt-3">
        <TextField
          label="Title"
          className="col-span-4"
          value={round.title}
          error={errors.of(`${path}.title`)}
          onChange={(e) => onChange({ ...round, title: e.target.value })}
        />
        <ChoiceField
          label="Phase"
          className="col-span-2"
          value={round.kind}
          choices={KIND_CHOICES}
          onChange={(value) => onChange({ ...round, kind: value })}
        />
      </div>
      <ChoiceField<keyof typeof TURNS>
        label="They work"
        className="w-72 pt-3"
        hint={round.turns ? TURNS_TOLD[round.turns] : undefined}
        value={round.turns ? `${round.turns}` : ''}
        choices={TURN_CHOICES}
        onChange={(turns) => onChange(inTurns({ ...round, turns: TURNS[turns] }))}
      />
      {errors.of(`${path}.blocks`) !== undefined && (
        <p role="alert" className="pt-2 font-semibold text-caution">
          {errors.of(`${path}.blocks`)}
        </p>
      )}
      <SortableList ids={blocks.map((block) => blockPlace(round.id, block.id))}>
        <ol aria-label="Blocks" className="mt-4 border-t border-rule">
          {blocks.map((block, i) => (
            <SortableRow
              key={block.id}
              id={blockPlace(round.id, block.id)}
              label={`block ${kindOf(block).name}`}
            >
              <BlockRow
                block={block}
                times={planned.times[`${round.id}/${block.id}`]}
                isOpen={block.id === openId}
                error={errors.of(`${path}.blocks.${i}.seconds`)}
                onOpen={() => setOpenId(block.id)}
                onSeconds={(seconds) => changeBlock(i, { ...block, seconds })}
                onUp={i > 0 ? () => swap(i, i - 1) : null}
                onDown={i < blocks.length - 1 ? () => swap(i, i + 1) : null}
                onCopy={() => add(block, i + 1)}
                onKeep={() => onKeep({ ...round, title: kindOf(block).name, blocks: [block] })}
                onRemove={() => setBlocks(blocks.toSpliced(i, 1))}
              />
            </SortableRow>
          ))}
        </ol>
      </SortableList>
      <ChoiceField
        label="Add a block"
        className="w-80 pt-3"
        value=""
        choices={[
          { value: '', label: 'choose what comes next' },
          ...BLOCK_KINDS.map((kind) => ({
            value: kind,
            label: `${kindOf({ kind }).name}: ${pageOf({ kind }).what}`,
          })),
        ]}
        onChange={(value) =>
          value !== '' && add(newBlock(value, '', firstComboOf(combos, grades), school.words))
        }
      />
      <FromGradeList onAdd={add} />
      {blocks[openAt] && (
        <BlockSettings
          block={blocks[openAt]}
          path={`${path}.blocks.${openAt}`}
          errors={errors}
          groups={groups}
          onChange={(block) => changeBlock(openAt, block)}
        />
      )}
      <TimeCalls timeCalls={round.timeCalls} onChange={(timeCalls) => onChange({ ...round, timeCalls })} />
    </Part>
  );
});
