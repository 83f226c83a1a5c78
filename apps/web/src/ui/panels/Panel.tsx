import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useFocusBack } from '../focus/useFocusBack.ts';

/** A sheet over the page. Without `onClose` it can only be answered, not put away. */
export function Sheet({
  open,
  title,
  onClose,
  children,
}: {
  open: boolean;
  title: string;
  onClose?: () => void;
  children: ReactNode;
}) {
  const stay = (event: Event): void => {
    if (!onClose) event.preventDefault();
  };
  const focus = useFocusBack();
  return (
    <Dialog.Root open={open} onOpenChange={(isOpen) => !isOpen && onClose?.()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-[#0b1412]/60" />
        <Dialog.Content
          {...focus}
          aria-describedby={undefined}
          onEscapeKeyDown={stay}
          onInteractOutside={stay}
          className="fixed top-1/2 left-1/2 z-50 max-h-[90vh] w-[min(38rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-lg border-2 border-ink bg-canvas p-6"
        >
          <Dialog.Title className="mb-3 font-heading text-2xl font-bold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** A headed part of a page. */
export function Part({
  title,
  aside,
  children,
  className = '',
}: {
  title: string;
  aside?: ReactNode;
  children: ReactNode;
  className?: string;
}) {
  return (
    <section className={`min-w-0 ${className}`}>
      <div className="flex items-baseline justify-between gap-3 border-b-[1.5px] border-ink pb-1.5">
        <h2 className="text-lg">{title}</h2>
        {aside !== undefined && <div className="text-sm text-quiet">{aside}</div>}
      </div>
      {children}
    </section>
  );
}

/** What is said where there is nothing yet, or where something went wrong. */
export function Plain({ children }: { children: ReactNode }) {
  return <p className="py-4 text-quiet">{children}</p>;
}
