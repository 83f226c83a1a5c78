import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { RULES, type Rule } from '@eurhythm/core/body';
import { PACES, SchoolDto, checkFields, type GymView, type YouthLimitsDto } from '@eurhythm/contract';
import { put } from '../../app/api.ts';
import { queries } from '../../app/queries.ts';
import { useFieldErrors } from '../../app/useFieldErrors.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, TextField, TickField } from '../../ui/Field.tsx';
import { Part } from '../../ui/Panel.tsx';

const RULE_NAMES: Readonly<Record<Rule, string>> = {
  'too-fast': 'too fast for the body',
  'leg-in-air': 'a leg is still in the air',
  'limb-clash': 'one limb twice at once',
  'both-hands-away': 'both hands out of guard',
  'bare-entry': 'a step in with nothing landing',
  'same-turn-twice': 'the hips turn the same way twice',
  'under-arm-open': 'ribs open under a high block',
  'no-pivot': 'a spin without a pivot',
  'stays-in-range': 'the line ends close',
  'ends-other-lead': 'ends in the other lead',
  'side-untrained': 'only one side strikes',
  'above-grade': 'a move above the grade',
  'youth-contact': 'children’s limits',
  'needs-room': 'more room than the floor has',
};

const LIMITS = [
  ['headContact', 'head contact'],
  ['knees', 'knees'],
  ['elbows', 'elbows'],
  ['spins', 'spins'],
  ['jumps', 'jumps'],
] as const;

/** The gym's own ways, where schools differ. */
export function GymRoom() {
  const { data: gym } = useQuery(queries.gym());
  return gym ? <School key={JSON.stringify(gym.school)} gym={gym} /> : null;
}

function School({ gym }: { gym: GymView }) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [school, setSchool] = useState(gym.school);
  const change = (changes: Partial<SchoolDto>): void => setSchool({ ...school, ...changes });
  const save = useMutation({
    mutationFn: () => put<GymView>('gym/school', school),
    onSuccess: (after) => {
      client.setQueryData(['gym'], after);
      toast('The gym’s ways are saved.');
    },
    onError: errors.showFailure,
  });
  const trySave = (): void => {
    const wrong = checkFields(SchoolDto, school);
    errors.show(wrong);
    if (wrong.length === 0) save.mutate();
  };
  const bands = gym.grades.filter((grade) => grade.band === 'children');
  const limitsOf = (gradeId: string): YouthLimitsDto =>
    school.youth.find((each) => each.gradeId === gradeId) ?? {
      gradeId,
      headContact: false,
      knees: false,
      elbows: false,
      spins: false,
      jumps: false,
    };
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-8">
      <div className="mb-6 flex items-end justify-between">
        <h1 className="text-3xl">{gym.name}</h1>
        <Button
          weight="main"
          onClick={trySave}
          disabled={save.isPending || JSON.stringify(school) === JSON.stringify(gym.school)}
        >
          Save
        </Button>
      </div>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Part title="Where schools differ">
          <div className="grid grid-cols-2 gap-4 pt-3">
            <ChoiceField
              label="End of a strike"
              value={school.strikes}
              choices={[
                { value: 'snap', label: 'stops and snaps back' },
                { value: 'through', label: 'drives through' },
              ]}
              onChange={(e) => change({ strikes: e.target.value as SchoolDto['strikes'] })}
            />
            <ChoiceField
              label="High block with the front arm"
              value={school.frontHighBlock}
              choices={[
                { value: 'allowed', label: 'allowed' },
                { value: 'avoided', label: 'avoided' },
              ]}
              onChange={(e) => change({ frontHighBlock: e.target.value as SchoolDto['frontHighBlock'] })}
            />
            <ChoiceField
              label="Pace assumed of a body"
              hint="slower paces lower the fastest clean tempo"
              value={school.pace}
              choices={PACES.map((pace) => ({ value: pace, label: pace }))}
              onChange={(e) => change({ pace: e.target.value as SchoolDto['pace'] })}
            />
            <ChoiceField
              label="What is called"
              hint="for new rounds"
              value={school.words}
              choices={[
                { value: 'numbers', label: 'numbers' },
                { value: 'names', label: 'names' },
              ]}
              onChange={(e) => change({ words: e.target.value as SchoolDto['words'] })}
            />
            <TextField
              label="Room for one fighter, steps each way"
              hint="empty: plenty"
              inputMode="decimal"
              value={
                school.floorSteps === null || Number.isNaN(school.floorSteps) ? '' : String(school.floorSteps)
              }
              error={errors.of('floorSteps')}
              onChange={(e) =>
                change({ floorSteps: e.target.value.trim() === '' ? null : Number(e.target.value) })
              }
            />
          </div>
        </Part>
        <Part title="Children’s limits" aside="what is not ticked is told as a caution">
          <table className="w-full pt-2 text-left">
            <thead>
              <tr className="text-sm text-quiet">
                <th className="py-2 font-semibold">Band</th>
                {LIMITS.map(([key, name]) => (
                  <th key={key} className="py-2 text-center font-semibold">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {bands.map((band) => (
                <tr key={band.id} className="border-t border-rule">
                  <th className="py-1 font-semibold">{band.name}</th>
                  {LIMITS.map(([key, name]) => (
                    <td key={key} className="text-center">
                      <label className="inline-flex size-11 items-center justify-center">
                        <span className="sr-only">
                          {band.name}: {name}
                        </span>
                        <input
                          type="checkbox"
                          className="size-5 accent-rear"
                          checked={limitsOf(band.id)[key]}
                          onChange={(e) =>
                            change({
                              youth: [
                                ...school.youth.filter((each) => each.gradeId !== band.id),
                                { ...limitsOf(band.id), [key]: e.target.checked },
                              ],
                            })
                          }
                        />
                      </label>
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          <p className="pt-2 text-sm text-quiet">
            Local rules come first. The strictest limits hold until somebody ticks otherwise.
          </p>
        </Part>
        <Part title="What the workbench tells" aside="untick to mute a rule" className="lg:col-span-2">
          <div className="grid grid-cols-2 gap-x-6 pt-2 md:grid-cols-3">
            {RULES.map((rule) => (
              <TickField
                key={rule}
                label={RULE_NAMES[rule]}
                checked={!school.muted.includes(rule)}
                onChange={(e) =>
                  change({
                    muted: e.target.checked
                      ? school.muted.filter((other) => other !== rule)
                      : [...school.muted, rule],
                  })
                }
              />
            ))}
          </div>
        </Part>
      </div>
    </div>
  );
}
