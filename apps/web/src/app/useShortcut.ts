import { useEffect, useRef } from 'react';

/** Fields that take no text; of the keys, they need the arrows or the space bar at most. */
const KEYLESS = /^(range|checkbox|radio|button|file)$/;

/** Whether a key belongs to what has the focus: a text that is being written, or a slider that is moved. */
function isTaken({ target, key }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target instanceof HTMLInputElement && KEYLESS.test(target.type)) return /^(Arrow| $)/.test(key);
  return target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);
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
      if ((!withMod || where === 'not-in-text') && isTaken(event)) return;
      event.preventDefault();
      latest.current(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [key, where]);
}
