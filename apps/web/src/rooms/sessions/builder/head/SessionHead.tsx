import { useState } from 'react';
import { sessionSeconds } from '@eurhythm/core/plan';
import type { SaveSessionDto } from '@eurhythm/contract';
import { UndoButtons } from '../../../../sync/drafts/UndoButtons.tsx';
import type { Draft } from '../../../../sync/drafts/useDraft.ts';
import type { FieldErrors } from '../../../../server/useFieldErrors.ts';
import { Button, ButtonLink } from '../../../../ui/buttons/Button.tsx';
import { WhenField } from '../../../../ui/fields/DayFields.tsx';
import { ChoiceField, TextField } from '../../../../ui/fields/Field.tsx';
import { clockText } from '@eurhythm/core/units';
import { RepeatSheet } from '../../calendar/RepeatSheet.tsx';
import { usePlanned } from '../../plan/usePlanned.ts';
import { FilesMenu } from '../../paper/FilesMenu.tsx';
import { LEAD_CHOICES } from '../../choices.ts';
import { ClassGroups } from './ClassGroups.tsx';
import { useRemoval } from './useRemoval.ts';
import type { Saving } from './useSaving.ts';
import { Heading } from '../../../../ui/panels/Heading.tsx';

interface SessionHeadProps {
  readonly id: string;
  readonly isKnown: boolean;
  readonly session: SaveSessionDto;
  readonly draft: Draft<SaveSessionDto>;
  readonly saving: Saving;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SaveSessionDto>): void;
  onDraft(): void;
  /** Shows what there is to look at before the class. */
  onCheck(): void;
}

/** What a session is called, when it is and for whom; its running total; and where to go with it. */
export function SessionHead(props: SessionHeadProps) {
  const { id, isKnown, session, draft, saving, errors, onChange, onDraft, onCheck } = props;
  const [isRepeating, setRepeating] = useState(false);
  const remove = useRemoval(id, session, draft);
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <div>
          <Heading className="text-3xl">{session.title || 'A new session'}</Heading>
          <p
            role="status"
            className={`text-sm ${saving.status.startsWith('not saved:') ? 'font-semibold text-caution' : 'text-quiet'}`}
          >
            {saving.status}
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-2">
          <p className="mr-2">
            <strong className="tabular font-heading text-3xl">
              {clockText(sessionSeconds(session.rounds))}
            </strong>{' '}
            <span className="text-sm text-quiet">in all</span>
          </p>
          <UndoButtons draft={draft} />
          <Button onClick={saving.saveNow}>Save</Button>
          <Button onClick={onDraft}>Draft for me</Button>
          {/* They keep their room while they cannot be pressed: each save would push the page down otherwise. */}
          <span className={`flex flex-wrap items-center gap-2 ${isKnown ? '' : 'invisible'}`}>
            <FilesMenu id={id} />
            <ButtonLink to={`/sessions/${id}/sheet`}>Who is here</ButtonLink>
            <ButtonLink
              weight="main"
              to={`/floor?session=${id}`}
              className={saving.isSaved ? '' : 'invisible'}
            >
              Take to the Floor
            </ButtonLink>
          </span>
        </div>
      </header>
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <TextField
          label="Title"
          className="min-w-56 flex-1"
          value={session.title}
          error={errors.of('title')}
          onChange={(e) => onChange({ title: e.target.value })}
        />
        <WhenField
          label="When"
          className="w-56"
          value={session.plannedFor ?? null}
          error={errors.of('plannedFor')}
          onChange={(plannedFor) => onChange({ plannedFor })}
        />
        {isKnown && session.plannedFor && (
          <Button weight="bare" className="px-1!" onClick={() => setRepeating(true)}>
            Repeat weekly
          </Button>
        )}
        <TextField
          label="Word of the day"
          className="w-36"
          value={session.word ?? ''}
          error={errors.of('word')}
          onChange={(e) => onChange({ word: e.target.value })}
        />
        <ChoiceField
          label="Lead"
          className="w-28"
          value={session.lead}
          choices={LEAD_CHOICES}
          onChange={(value) => onChange({ lead: value })}
        />
      </div>
      <div className="flex flex-wrap items-start justify-between gap-4">
        <ClassGroups
          groups={session.groups ?? []}
          errors={errors}
          onChange={(groups) => onChange({ groups })}
        />
        <span className="flex flex-wrap items-center gap-x-4 whitespace-nowrap">
          <ToLookAt onCheck={onCheck} />
          {isKnown && (
            <Button weight="bare" className="px-0!" onClick={remove}>
              Remove session
            </Button>
          )}
        </span>
      </div>
      {isRepeating && session.plannedFor && (
        <RepeatSheet
          id={id}
          title={session.title}
          plannedFor={session.plannedFor}
          onClose={() => setRepeating(false)}
        />
      )}
    </>
  );
}

/** How many things there are to look at before the class. */
function ToLookAt({ onCheck }: { onCheck: () => void }) {
  const { length } = usePlanned().warnings;
  if (length === 0) return null;
  return (
    <button
      type="button"
      onClick={onCheck}
      className="inline-flex min-h-11 items-center text-sm font-semibold text-caution underline underline-offset-4"
    >
      {length === 1 ? 'One thing' : `${length} things`} to look at before the class
    </button>
  );
}
