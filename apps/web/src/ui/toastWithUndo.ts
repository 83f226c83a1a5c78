import { toast } from 'sonner';

/** A way back is offered for so long. */
const OFFERED = 10_000;

/** Says what was done and offers the way back; a way back that is refused says why. */
export function toastWithUndo(said: string, undo: () => unknown): void {
  const goBack = async (): Promise<void> => {
    try {
      await undo();
    } catch (error) {
      toast.error(error instanceof Error ? error.message : String(error));
    }
  };
  toast(said, { duration: OFFERED, action: { label: 'Undo', onClick: () => void goBack() } });
}
