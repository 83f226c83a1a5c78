import { useLayoutEffect, useRef, useState } from 'react';
import { LINE_HEIGHT, fittedLines, type FittedLines } from './fittedLines.ts';

/** Letters are measured at this size, in pixels. */
const MEASURED_AT = 100;

/** A text as large as its place allows, on one line or two: its letters are measured, so that none is ever cut off. */
export function Fitted({ text }: { text: string }) {
  const place = useRef<HTMLDivElement>(null);
  const ruler = useRef<HTMLSpanElement>(null);
  const [fitted, setFitted] = useState<FittedLines>({ lines: [text], size: 0 });
  useLayoutEffect(() => {
    const fit = (): void => {
      const [box, line] = [place.current, ruler.current];
      // The letters may come when the board has gone.
      if (!box || !line) return;
      const widthOf = (words: string): number => {
        line.textContent = words;
        return line.offsetWidth / MEASURED_AT;
      };
      setFitted(fittedLines(text, { width: box.clientWidth, height: box.clientHeight }, widthOf));
    };
    const watch = new ResizeObserver(fit);
    watch.observe(place.current!);
    // What is measured before the letters are there is measured again with them.
    void document.fonts.ready.then(fit);
    fit();
    return () => watch.disconnect();
  }, [text]);
  return (
    <div ref={place} className="relative min-w-0 flex-1 overflow-clip phone:min-h-24">
      <span
        ref={ruler}
        aria-hidden
        className="board invisible absolute whitespace-nowrap uppercase"
        style={{ fontSize: MEASURED_AT }}
      />
      <p
        className="board absolute inset-0 flex flex-col items-center justify-center uppercase"
        style={{ fontSize: fitted.size, lineHeight: LINE_HEIGHT }}
        data-testid="call"
      >
        {fitted.lines.map((line, i) => (
          <span key={i} className="whitespace-nowrap">
            {i > 0 && ' '}
            {line}
          </span>
        ))}
      </p>
    </div>
  );
}
