import { CareList } from '../plan/CareList.tsx';
import { PlanSession } from '../plan/PlanSession.tsx';
import { usePlanned } from '../plan/usePlanned.ts';
import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useParams } from 'react-router';
import { oneTurn, refName, roundSeconds, seriesOf, sessionSeconds } from '@eurhythm/core/plan';
import type { AnyBlockDto } from '@eurhythm/contract';
import { PaperCautions } from '../../../ui/panels/PaperCautions.tsx';
import { queries } from '../../../server/queries.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { kindOf, tellBlock, type NameOf } from '@eurhythm/core/rounds';
import { clockText, howMany } from '@eurhythm/core/units';
import { SmallStrip } from '../../../strip/SmallStrip.tsx';
import { laneOf, pageOf } from '../kinds/kinds.ts';
import { groupNames } from '../plan/lanes.ts';
import { useCombosById } from '../useComboNames.ts';
import { useDates } from '../../../ui/fields/dates.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** A session on paper: rounds with their times from the start, strips, room for notes, and the cautions. */
export function SessionCard() {
  const dates = useDates();
  const { id = '' } = useParams();
  const { data: session } = useQuery(queries.session(id));
  if (!session) return null;
  const stretches = seriesOf(session.rounds);
  const starts = stretches.map((_, i) =>
    sessionSeconds(stretches.slice(0, i).flatMap((stretch) => stretch.rounds)),
  );
  const total = sessionSeconds(session.rounds);
  return (
    <article className="print-card mx-auto w-full max-w-4xl px-8 py-6">
      <div className="no-print mb-4 flex gap-3">
        <Button weight="main" onClick={() => window.print()}>
          <Printer size={16} aria-hidden /> Print
        </Button>
        <ButtonLink to={`/sessions/${id}`}>Back to the session</ButtonLink>
      </div>
      <header className="flex items-end justify-between border-b-2 border-ink pb-2">
        <div>
          <Heading className="text-3xl">{session.title}</Heading>
          <p>
            {session.plannedFor ? dates.tell(session.plannedFor, 'EEEE long, time') : 'No date'} ·{' '}
            {session.lead} lead first
            {session.word ? ` · word of the day: ${session.word}` : ''}
          </p>
        </div>
        <p className="tabular font-heading text-3xl font-bold">{clockText(total)}</p>
      </header>
      <table className="w-full">
        <thead className="text-left text-sm">
          <tr>
            <th className="w-16 py-1 max-sm:w-12">from</th>
            <th>round</th>
            <th className="w-16 text-right">time</th>
          </tr>
        </thead>
        <tbody>
          {stretches.flatMap(({ rounds, times }, i) =>
            rounds.map((round, j) => (
              <tr key={round.id} className="break-inside-avoid border-t border-ink align-top">
                <td className="tabular py-2">{j === 0 ? clockText(starts[i]!) : ''}</td>
                <td className="py-2">
                  <strong>{round.title}</strong> <span className="text-sm">{round.kind}</span>
                  {round.turns && <span className="ml-2 text-sm">{TURN_WORDS[round.turns]}</span>}
                  {times > 1 && (
                    <strong className="ml-2 text-sm">
                      {rounds.length > 1 ? `${j + 1} of ${rounds.length} in turn, ` : ''}
                      {howMany(times, 'time')}
                    </strong>
                  )}
                  <ul>
                    {oneTurn(round.blocks).map((block) => (
                      <BlockOnCard key={block.id} block={block} />
                    ))}
                  </ul>
                </td>
                <td className="tabular py-2 text-right font-bold">{clockText(roundSeconds(round))}</td>
              </tr>
            )),
          )}
        </tbody>
      </table>
      <PlanSession id={id} session={session}>
        <YouthOnCard />
      </PlanSession>
      <PaperCautions />
    </article>
  );
}

/** What the children in the class should not do of it, with the place, and who takes care of what. */
function YouthOnCard() {
  const { warnings, care } = usePlanned();
  const cautions = warnings.filter(({ rule }) => rule === 'youth-limits');
  if (cautions.length === 0) return <CareList care={care} />;
  return (
    <section className="break-inside-avoid border-t-2 border-ink pt-2">
      <h2 className="text-lg">Children’s limits</h2>
      <ul aria-label="Children’s limits" className="text-sm">
        {cautions.map(({ message, place }) => (
          <li key={message}>
            {place && <span className="tabular mr-2">{clockText(place.at)}</span>}
            {message}
          </li>
        ))}
      </ul>
      <CareList care={care} />
    </section>
  );
}

const TURN_WORDS = {
  1: 'alone: work, then rest',
  2: 'by two, each in turn',
  3: 'by three, each in turn',
} as const;

function BlockOnCard({ block }: { block: AnyBlockDto }) {
  const combos = useCombosById();
  const comboName: NameOf = (ref) => {
    const combo = combos.get(ref.comboId ?? '');
    return combo ? `${combo.grade} ${combo.number} ${combo.title}` : refName(ref, combo);
  };
  const isDrawn = pageOf(block).isDrawnOnCard === true;
  const strips = isDrawn ? kindOf(block).named(block).slice(0, 2) : [];
  const groups = isDrawn
    ? groupNames({ rounds: [{ id: '', title: '', kind: 'pads', blocks: [block] }] })
    : [];
  return (
    <li className="flex items-center gap-3 text-sm max-sm:flex-wrap">
      <span className="tabular w-12 self-start">{clockText(block.seconds)}</span>
      <span className="flex-1">
        {kindOf(block).name} {tellBlock(block, comboName)}
        {groups.map((group) => (
          <span key={group} className="block">
            {group}: {laneOf(block, group, comboName)?.text ?? 'the same'}
          </span>
        ))}
        {block.tell && <em className="block">{block.tell}</em>}
        {block.kit && block.kit.length > 0 && <span className="block">At hand: {block.kit.join(', ')}</span>}
      </span>
      {strips.map(({ field, comboId }) => {
        const combo = combos.get(comboId);
        return (
          combo && <SmallStrip key={field} line={combo.line} beatsPerBar={combo.beatsPerBar} room={130} />
        );
      })}
    </li>
  );
}
