import { useEffect, useRef } from 'react';

/** Whether the keys that are pressed belong to a text that is being written. */
function isWriting(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/**
 * Calls `action` when the key is pressed: a `KeyboardEvent.key`, or "mod+" and a key for Ctrl or Cmd with it.
 * Plain keys are left alone while a text is being written, others too when they say so.
 */
export function useShortcut(
  key: string,
  action: (event: KeyboardEvent) => void,
  where?: 'not-in-text',
): void {
  const latest = useRef(action);
  latest.current = action;
  useEffect(() => {
    const withMod = key.startsWith('mod+');
    const wanted = withMod ? key.slice(4) : key;
    const onKey = (event: KeyboardEvent): void => {
      if (event.key.toLowerCase() !== wanted.toLowerCase() || withMod !== (event.ctrlKey || event.metaKey))
        return;
      if ((!withMod || where === 'not-in-text') && isWriting(event.target)) return;
      event.preventDefault();
      latest.current(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [key, where]);
}
