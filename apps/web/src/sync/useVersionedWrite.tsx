import { useState, type ReactNode } from 'react';
import type { Writing } from './queue/queuedWrite.ts';
import { StaleNotice, staleSave, type StaleSave } from './StaleNotice.tsx';
import { useWrite } from './useSync.ts';

/** What the server has of a thing, with the version that a change of it names. */
interface Versioned {
  readonly version: number;
}

interface Wanted<Answer, Mine, Now> {
  /** The write of what stands on the page, based on a version. */
  readonly writing: (mine: Mine, basedOn: number | undefined) => Writing;
  /** What the fields are called, in the order in which they are reported. */
  readonly fields: Readonly<Partial<Record<keyof Now & keyof Mine & string, string>>>;
  /** How one of a list is reported, where it has no name of its own. */
  readonly tell?: (item: unknown) => string;
  /** What of a refusal stands now, where it is not reported as it is. */
  readonly nowOf?: (now: unknown) => Now;
  onSaved(answer: Answer, mine: Mine): void | Promise<void>;
  /** Lets what is on the page go for what was saved meanwhile. */
  onTheirs(now: Now): void | Promise<void>;
  onError(error: Error): void;
}

/**
 * A save that names the version it is based on. Where somebody else saved meanwhile, `notice` shows both, field by field, until
 * one of them is chosen; nothing is lost until then.
 */
export function useVersionedWrite<Answer, Mine extends object, Now extends Versioned>({
  writing,
  fields,
  tell,
  nowOf,
  onSaved,
  onTheirs,
  onError,
}: Wanted<Answer, Mine, Now>) {
  const [stale, setStale] = useState<StaleSave<Now, Mine> | null>(null);
  const { mutate, isPending } = useWrite<Answer, { mine: Mine; basedOn: number | undefined }>(
    ({ mine, basedOn }) => writing(mine, basedOn),
    {
      onSuccess: async (answer, { mine }) => {
        setStale(null);
        await onSaved(answer, mine);
      },
      onError: (error, { mine }) => {
        const late = staleSave<unknown, Mine>(error, mine);
        if (late) setStale({ ...late, now: nowOf ? nowOf(late.now) : (late.now as Now) });
        else onError(error);
      },
    },
  );
  const notice: ReactNode = stale && (
    <StaleNotice
      stale={stale}
      fields={fields}
      tell={tell}
      onMine={() => mutate({ mine: stale.mine, basedOn: stale.now.version })}
      onTheirs={() => {
        setStale(null);
        void onTheirs(stale.now);
      }}
    />
  );
  return {
    save: (mine: Mine, basedOn: number | undefined): void => mutate({ mine, basedOn }),
    isPending,
    notice,
  };
}
