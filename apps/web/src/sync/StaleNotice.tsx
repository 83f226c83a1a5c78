import { Refused } from '../server/api.ts';
import { Button } from '../ui/buttons/Button.tsx';

/** A save that came too late: what the server has meanwhile, and what was to be saved. */
export interface StaleSave<T, M = T> {
  readonly message: string;
  readonly now: T;
  readonly mine: M;
}

/** What a refusal tells of a save that came too late; null for one that was refused for another reason. */
export function staleSave<T, M>(error: Error, mine: M): StaleSave<T, M> | null {
  if (!(error instanceof Refused) || error.status !== 409 || error.now === undefined) return null;
  return { message: error.message, now: error.now as T, mine };
}

interface StaleNoticeProps<T, M> {
  readonly stale: StaleSave<T, M>;
  /** What the fields are called, in the order in which they are reported. */
  readonly fields: Readonly<Partial<Record<keyof T & keyof M & string, string>>>;
  /** How one of a list is reported, where it has no name of its own. */
  readonly tell?: ((item: unknown) => string) | undefined;
  onMine(): void;
  onTheirs(): void;
}

/** Both texts of a save that somebody else came before, and the choice between them; until then nothing is lost. */
export function StaleNotice<T extends object, M extends object>({
  stale,
  fields,
  tell,
  onMine,
  onTheirs,
}: StaleNoticeProps<T, M>) {
  const { now, mine } = stale;
  const names = Object.keys(fields) as (keyof T & keyof M & string)[];
  const differing = names.filter((name) => JSON.stringify(now[name]) !== JSON.stringify(mine[name]));
  return (
    <section role="alert" className="mx-5 mt-4 border-l-[6px] border-caution bg-paper px-5 py-3">
      <p className="mb-2 font-semibold">{stale.message}</p>
      <table className="mb-3 w-full text-left text-sm">
        <thead>
          <tr className="text-quiet">
            <th scope="col">What</th>
            <th scope="col">Saved meanwhile</th>
            <th scope="col">Yours</th>
          </tr>
        </thead>
        <tbody>
          {differing.map((name) => (
            <tr key={name} className="border-t border-rule align-top">
              <th scope="row" className="pr-4 font-normal">
                {fields[name]}
              </th>
              <td className="pr-4">{shown(now[name], tell)}</td>
              <td>{shown(mine[name], tell)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="flex gap-3">
        <Button weight="main" onClick={onMine}>
          Save mine all the same
        </Button>
        <Button onClick={onTheirs}>Take what was saved meanwhile</Button>
      </div>
    </section>
  );
}

/** A value in short; a list is known by what its members are called. */
function shown(value: unknown, tell?: (item: unknown) => string): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (Array.isArray(value)) return value.map((each) => tell?.(each) ?? shown(each)).join(', ') || 'nothing';
  if (typeof value === 'object') {
    const { title, name } = value as { title?: unknown; name?: unknown };
    return shown(title ?? name ?? JSON.stringify(value));
  }
  return String(value);
}
