import { ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { useState, type ReactNode } from 'react';

interface FoldProps {
  readonly title: string;
  /** What stands beside the title while it is closed: what one would open it for. */
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}

/** A headed part of a page that is closed until somebody asks for it. */
export function Fold({ title, aside, children }: FoldProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Collapsible.Root asChild open={isOpen} onOpenChange={setOpen}>
      <section className="min-w-0" aria-label={title}>
        <h2 className="text-lg">
          <Collapsible.Trigger className="group flex min-h-11 w-full items-baseline justify-between gap-3 border-b-[1.5px] border-ink py-1.5 text-left hover:bg-hint">
            <span className="flex items-center gap-2">
              <ChevronDown
                size={16}
                aria-hidden
                className="shrink-0 -rotate-90 transition-transform group-data-[state=open]:rotate-0 motion-reduce:transition-none"
              />
              {title}
            </span>
            {aside && <span className="text-right font-text text-sm font-normal text-quiet">{aside}</span>}
          </Collapsible.Trigger>
        </h2>
        <Collapsible.Content>{children}</Collapsible.Content>
      </section>
    </Collapsible.Root>
  );
}
