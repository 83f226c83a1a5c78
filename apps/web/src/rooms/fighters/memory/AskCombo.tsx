import { useState } from 'react';
import type { Recall } from '@eurhythm/core/progress';
import type { RecallDto, SaveRecallsDto } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { PlainButton } from '../../../ui/buttons/PlainButton.tsx';

const WORDS: Readonly<Record<Recall, string>> = {
  recalled: 'Recalled',
  'with-help': 'With help',
  forgot: 'Forgot',
};
const CHOICES = Object.keys(WORDS) as Recall[];

interface AskComboProps {
  readonly combo: { readonly id: string; readonly name: string };
  readonly who: readonly { readonly id: string; readonly name: string }[];
  readonly runId: string | null;
  readonly page: string;
}

/** One combo, asked of a group: one press for all, then who was otherwise by name. Each press is kept at once. */
export function AskCombo({ combo, who, runId, page }: AskComboProps) {
  const [all, setAll] = useState<Recall | null>(null);
  const [other, setOther] = useState<Readonly<Record<string, Recall>>>({});
  const [ids] = useState(() => new Map(who.map(({ id }) => [id, newId()])));
  const [asking] = useState(newId);
  const [at] = useState(() => new Date().toISOString());
  const keep = (group: Recall, those: Readonly<Record<string, Recall>>): void => {
    setAll(group);
    setOther(those);
    const recalls = who.map(({ id }): RecallDto => ({
      id: ids.get(id) ?? newId(),
      fighterId: id,
      comboId: combo.id,
      recall: those[id] ?? group,
      runId,
      at,
    }));
    const body: SaveRecallsDto = { recalls };
    void sync.put(putRequest(SUBJECTS.recall, `progress/recalls/${asking}`, body, { page }));
  };
  return (
    <section aria-label={combo.name} className="border-b border-rule py-3">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h3 className="text-xl">{combo.name}</h3>
        <div role="group" aria-label={`${combo.name}, everybody`} className="flex flex-wrap gap-1.5">
          {CHOICES.map((recall) => (
            <PlainButton key={recall} isOn={all === recall} onPress={() => keep(recall, {})}>
              {WORDS[recall]}
            </PlainButton>
          ))}
        </div>
      </div>
      {all !== null && (
        <ul className="pt-2">
          {who.map(({ id, name }) => (
            <li key={id} className="flex flex-wrap items-center justify-between gap-3 py-0.5">
              <span>{name}</span>
              <span role="group" aria-label={`${combo.name}, ${name}`} className="flex flex-wrap gap-1.5">
                {CHOICES.map((recall) => (
                  <PlainButton
                    key={recall}
                    isOn={(other[id] ?? all) === recall}
                    onPress={() => keep(all, { ...other, [id]: recall })}
                  >
                    {WORDS[recall]}
                  </PlainButton>
                ))}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
