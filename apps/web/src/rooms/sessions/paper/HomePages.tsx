import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { queries } from '../../../server/queries.ts';
import { Sheet } from '../../../ui/panels/Panel.tsx';

interface HomePagesProps {
  readonly id: string;
  readonly open: boolean;
  /** Whose pages there are to choose from; everybody of the gym without it. */
  readonly fighterIds?: readonly string[];
  onClose(): void;
}

/** The session as one page for one fighter, from the own lead: it runs at home by a double click, without a network. */
export function HomePages({ id, open, fighterIds, onClose }: HomePagesProps) {
  const { data: all = [] } = useQuery({ ...queries.fighters(), enabled: open });
  const shown = all.filter((each) => fighterIds === undefined || fighterIds.includes(each.id));
  return (
    <Sheet open={open} title="A page for home" onClose={onClose}>
      <p className="mb-4 text-quiet">
        One file for each fighter, from their own lead: sound, strip, clock, bursts and cautions. It opens by
        a double click and asks nobody for anything. At its end stands a code; type it on the fighter’s page.
      </p>
      <ul>
        {shown.map((each) => (
          <li key={each.id} className="border-b border-rule">
            {each.fit ? (
              <a
                href={`/api/sessions/${encodeURIComponent(id)}/home.html?fighter=${encodeURIComponent(each.id)}`}
                download
                className="flex min-h-11 items-center justify-between gap-4 px-1 hover:bg-hint"
              >
                <span>
                  {each.name}, {each.lead} lead
                </span>
                <Download size={16} aria-hidden />
              </a>
            ) : (
              <span className="flex min-h-11 items-center px-1 text-quiet">
                {each.name}: not fit to train
              </span>
            )}
          </li>
        ))}
      </ul>
      <a
        href={`/api/sessions/${encodeURIComponent(id)}/homework.zip`}
        download
        className="mt-4 inline-flex min-h-11 items-center underline underline-offset-4"
      >
        For anybody: sound, sheet and cautions in a zip
      </a>
    </Sheet>
  );
}
