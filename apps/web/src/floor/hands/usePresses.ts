import { useEffect } from 'react';
import { useStable } from '../../ui/useStable.ts';
import { OnePress, pressOfKey, type Press } from './presses.ts';

/** Buttons of a controller are looked at so often. */
const POLL_MS = 30;

/**
 * Tells each press of a key, a pedal, a presentation remote, a controller or a headset's buttons, once. A key is taken from the
 * page when `onPress` says that it was meant.
 */
export function usePresses(onPress: (press: Press) => boolean): void {
  const stable = useStable(onPress);
  useEffect(() => {
    const once = new OnePress();
    // When it was pressed, not when the page came to look: one that stalls must not take a press for two.
    const tell = (press: Press, at = performance.now()): boolean => !once.isNew(press, at) || stable(press);
    const byKey = (event: KeyboardEvent): void => {
      const { ctrlKey, metaKey, altKey } = event;
      if (ctrlKey || metaKey || altKey || isTaken(event)) return;
      const press = pressOfKey(event.key);
      if (press && (event.repeat || tell(press, event.timeStamp))) event.preventDefault();
    };
    const stopPads = watchPads(tell);
    const stopMedia = watchMedia(tell);
    window.addEventListener('keydown', byKey);
    return () => {
      window.removeEventListener('keydown', byKey);
      stopPads();
      stopMedia();
    };
  }, [stable]);
}

/** Whether a key belongs to what has the focus; a choice that is closed takes letters, and what opens it. */
function isTaken({ target, key }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.matches('button[role=combobox][aria-expanded=false]'))
    return key.length === 1 || /^Arrow(Up|Down)$/.test(key);
  return (
    target.isContentEditable ||
    target.matches('input,textarea,select,[role=slider],[role=combobox],[role=listbox],[role=option]')
  );
}

/** Buttons that go down; only while a controller is there. */
function watchPads(tell: (press: Press) => unknown): () => void {
  const down = new Set<string>();
  const look = (): void => {
    for (const pad of navigator.getGamepads?.() ?? [])
      for (const [i, button] of (pad?.buttons ?? []).entries()) {
        const id = `${pad!.index}:${i}`;
        if (button.pressed && !down.has(id)) tell(`pad:${i}`);
        if (button.pressed) down.add(id);
        else down.delete(id);
      }
  };
  const timer = setInterval(look, POLL_MS);
  return () => clearInterval(timer);
}

const MEDIA = {
  play: 'MediaPlayPause',
  pause: 'MediaPlayPause',
  nexttrack: 'MediaTrackNext',
  previoustrack: 'MediaTrackPrevious',
} as const;

/** The buttons of headsets and lock screens, where the browser tells of them. */
function watchMedia(tell: (press: Press) => unknown): () => void {
  const set = (kind: keyof typeof MEDIA, handler: (() => void) | null): void => {
    try {
      navigator.mediaSession?.setActionHandler(kind, handler);
    } catch {
      // this browser does not know the button
    }
  };
  const kinds = Object.keys(MEDIA) as (keyof typeof MEDIA)[];
  for (const kind of kinds) set(kind, () => tell(`key:${MEDIA[kind]}`));
  return () => {
    for (const kind of kinds) set(kind, null);
  };
}
