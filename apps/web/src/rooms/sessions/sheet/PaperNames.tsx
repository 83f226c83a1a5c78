import type { FighterView, SaveSheetDto } from '@eurhythm/contract';

interface PaperNamesProps {
  readonly fighters: readonly FighterView[];
  readonly present: SaveSheetDto['present'];
  readonly checklist: readonly string[];
}

/** On paper everybody has a line with boxes to tick by hand, also before anybody is ticked on the page. */
export function PaperNames({ fighters, present, checklist }: PaperNamesProps) {
  const asked = ['here', ...checklist];
  return (
    <table aria-label="Who is here" className="mb-6 hidden w-full border-collapse text-sm print:table">
      <thead className="text-left">
        <tr>
          <th className="py-1">Name</th>
          <th>Grade</th>
          <th>Lead</th>
          {asked.map((what) => (
            <th key={what} className="px-2 text-center font-normal">
              {what}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {fighters.map(({ id, name, grade, lead, fit }) => {
          const entry = present.find(({ fighterId }) => fighterId === id);
          const ticked = new Set([...(entry ? ['here'] : []), ...(entry?.ticked ?? [])]);
          return (
            <tr key={id} className="break-inside-avoid border-b border-rule">
              <th scope="row" className="py-1 text-left font-semibold">
                {name}
              </th>
              <td>{grade}</td>
              <td>{lead}</td>
              {fit ? (
                asked.map((what) => (
                  <td key={what} className="text-center">
                    <span
                      className="inline-block size-4 border border-ink leading-4"
                      role="img"
                      aria-label={ticked.has(what) ? `${what}: yes` : `${what}: not ticked`}
                    >
                      {ticked.has(what) ? '×' : ''}
                    </span>
                  </td>
                ))
              ) : (
                <td colSpan={asked.length} className="text-center">
                  not fit to train
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
