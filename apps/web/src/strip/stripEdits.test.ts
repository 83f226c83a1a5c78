import type { KeyboardEvent } from 'react';
import { editOfKey } from './stripEdits.ts';

const pressed = (key: string, altKey = false) => editOfKey({ key, altKey } as KeyboardEvent<SVGGElement>);

describe('keys on a pin', () => {
  it.each([
    ['Delete', false, { kind: 'remove' }],
    ['Backspace', false, { kind: 'remove' }],
    ['ArrowLeft', true, { kind: 'nudge', quarters: -1 }],
    ['ArrowRight', true, { kind: 'nudge', quarters: 1 }],
    ['ArrowUp', true, { kind: 'height', up: 1 }],
    ['ArrowDown', true, { kind: 'height', up: -1 }],
  ] as const)('%s edits the line', (key, alt, edit) => expect(pressed(key, alt)).toEqual(edit));
  it.each([
    ['ArrowLeft', false],
    ['ArrowUp', false],
    ['Enter', true],
    ['a', true],
    ['Tab', false],
  ])('%s is left to the page', (key, alt) => expect(pressed(key, alt)).toBeNull());
});
