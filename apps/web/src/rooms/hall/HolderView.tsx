import { isRest, kindOf } from '@eurhythm/core/rounds';
import { useState } from 'react';
import { padsAhead, type Pad } from '@eurhythm/core/body';
import { clockText, secondsLeft } from '@eurhythm/core/units';
import { comboName } from '@eurhythm/core/plan';
import { blockAt } from '../floor/board/whatComes.ts';
import { LandedArea } from '../floor/board/LandedArea.tsx';
import { GroupChoice } from './GroupChoice.tsx';
import type { HallProps } from './hallProps.ts';
import { PadPicture } from './PadPicture.tsx';
import { groupsOf, useShownLine } from './useShownLine.ts';
import { Heading } from '../../ui/panels/Heading.tsx';

/** So many pads are reported ahead. */
const AHEAD = 3;
const LEVEL_WORDS = { head: 'head high', body: 'body high', low: 'low' } as const;

/** For who holds: the pad that comes next, mirrored, at its height, and the two after it. */
export function HolderView({ view, controller, state, book, joined }: HallProps) {
  const [group, setGroup] = useState('');
  const { at, moment, cycle, combo, walk } = useShownLine(controller, state, book, group);
  const { block, left } = blockAt(view.plan.rounds[state.round]!.blocks as never, at);
  const rests = block !== undefined && isRest(block);
  const landed = joined.landed.filter((each) => each.round === state.round);
  const own = walk && cycle ? padsAhead(walk, moment.cycle ? moment.stroke : null, AHEAD) : [];
  // At the end of one time through the next one begins anew.
  const pads = walk && own.length < AHEAD ? [...own, ...padsAhead(walk, null, AHEAD - own.length)] : own;
  const [first, ...later] = pads;
  return (
    <main className="mat hall flex h-dvh flex-col gap-2 overflow-hidden p-4">
      <div className="flex items-baseline justify-between gap-4 text-2xl phone:text-lg">
        <Heading className="min-w-0 truncate font-text tracking-normal">
          {state.phase === 'held' ? 'held' : rests ? 'rest, then' : ''}{' '}
          {combo ? comboName(combo) : block ? kindOf(block).name : ''}
          {cycle && <span className="text-quiet"> · {cycle.lead} lead</span>}
        </Heading>
        <span className="board text-5xl leading-none" role="timer" aria-label="Time left">
          {clockText(secondsLeft(left))}
        </span>
      </div>
      <GroupChoice groups={groupsOf(controller, state.round)} value={group} onChange={setGroup} />
      {rests && landed.length > 0 && (
        <LandedArea
          landed={landed}
          combos={controller.rounds[state.round]!.combos}
          fighters={view.fighters}
          book={book}
        />
      )}
      {first ? (
        <>
          <section
            aria-label="Show next"
            className="flex min-h-0 flex-1 items-center gap-6 phone:flex-col phone:gap-2"
          >
            <PadPicture pad={first} className="h-full max-h-[60dvh] min-h-0 flex-1 phone:max-h-[42dvh]" />
            <div className="min-w-0 flex-1 phone:text-center">
              <p
                className={`board text-[7rem] leading-none break-words uppercase phone:text-6xl ${first.isThrown ? 'text-holder' : ''}`}
                data-testid="pad"
              >
                {first.text}
              </p>
              <p className="text-4xl phone:text-2xl">{padText(first)}</p>
            </div>
          </section>
          <ol aria-label="Then" className="grid grid-cols-2 gap-4">
            {later.map((pad, i) => (
              <li
                key={i}
                className="flex items-center gap-3 border-t-2 border-rule pt-2 text-2xl text-quiet phone:text-lg"
              >
                <PadPicture pad={pad} className="h-24 w-16 shrink-0" />
                <span className="min-w-0">
                  <span className="block truncate text-ink">{pad.text}</span> {padText(pad)}
                </span>
              </li>
            ))}
          </ol>
        </>
      ) : (
        <p className="board flex flex-1 items-center justify-center text-6xl uppercase phone:text-4xl">
          {moment.call?.text ?? 'nothing to hold'}
        </p>
      )}
    </main>
  );
}

function padText({ hand, level, isThrown }: Pad): string {
  if (isThrown) return ['you throw', ...(level ? [LEVEL_WORDS[level]] : [])].join(', ');
  const pad = hand === 'both' ? 'both pads' : `your ${hand} pad`;
  return [pad, ...(level ? [LEVEL_WORDS[level]] : [])].join(', ');
}
