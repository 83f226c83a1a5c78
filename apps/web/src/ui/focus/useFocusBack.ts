import { useRef } from 'react';

/** For a dialog that nothing on the page is declared to open: what had the focus before gets it back when it closes. */
export function useFocusBack() {
  const before = useRef<Element | null>(null);
  return {
    onOpenAutoFocus: (): void => {
      before.current = document.activeElement;
    },
    onCloseAutoFocus: (event: Event): void => {
      event.preventDefault();
      if (before.current instanceof HTMLElement && before.current.isConnected) before.current.focus();
    },
  };
}
