import { useState } from 'react';
import type { Asked, Recall } from '@eurhythm/core/progress';
import type { RecallDto, SaveRecallsDto } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { PlainButton } from '../../../ui/buttons/PlainButton.tsx';

const WORDS: Readonly<Record<Recall, string>> = {
  recalled: 'Recalled',
  'with-help': 'With help',
  forgot: 'Forgot',
};
const CHOICES = Object.keys(WORDS) as Recall[];

interface AskComboProps {
  readonly combo: { readonly id: string; readonly name: string };
  readonly who: readonly (Pick<Asked, 'id' | 'name'> & Partial<Asked>)[];
  readonly runId: string | null;
  readonly page: string;
}

/**
 * One combo, asked of a group: one press for all, then who was otherwise by name; or only those who are due, by name. Each press is
 * kept at once.
 */
export function AskCombo({ combo, who, runId, page }: AskComboProps) {
  const [all, setAll] = useState<Recall | null>(null);
  const [given, setGiven] = useState<Readonly<Record<string, Recall>>>({});
  const [showsAll, setShowsAll] = useState(false);
  const [ids] = useState(() => new Map(who.map(({ id }) => [id, newId()])));
  const [asking] = useState(newId);
  const [at] = useState(() => new Date().toISOString());
  const keep = (answers: Readonly<Record<string, Recall>>): void => {
    setGiven(answers);
    const recalls = Object.entries(answers).map(([fighterId, recall]): RecallDto => ({
      id: ids.get(fighterId) ?? newId(),
      fighterId,
      comboId: combo.id,
      recall,
      runId,
      at,
    }));
    const body: SaveRecallsDto = { recalls };
    void sync.put(putRequest(SUBJECTS.recall, `progress/recalls/${asking}`, body, { page }));
  };
  const askAll = (recall: Recall): void => {
    setAll(recall);
    keep(Object.fromEntries(who.map(({ id }) => [id, recall])));
  };
  const shown = who.filter(({ id, due = '' }) => showsAll || all !== null || due !== '' || given[id]);
  return (
    <section aria-label={combo.name} className="border-b border-rule py-3">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h3 className="text-xl">{combo.name}</h3>
        <Answers of={`${combo.name}, everybody`} lead="all" now={all} onAnswer={askAll} />
      </div>
      <ul className="pt-1">
        {shown.map(({ id, name, due = '' }) => (
          <li key={id} className="flex flex-wrap items-center justify-between gap-3 py-0.5">
            <span>
              {name} {due !== '' && <span className="text-sm text-caution">{due}</span>}
            </span>
            <Answers
              of={`${combo.name}, ${name}`}
              now={given[id] ?? null}
              onAnswer={(recall) => keep({ ...given, [id]: recall })}
            />
          </li>
        ))}
      </ul>
      {shown.length < who.length && (
        <Button weight="bare" className="-ml-4" onClick={() => setShowsAll(true)}>
          {shown.length === 0 ? 'By name' : `${who.length - shown.length} more who trained it`}
        </Button>
      )}
    </section>
  );
}

interface AnswersProps {
  readonly of: string;
  readonly lead?: string;
  readonly now: Recall | null;
  onAnswer(recall: Recall): void;
}

function Answers({ of, lead, now, onAnswer }: AnswersProps) {
  return (
    <span role="group" aria-label={of} className="flex flex-wrap items-center gap-1.5">
      {lead && <span className="mr-1 text-sm text-quiet">{lead}</span>}
      {CHOICES.map((recall) => (
        <PlainButton key={recall} isOn={now === recall} onPress={() => onAnswer(recall)}>
          {WORDS[recall]}
        </PlainButton>
      ))}
    </span>
  );
}
