import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { RULES, type Rule } from '@eurhythm/core/body';
import { SchoolDto, checkFields, type GymView } from '@eurhythm/contract';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useVersionedWrite } from '../../sync/useVersionedWrite.tsx';
import { queries } from '../../server/queries.ts';
import { useFieldErrors } from '../../server/useFieldErrors.ts';
import { Button, ButtonLink } from '../../ui/buttons/Button.tsx';
import { TickField } from '../../ui/fields/Field.tsx';
import { Part } from '../../ui/panels/Panel.tsx';
import { GymName } from './GymName.tsx';
import { GradesEditor } from './GradesEditor.tsx';
import { SCHOOL_FIELDS, SchoolFields } from './SchoolFields.tsx';
import { YouthTable } from './YouthTable.tsx';
import { Heading } from '../../ui/panels/Heading.tsx';

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
  'side-ignored': 'a side that changes nothing',
  drifts: 'ends elsewhere than it began',
  risk: 'risks of the moves, as the book tells them',
};

/** The gym's own ways, where schools differ. */
export function GymRoom() {
  const { data: gym } = useQuery(queries.gym());
  return gym ? <School key={JSON.stringify(gym.school)} gym={gym} /> : null;
}

function School({ gym }: { gym: GymView }) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [school, setSchool] = useState(gym.school);
  const [basedOn] = useState(gym.version);
  const change = (changes: Partial<SchoolDto>): void => setSchool({ ...school, ...changes });
  const { save, notice } = useVersionedWrite<GymView, SchoolDto, SchoolDto & { version: number }>({
    writing: (mine, basedOn) => putRequest(SUBJECTS.gym, 'gym/school', mine, { basedOn, page: '/gym' }),
    fields: SCHOOL_FIELDS,
    nowOf: (now) => ({ ...(now as GymView).school, version: (now as GymView).version }),
    onSaved: (after) => {
      client.setQueryData(['gym'], after);
      // The book says how sides are called.
      void client.invalidateQueries({ queryKey: ['moves'] });
      toast('The gym’s ways are saved.');
    },
    onTheirs: async ({ version: _, ...theirs }) => {
      setSchool(theirs);
      await client.invalidateQueries({ queryKey: ['gym'] });
    },
    onError: errors.showFailure,
  });
  const trySave = (): void => {
    const wrong = checkFields(SchoolDto, school);
    errors.show(wrong);
    if (wrong.length === 0) save(school, basedOn);
  };
  const bands = gym.grades.filter((grade) => grade.band === 'children');
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-8">
      <div className="mb-6 flex flex-wrap items-end justify-between gap-3">
        <Heading className="text-3xl">{gym.name}</Heading>
        <div className="flex flex-wrap gap-3">
          <ButtonLink to="/gym/sound">Sound check</ButtonLink>
          <ButtonLink to="/gym/voice">Our own voice</ButtonLink>
          <ButtonLink to="/gym/requirements">What grades ask for</ButtonLink>
          <ButtonLink to="/gym/lab">Strike sensors and microphone</ButtonLink>
          <ButtonLink to="/gym/devices">Devices</ButtonLink>
          <ButtonLink to="/gym/keep">Backup and export</ButtonLink>
          <Button
            weight="main"
            onClick={trySave}
            disabled={JSON.stringify(school) === JSON.stringify(gym.school)}
          >
            Save
          </Button>
        </div>
      </div>
      {notice}
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Part title="Where schools differ">
          <GymName gym={gym} />
          <SchoolFields school={school} errors={errors} onChange={change} />
        </Part>
        <div className="grid min-w-0 content-start gap-y-8">
          <Part title="Children’s limits" aside="what is not ticked gives a caution">
            <YouthTable bands={bands} school={school} errors={errors} onChange={change} />
            <p className="pt-2 text-sm text-quiet">
              Local rules come first. The strictest limits hold until somebody ticks otherwise.
            </p>
          </Part>
          <GradesEditor gym={gym} />
        </div>
        <Part title="What the workbench tells" aside="untick to mute a rule" className="lg:col-span-2">
          <div className="grid gap-x-6 pt-2 md:grid-cols-3">
            {RULES.map((rule) => (
              <TickField
                key={rule}
                label={RULE_NAMES[rule]}
                checked={!school.muted.includes(rule)}
                onChange={(checked) =>
                  change({
                    muted: checked ? school.muted.filter((other) => other !== rule) : [...school.muted, rule],
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
