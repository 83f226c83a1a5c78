import { Tooltip } from 'radix-ui';
import type { ReactElement } from 'react';

/** It shows after so long a wait. */
const WAIT_MS = 400;

interface TipProps {
  /** Nothing is shown without it. */
  readonly text: string | undefined;
  readonly children: ReactElement;
}

/** A few words about a thing that is pointed at, or that has the focus. */
export function Tip({ text = '', children }: TipProps) {
  return (
    <Tooltip.Provider delayDuration={WAIT_MS}>
      <Tooltip.Root open={text === '' ? false : undefined}>
        <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            side="bottom"
            sideOffset={4}
            collisionPadding={8}
            className="z-50 max-w-80 rounded-md bg-ink px-2.5 py-1 text-sm text-canvas"
          >
            {text}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
