import { Toaster } from 'sonner';

/** Where short news come up for a moment, in the type and colours of the page they stand on. */
export function Toasts({ position }: { position: 'top-right' | 'bottom-right' }) {
  return (
    <Toaster position={position} toastOptions={{ className: '!bg-ink !text-canvas !border-0 !font-text' }} />
  );
}
