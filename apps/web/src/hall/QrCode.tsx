import { useMemo } from 'react';
import { encode } from 'uqr';

/** A text as a picture that phones read. */
export function QrCode({ text, label, className = '' }: { text: string; label: string; className?: string }) {
  const { size, path } = useMemo(() => {
    const { data, size } = encode(text, { border: 2 });
    const dots = data.flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x} ${y}h1v1h-1z`] : [])));
    return { size, path: dots.join('') };
  }, [text]);
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={label}
      className={className}
      shapeRendering="crispEdges"
    >
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}
