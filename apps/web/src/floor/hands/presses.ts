/** What can be done to a run without looking at the screen. */
export const HAND_ACTIONS = ['hold', 'next', 'again'] as const;
export type HandAction = (typeof HAND_ACTIONS)[number];

/** A key by what it writes, as "key:PageDown", or a button of a game controller, as "pad:3". */
export type Press = `key:${string}` | `pad:${number}`;

/** Which press does what; a press does one thing at most. */
export type Bindings = Readonly<Partial<Record<Press, HandAction>>>;

/** Presentation remotes and foot pedals send the pages and "b", keyboards have keys for music, controllers count their buttons from 0. */
export const USUAL_BINDINGS: Bindings = {
  'key:b': 'hold',
  'key:PageDown': 'next',
  'key:PageUp': 'again',
  'key:ArrowRight': 'next',
  'key:ArrowLeft': 'again',
  'key:MediaPlayPause': 'hold',
  'key:MediaTrackNext': 'next',
  'key:MediaTrackPrevious': 'again',
  'pad:0': 'hold',
  'pad:5': 'next',
  'pad:4': 'again',
};

/** A pedal that is stood on repeats itself: the same press this soon after is the same one. */
export const SAME_PRESS_MS = 200;

/** Keys that stay what they are: without them nobody gets out of a page by keyboard, or writes. */
const KEPT = new Set(['Tab', 'Escape', 'Enter', ' ', 'Shift', 'Control', 'Alt', 'Meta', '?', '/']);

/**
 * The press that a key is; null for one that cannot be given another meaning.
 *
 * @example
 * pressOfKey('B') // 'key:b'
 */
export function pressOfKey(key: string): Press | null {
  if (KEPT.has(key) || /^\d$/.test(key)) return null;
  return `key:${key.length === 1 ? key.toLowerCase() : key}`;
}

/**
 * With another press for an action; what the press did before, it does no more.
 *
 * @example
 * learnt({ 'key:b': 'hold' }, 'next', 'key:b') // { 'key:b': 'next' }
 */
export function learnt(bindings: Bindings, action: HandAction, press: Press): Bindings {
  return { ...bindings, [press]: action };
}

/**
 * What does an action, in words.
 *
 * @example
 * tellPresses({ 'key:b': 'hold', 'pad:0': 'hold' }, 'hold') // 'B, controller button 1'
 */
export function tellPresses(bindings: Bindings, action: HandAction): string {
  return (Object.keys(bindings) as Press[])
    .filter((press) => bindings[press] === action)
    .map((press) => {
      const [, name = ''] = press.split(/:(.*)/s);
      if (press.startsWith('pad:')) return `controller button ${Number(name) + 1}`;
      return name.length === 1 ? name.toUpperCase() : name.replace(/(?<=[a-z])(?=[A-Z])/g, ' ');
    })
    .join(', ');
}

/** Lets a press through once, however often it repeats itself. */
export class OnePress {
  private last: { readonly press: Press; readonly at: number } | null = null;

  isNew(press: Press, at: number): boolean {
    const { last } = this;
    this.last = { press, at };
    return last === null || last.press !== press || at - last.at >= SAME_PRESS_MS;
  }
}

const PLACE = 'eurhythm.hands';

/** Kept in the browser, since every device has pedals of its own. */
export function readBindings(): Bindings {
  try {
    const kept = JSON.parse(localStorage.getItem(PLACE) ?? '{}') as Bindings;
    const known = Object.entries(kept).filter(([, action]) => HAND_ACTIONS.includes(action!));
    return { ...USUAL_BINDINGS, ...Object.fromEntries(known) };
  } catch {
    return USUAL_BINDINGS; // not written by us
  }
}

export function keepBindings(bindings: Bindings): void {
  localStorage.setItem(PLACE, JSON.stringify(bindings));
}
