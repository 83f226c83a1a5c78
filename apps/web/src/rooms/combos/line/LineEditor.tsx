import { Suspense, lazy } from 'react';
import { LINE_BOX, type LineTextProps } from './lineBox.ts';

// What it takes to write in it is the largest part of the room, and the rest can be read without it.
const LineText = lazy(() => import('./LineText.tsx').then((module) => ({ default: module.LineText })));

/** The beat line: read at once, written in as soon as what that takes is there. */
export function LineEditor(props: LineTextProps) {
  return (
    <Suspense
      fallback={
        <p className={`${LINE_BOX} min-h-[3.25rem] px-[0.9rem] py-[0.55rem] font-line text-2xl`}>
          {props.value}
        </p>
      }
    >
      <LineText {...props} />
    </Suspense>
  );
}
