import { useMemo } from 'react';
import { useHotkeys, type Options } from 'react-hotkeys-hook';
import { useStable } from '../useStable.ts';

/** Fields that take no text; of the keys, they need the arrows or the space bar at most. */
const KEYLESS = /^(range|checkbox|radio|button|file)$/;
/** What is moved or pressed by keys of its own. */
const OWN_KEYS =
  '[role=slider],[role=checkbox],[role=radio],[role=combobox],[role=listbox],[role=option],[role=tab]';
/** A sign that is no key, so that "+" is one. */
const JOINED = '∧';

/** What goes on while the key is held down; everything else is done once. */
const GOES_ON = /^([+-]|mod\+[zy])$/;

/** What the space bar presses. */
const PRESSED = 'button,summary,[role=button]';

/** Whether the focus was last moved by a key: then the space bar is for what has it, as everywhere; a pointer leaves it behind. */
let isWalked = false;
if (typeof document !== 'undefined') {
  const look = { capture: true, passive: true };
  document.addEventListener('keydown', ({ key }) => (isWalked ||= key === 'Tab'), look);
  document.addEventListener('pointerdown', () => (isWalked = false), look);
}

/** Whether a key belongs to what has the focus: a text that is being written, a slider that is moved, or a button that is pressed. */
function isTaken({ target, key }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (key === ' ' && isWalked && target.matches(PRESSED)) return true;
  if (target.matches(OWN_KEYS)) return /^(Arrow| $|Enter|Home|End)/.test(key);
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
  const stable = useStable(action);
  const options = useMemo(() => optionsFor(key, where), [key, where]);
  const plain = plainOf(key);
  useHotkeys(
    plain === ' ' ? 'space' : isWithMod(key) ? `mod${JOINED}${plain}` : plain,
    // The same function at every drawing, so that nothing is listened for anew.
    (event) => stable(event),
    options,
    [stable],
  );
}

const isWithMod = (key: string): boolean => key.startsWith('mod+');
const plainOf = (key: string): string => (isWithMod(key) ? key.slice(4) : key);

function optionsFor(key: string, where: 'not-in-text' | undefined): Options {
  const withMod = isWithMod(key);
  return {
    // Keys are what they write, wherever they lie on the keyboard; only the space bar is known by its place.
    useKey: plainOf(key) !== ' ',
    splitKey: JOINED,
    ignoreModifiers: !withMod,
    preventDefault: true,
    enableOnFormTags: true,
    enableOnContentEditable: true,
    ignoreEventWhen: (event) =>
      (event.repeat && !GOES_ON.test(key)) ||
      (event.ctrlKey || event.metaKey) !== withMod ||
      ((!withMod || where === 'not-in-text') && isTaken(event)),
  };
}
