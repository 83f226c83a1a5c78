import { useMutation } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Button } from './Button.tsx';
import { Sheet } from '../panels/Panel.tsx';

interface SureProps {
  readonly open: boolean;
  readonly title: string;
  /** What the button says that does it. */
  readonly confirm: string;
  readonly children: ReactNode;
  /** Does it; what is thrown is reported here. */
  onSure(): Promise<void>;
  onClose(): void;
}

/** Asks before something that cannot be taken back; nothing else is ever asked twice. */
export function Sure({ open, title, confirm, children, onSure, onClose }: SureProps) {
  const act = useMutation({ networkMode: 'always', mutationFn: onSure, onSuccess: onClose });
  const close = (): void => {
    act.reset();
    onClose();
  };
  return (
    <Sheet open={open} title={title} onClose={close}>
      <p className="pb-4">{children}</p>
      {act.error && (
        <p role="alert" className="pb-3 font-semibold text-caution">
          {act.error.message}
        </p>
      )}
      <div className="flex gap-3">
        <Button weight="main" disabled={act.isPending} onClick={() => act.mutate()}>
          {confirm}
        </Button>
        <Button onClick={close}>Leave it</Button>
      </div>
    </Sheet>
  );
}
