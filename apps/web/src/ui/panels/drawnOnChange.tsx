import { memo, type ComponentType } from 'react';
import { useStable } from '../useStable.ts';

/** What a field has that is changed. */
interface Changeable<V> {
  onChange(value: V): void;
}

/**
 * A field that is drawn anew only when something of it is another: a form is drawn at every key, and most of its fields are
 * as before. Lists of choices are compared one by one, so they may be written where they are used.
 */
export function drawnOnChange<V, P extends Changeable<V>>(Field: ComponentType<P>): ComponentType<P> {
  const Drawn = memo(Field, areAlike) as unknown as ComponentType<P>;
  return function Steady(props: P) {
    return <Drawn {...props} onChange={useStable(props.onChange)} />;
  };
}

function areAlike(before: object, after: object): boolean {
  const [a, b] = [Object.entries(before), new Map(Object.entries(after))];
  return a.length === b.size && a.every(([name, value]) => isAlike(value, b.get(name)));
}

function isAlike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, i) => isAlike(each, b[i]));
  return isChoice(a) && isChoice(b) && a.value === b.value && a.label === b.label;
}

function isChoice(thing: unknown): thing is { readonly value: string; readonly label: string } {
  return typeof thing === 'object' && thing !== null && 'value' in thing && 'label' in thing;
}
